import { type DayResult, distinctWheels } from '../../../core';
import { type Selection, type ShownSide, shownWheel } from '../../state/selection';
import { Choice } from '../../ui/Choice';

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
      <Choice<ShownSide>
        id="side"
        className="narrow w-auto!"
        value={selection.side}
        options={[
          ['hotter', `Hotter side (${hotter})`],
          ['left', 'Left side'],
          ['right', 'Right side'],
        ]}
        onChange={(shown) => onSelect({ ...selection, side: shown })}
      />
    </>
  );
}
