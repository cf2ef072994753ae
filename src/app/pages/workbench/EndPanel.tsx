import { memo } from 'react';
import { AXLES, type AxleName, type BrakeState, type RecordedPart } from '../../../core';
import { keepState, siText, storedBrakesOf, type UnitChoice } from '../../../model';
import { PART_NAMES, temperatureText } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import { useEdit } from '../../state/useEdit';
import type { ChartProps } from '../../state/useSession';

const PARTS: readonly RecordedPart[] = ['rotorBulk', 'padFace', 'caliper', 'fluid'];
const mm = (metres: number, units: UnitChoice) => siText(metres, 'smallLength', units);
const CARRIED: readonly (readonly [string, (state: BrakeState, units: UnitChoice) => string])[] = [
  ['Pads glazed', (s) => (s.glaze < 0.0005 ? 'none' : `${(100 * s.glaze).toFixed(1)} %`)],
  [
    'Pad left, inner and outer',
    ({ padThickness: { inner, outer } }, u) => `${mm(inner, u)}, ${mm(outer, u)}`,
  ],
  ['Rotor or rim thickness', (s, u) => mm(s.rotorThickness, u)],
  ['Water in the fluid', (s) => `${s.water.toFixed(1)} %`],
];

/** The brakes as the day leaves them, to be kept and begun from another day. */
export const EndPanel = memo(function EndPanel({
  computed,
  selection,
}: Pick<ChartProps, 'computed' | 'selection'>) {
  const units = useUnits();
  const edit = useEdit();
  const { result, setup } = computed;
  const wheel = (axle: AxleName) => shownWheel(result, axle, selection.side);
  const last = result.record.time.length - 1;
  const name = `After ${setup.plan.name}`.slice(0, 80);
  return (
    <section className="panel relative overflow-x-auto px-3 py-2.5" aria-label="Brakes when the day ends">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[15px]">Brakes when the day ends</h2>
        <button
          type="button"
          className="btn"
          onClick={() =>
            edit(
              'Kept a state of the brakes',
              (project) =>
                keepState(project, {
                  id: crypto.randomUUID(),
                  name,
                  carId: setup.car.id,
                  keptAt: new Date().toISOString(),
                  brakes: storedBrakesOf(result.end),
                }),
              { done: say.keptChoosePlanRename(name) },
            )
          }
        >
          Keep this state
        </button>
      </div>
      <table className="mt-1 w-full max-w-[560px] text-[13px]">
        <thead>
          <tr className="text-left">
            <th className="caption py-0.5 font-normal">{say.planGoesHere}</th>
            <th className="text-right font-[620]">Front</th>
            <th className="text-right font-[620]">Rear</th>
          </tr>
        </thead>
        <tbody>
          {PARTS.map((part) => (
            <Row
              key={part}
              label={PART_NAMES[part].title}
              value={(axle) => temperatureText(result.record.wheels[wheel(axle)][part][last], units)}
            />
          ))}
          {CARRIED.map(([label, text]) => (
            <Row key={label} label={label} value={(axle) => text(result.end[wheel(axle)], units)} />
          ))}
        </tbody>
      </table>
      <p className="caption mt-1">{say.temperaturesGlazeComputedThicknesses}</p>
    </section>
  );
});

function Row({ label, value }: { label: string; value: (axle: AxleName) => string }) {
  return (
    <tr className="border-t border-rule/60">
      <th className="py-1 text-left font-normal">{label}</th>
      {AXLES.map((axle) => (
        <td key={axle} className="text-right font-[560]">
          {value(axle)}
        </td>
      ))}
    </tr>
  );
}
