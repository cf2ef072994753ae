import { ChevronLeft, ChevronRight } from 'lucide-react';
import { type Selection, stepLap } from '../../state/selection';
import type { Computed } from '../../state/useSession';
import { Choice } from '../../ui/Choice';

const KINDS = { out: 'out lap', hot: 'hot lap', cool: 'cool-down lap' } as const;

/** Which lap of the day the lap chart, the map and the braking zone list show. */
export function LapStepper({
  computed,
  selection,
  onSelect,
}: {
  computed: Computed;
  selection: Selection;
  onSelect: (selection: Selection) => void;
}) {
  const { laps } = computed.result;
  const { sessions } = computed.setup.plan;
  const inSession = sessions.map((_, session) => laps.filter((lap) => lap.session === session));
  const option = (lap: (typeof laps)[number]) =>
    [
      String(lap.number),
      `Lap ${lap.numberInSession} of ${inSession[lap.session].length}, ${KINDS[lap.kind]}`,
    ] as const;
  return (
    <div className="flex items-center gap-1">
      <button
        type="button"
        className="btn btn-bare px-1.5"
        aria-label="Previous lap"
        disabled={selection.lap <= 1}
        onClick={() => onSelect(stepLap(selection, -1, laps.length))}
      >
        <ChevronLeft size={16} aria-hidden="true" />
      </button>
      <label className="sr-only" htmlFor="lap">
        Lap shown
      </label>
      <Choice
        id="lap"
        className="narrow w-auto!"
        value={String(selection.lap)}
        options={sessions.length === 1 ? laps.map(option) : []}
        groups={
          sessions.length === 1
            ? []
            : sessions.map(({ name }, k) => ({ title: name, options: inSession[k].map(option) }))
        }
        onChange={(lap) => onSelect({ ...selection, lap: Number(lap) })}
      />
      <button
        type="button"
        className="btn btn-bare px-1.5"
        aria-label="Next lap"
        disabled={selection.lap >= laps.length}
        onClick={() => onSelect(stepLap(selection, 1, laps.length))}
      >
        <ChevronRight size={16} aria-hidden="true" />
      </button>
    </div>
  );
}
