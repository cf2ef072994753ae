import { SIDES_DIFFER, type SidePeaks, type WheelSides } from '../../../core';
import { type Setup, siText } from '../../../model';
import { temperatureText } from '../../../text/en';
import { say } from '../../../text/en/say/inside';
import { useUnits } from '../../state/preferences';
import { type Editing, useItem } from '../../state/useItem';
import { useSides } from '../../state/useSides';
import { Disclosure } from '../../ui/Disclosure';

/** Inner and outer side of the day's disc brakes: a line where they are alike, a table where they are not. */
export function SidesPanel({ setup }: { readonly setup: Setup }) {
  const units = useUnits();
  const car = useItem('cars', setup.car.id);
  const query = useSides(setup);
  const sides = query.data?.wheels;
  const most = query.data?.apart ?? 0;
  return (
    <section className="panel px-3 py-2.5" aria-label="Inner and outer side" data-testid="sides">
      <h2 className="text-[15px]">Inner and outer side</h2>
      {query.isError && (
        <p role="alert" className="text-over">
          {say.sidesNotDriven(query.error.message)}
        </p>
      )}
      {!sides && !query.isError && <p className="text-dim">{say.drivingSides}</p>}
      {sides?.length === 0 && <p className="text-dim">{say.noDiscs}</p>}
      {sides && sides.length > 0 && (
        <Disclosure open={most > SIDES_DIFFER} summary={say.sidesDiffer(siText(most, 'difference', units))}>
          <SidesTable sides={sides} />
          <p className="caption mt-1">{say.whatSidesAre}</p>
          {car && <Judged editing={car} sides={sides} />}
        </Disclosure>
      )}
    </section>
  );
}

const ROWS: readonly (readonly [string, Exclude<keyof SidePeaks, 'worn'>])[] = [
  ['Rotor surface', 'face'],
  ['Pad surface', 'padFace'],
  ['Pad backing plate', 'plate'],
];

function SidesTable({ sides }: { readonly sides: readonly WheelSides[] }) {
  const units = useUnits();
  const name = ({ wheel, axle }: WheelSides) =>
    sides.filter((other) => other.axle === axle).length > 1
      ? `${axle} ${wheel.endsWith('Left') ? 'left' : 'right'}`
      : axle;
  return (
    <div className="relative overflow-x-auto">
      <table className="mt-1 w-full text-[13px]">
        <thead>
          <tr className="caption text-left">
            <th className="font-normal">Highest of the day</th>
            {sides.map((one) => (
              <th key={one.wheel} colSpan={2} className="px-2 text-right font-normal">
                {name(one)}: outer, inner
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map(([label, part]) => (
            <tr key={part} className="border-t border-rule/60">
              <th className="py-1 text-left font-normal">{label}</th>
              {sides.flatMap((one) =>
                (['outer', 'inner'] as const).map((side) => {
                  const hotter = one[side][part] >= Math.max(one.outer[part], one.inner[part]);
                  return (
                    <td
                      key={`${one.wheel} ${side}`}
                      className={`px-2 text-right ${hotter ? 'font-[620]' : ''}`}
                    >
                      {temperatureText(one[side][part], units)}
                    </td>
                  );
                }),
              )}
            </tr>
          ))}
          <tr className="border-t border-rule/60">
            <th className="py-1 text-left font-normal">Pad worn off</th>
            {sides.flatMap((one) =>
              (['outer', 'inner'] as const).map((side) => (
                <td key={`${one.wheel} ${side}`} className="px-2 text-right">
                  {siText(one[side].worn, 'smallLength', units, units.smallLength === 'us' ? 3 : 2)}
                </td>
              )),
            )}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** Whether an axle's limits are those of its sides as one, or of the hotter side. */
function Judged({
  editing,
  sides,
}: {
  readonly editing: Editing<'cars'>;
  readonly sides: readonly WheelSides[];
}) {
  return (
    <div className="mt-2 flex flex-wrap gap-2">
      {(['front', 'rear'] as const)
        .filter((axle) => sides.some((one) => one.axle === axle))
        .map((axle) => {
          const apart = editing.item[axle].sides === 'apart';
          return (
            <button
              key={axle}
              type="button"
              className="btn"
              aria-pressed={apart}
              onClick={() =>
                editing.set([axle, 'sides'], apart ? 'together' : 'apart', `Inner and outer side, ${axle}`)
              }
            >
              {apart ? say.judgeAsOne(axle) : say.judgeBySide(axle)}
            </button>
          );
        })}
    </div>
  );
}
