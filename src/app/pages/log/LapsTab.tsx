import { useState } from 'react';
import { formatQuantity, siText, type UnitChoice } from '../../../model';
import type { ListedPiece, LogAnalysis } from '../../../services';
import { lapText, noteText } from '../../../text/en';
import { say } from '../../../text/en/say/log';
import { useUnits } from '../../state/preferences';
import { FitPanel } from './FitPanel';
import type { LogViewProps } from './logView';
import { SpeedChart } from './SpeedChart';
import { ZoneComparison } from './ZoneComparison';

const BY = {
  position: say.positionsStartLine,
  'lap-number': 'by the logger’s own lap number',
  speed: say.layingSimulatedLapS,
  none: say.notAllNoLap,
} as const;
const KINDS = { out: 'Out lap', hot: 'Hot lap', cool: 'Cool-down lap', stand: 'Standing' } as const;

/** The laps of a log, and the braking zones of one of them beside those of the simulated lap. */
export function LapsTab({ entry, analysis }: LogViewProps) {
  const units = useUnits();
  const [chosen, setChosen] = useState<number | null>(null);
  const picked = chosen ?? analysis.typical ?? analysis.pieces.findIndex((p) => p.kind !== 'stand');
  const piece: ListedPiece | undefined = analysis.pieces[picked];
  const notes = [...entry.notes, ...entry.found.map((note) => noteText(note, entry.lineOf))];
  return (
    <>
      <section className="panel px-4 py-3" aria-label="The log">
        <p>
          <strong className="font-[640]">{entry.name}</strong>
          {say.samplesSecondSpeedScatters(
            entry.samples,
            rateText(analysis),
            siText(analysis.noise, 'speed', units, 2),
            BY[analysis.by],
          )}
        </p>
        {analysis.step > 0.3 && <p className="mt-1 text-close">{say.soFewSamplesShow}</p>}
        {analysis.otherCircuit && (
          <p className="mt-1 text-close" role="alert">
            {say.lapsLongPlanS(
              formatQuantity(analysis.otherCircuit.logged, 'distance', units),
              formatQuantity(analysis.otherCircuit.circuit, 'distance', units),
            )}
          </p>
        )}
        {notes.length > 0 && (
          <ul className="mt-1.5 grid gap-0.5 text-dim" aria-label="Notes on the log">
            {notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        )}
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[400px_minmax(0,1fr)]">
        <section className="panel max-h-[560px] overflow-auto px-3 py-2" aria-label="Laps">
          <LapTable analysis={analysis} picked={picked} setChosen={setChosen} units={units} />
        </section>
        {piece && piece.kind !== 'stand' ? (
          <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
            <SpeedChart analysis={analysis} piece={piece} />
            <ZoneComparison analysis={analysis} piece={piece} />
          </div>
        ) : (
          <p className="panel px-4 py-6 text-dim">{say.nothingWasDrivenLog}</p>
        )}
      </div>
      {piece && piece.kind !== 'stand' && piece.whole && (
        <FitPanel key={picked} entry={entry} analysis={analysis} piece={piece} />
      )}
    </>
  );
}

/** Samples a second as they came, and as the speed was made of positions. */
function rateText({ sampled, step }: LogAnalysis): string {
  const rate = (every: number) => (1 / every).toFixed(every > 0.9 ? 1 : 0);
  return step > 1.5 * sampled ? say.speedMadeAt(rate(sampled), rate(step)) : rate(sampled);
}

/** The laps and other pieces of the log; one is picked. */
function LapTable({
  analysis,
  picked,
  setChosen,
  units,
}: {
  analysis: LogAnalysis;
  picked: number;
  setChosen: (value: number | null) => void;
  units: UnitChoice;
}) {
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="caption">
          <th className="py-1 font-normal">Part</th>
          <th className="px-1.5 text-right font-normal">Time</th>
          <th className="px-1.5 text-right font-normal">Fastest</th>
          <th className="px-1.5 text-right font-normal">Brake heat</th>
        </tr>
      </thead>
      <tbody>
        {analysis.pieces.map((p, i) => (
          <tr key={p.from} className={`border-t border-rule/60 ${i === picked ? 'bg-sunk' : ''}`}>
            <td className="py-1">
              {p.kind === 'stand' ? (
                <span className="text-dim">Standing</span>
              ) : (
                <button
                  type="button"
                  className="text-left underline-offset-2 hover:underline"
                  aria-pressed={i === picked}
                  onClick={() => setChosen(i)}
                >
                  {p.lap + 1} · {p.whole ? KINDS[p.kind] : p.kind === 'out' ? 'In lap' : 'Out lap'}
                </button>
              )}
              {i === analysis.best && <span className="caption ml-1.5">best</span>}
              {i === analysis.typical && i !== analysis.best && (
                <span className="caption ml-1.5">typical</span>
              )}
              {p.missing >= 0.5 && (
                <span className="caption ml-1.5 text-close">{p.missing.toFixed(1)} s missing</span>
              )}
            </td>
            <td className="px-1.5 text-right tabular-nums">{lapText(p.to - p.from)}</td>
            <td className="px-1.5 text-right tabular-nums">
              {p.kind !== 'stand' && siText(p.topSpeed, 'speed', units)}
            </td>
            <td className="px-1.5 text-right tabular-nums">
              {p.kind !== 'stand' && siText(p.heat, 'energy', units)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
