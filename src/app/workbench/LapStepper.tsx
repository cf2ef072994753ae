import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { SessionResult } from '../../core';
import { type Selection, stepLap } from './selection';

const KINDS = { out: 'out lap', hot: 'hot lap', cool: 'cool-down lap' } as const;

/** Which lap of the session the lap chart, the map and the stop list show. */
export function LapStepper({
  result,
  selection,
  onSelect,
}: {
  result: SessionResult;
  selection: Selection;
  onSelect: (selection: Selection) => void;
}) {
  const { laps } = result;
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
      <select
        id="lap"
        className="field narrow w-auto pr-6"
        value={selection.lap}
        onChange={(event) => onSelect({ ...selection, lap: Number(event.target.value) })}
      >
        {laps.map((lap) => (
          <option key={lap.number} value={lap.number}>
            {`Lap ${lap.number} of ${laps.length}, ${KINDS[lap.kind]}`}
          </option>
        ))}
      </select>
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
