import { useQuery } from '@tanstack/react-query';
import { addCircuit, siText } from '../../../model';
import type { LineChoice, RecordedLap } from '../../../services';
import { clockText } from '../../../text/en';
import { say } from '../../../text/en/say/circuits';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { useAfterImport } from './useAfterImport';

/** The fastest lap of a file with times, as it was recorded; null while it is sought and where there is none. */
export function useRecorded(
  id: string,
  track: number,
  choice: LineChoice,
  settled: boolean,
): RecordedLap | null {
  const { files } = useBackground();
  const setup = useSetup();
  const query = useQuery({
    queryKey: ['recorded', id, choice, setup.car, setup.plan],
    enabled: settled,
    placeholderData: (last: RecordedLap | null | undefined) => last,
    queryFn: () =>
      files.call((remote) => remote.recorded(track, choice, setup) as Promise<RecordedLap | null>),
  });
  return query.data ?? null;
}

/** What the file's own times say, beside the line: where it hides braking zones, the recording's are offered. */
export function RecordedPanel({ lap, title }: { readonly lap: RecordedLap; readonly title: string }) {
  const units = useUnits();
  const edit = useEdit();
  const goOn = useAfterImport();
  const add = () => {
    const circuit = {
      id: crypto.randomUUID(),
      name: title.trim() || 'Circuit from a recording',
      altitudeM: 0,
      trackWidthM: 12,
      place: null,
      source: 'recorded' as const,
      layout: { kind: 'zones' as const, zones: lap.zones },
    };
    const made = edit('Imported a recording', (p) => addCircuit(p, circuit), {
      done: say.addedRecorded(circuit.name),
    });
    if (made) goOn(circuit.id);
  };
  const time = (s: number) => clockText(Math.round(s));
  return (
    <section className="panel px-4 py-3" aria-label="The recording’s own lap">
      <p>{say.recordedLap(time(lap.lapTime), lap.heavy, siText(lap.heat, 'energy', units))}</p>
      <p className={lap.tame ? 'mt-1 text-close' : 'mt-1 text-dim'} role={lap.tame ? 'alert' : undefined}>
        {lap.tame
          ? say.lineIsTame(lap.heavyOfLine, lap.heavy, siText(lap.heatOfLine, 'energy', units))
          : say.lineAgrees(lap.heavyOfLine, time(lap.timeOfLine), siText(lap.heatOfLine, 'energy', units))}
      </p>
      <button type="button" className={`btn mt-2 ${lap.tame ? 'btn-main' : ''}`} onClick={add}>
        Add its braking zones instead
      </button>
    </section>
  );
}
