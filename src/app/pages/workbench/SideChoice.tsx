import { type DayResult, distinctWheels } from '../../../core';
import { type Selection, type ShownSide, shownWheel } from '../../state/selection';

/** Which side's wheels the drawings show, where left and right differ. */
export function SideChoice({
  result,
  selection,
  onSelect,
}: {
  result: DayResult;
  selection: Selection;
  onSelect: (selection: Selection) => void;
}) {
  if (distinctWheels(result.record.wheels).length === 2) return null;
  const side = (axle: 'front' | 'rear') =>
    shownWheel(result, axle, 'hotter').endsWith('Left') ? 'left' : 'right';
  const [front, rear] = [side('front'), side('rear')];
  const hotter = front === rear ? front : `${front} and ${rear}`;
  return (
    <>
      <label className="sr-only" htmlFor="side">
        Side shown
      </label>
      <select
        id="side"
        className="field narrow w-auto pr-6"
        value={selection.side}
        onChange={(event) => onSelect({ ...selection, side: event.target.value as ShownSide })}
      >
        <option value="hotter">Hotter side ({hotter})</option>
        <option value="left">Left side</option>
        <option value="right">Right side</option>
      </select>
    </>
  );
}
