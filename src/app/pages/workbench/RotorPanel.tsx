import { memo } from 'react';
import { AXLES, type AxleName, type RotorStrain } from '../../../core';
import { formatQuantity, siText, type UnitChoice } from '../../../model';
import { type Topic, wheelWords } from '../../../text/en';
import { say } from '../../../text/en/say/workbench';
import { useUnits } from '../../state/preferences';
import { shownWheel } from '../../state/selection';
import type { ChartProps } from '../../state/useSession';
import { HowResult } from './HowResult';

interface Row {
  readonly name: string;
  readonly topic: Topic;
  readonly value: (strain: RotorStrain, units: UnitChoice) => string;
}
const mm = (metres: number, units: UnitChoice) => siText(metres, 'smallLength', units, 2);

const ROWS: readonly Row[] = [
  { name: 'Growth in diameter', topic: 'growth', value: (s, u) => mm(s.growth, u) },
  { name: say.floatRingNeedsBell, topic: 'growth', value: (s, u) => mm(s.floatNeeded, u) },
  {
    name: 'Ring over bell (hat), at most',
    topic: 'coning',
    value: (s, u) => formatQuantity(s.ringOverHat, 'difference', u),
  },
  {
    name: 'Coning of the outer edge',
    topic: 'coning',
    value: (s, u) => (s.coning === null ? 'free to grow' : mm(s.coning, u)),
  },
  {
    name: 'Stress at the surface',
    topic: 'stress',
    value: (s) =>
      `${(s.faceStress / 1e6).toFixed(0)} MPa${s.concentration > 1 ? ` × ${s.concentration}` : ''}`,
  },
  {
    name: 'Fatigue damage index',
    topic: 'crack',
    value: (s) => (s.fatigueDamage === null ? 'not what ends it' : `${(100 * s.fatigueDamage).toFixed(1)} %`),
  },
  {
    name: 'Pads glazed',
    topic: 'glaze',
    value: (s) => (s.glaze < 0.0005 ? 'none' : `${(100 * s.glaze).toFixed(1)} %`),
  },
];

/** What the day's heat does to rotors and pads, beside the temperatures. */
export const RotorPanel = memo(function RotorPanel({
  computed,
  selection,
}: Pick<ChartProps, 'computed' | 'selection'>) {
  const units = useUnits();
  const { result } = computed;
  const strain = (axle: AxleName) => result.strain[shownWheel(result, axle, selection.side)];
  const drilled = AXLES.filter((axle) => {
    const { rotor, drum } = computed.setup.car[axle];
    return !drum && rotor.surface === 'drilled';
  });
  return (
    <section className="panel relative overflow-x-auto px-3 py-2.5" aria-label="Rotors and pads">
      <h2 className="text-[15px]">Rotors and pads over the day</h2>
      <table className="mt-1 w-full text-[13px]">
        <thead>
          <tr className="text-left">
            <th className="caption py-0.5 font-normal">Indices, for comparing parts</th>
            <th className="text-right font-[620]">Front</th>
            <th className="text-right font-[620]">Rear</th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map(({ name, topic, value }) => (
            <tr key={name} className="border-t border-rule/60">
              <th className="py-1 text-left font-normal">
                {name} <HowResult topic={topic} computed={computed} name={name.toLowerCase()} />
              </th>
              {AXLES.map((axle) => (
                <td key={axle} className="text-right font-[560]">
                  {value(strain(axle), units)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {drilled.length > 0 && (
        <p className="caption mt-1">
          {say.drilledStressDoublesHoles(drilled.map((axle) => wheelWords(axle, 'both')).join(' and '))}
        </p>
      )}
      <p className="caption mt-1">{say.crackEdgeBetweenHoles}</p>
    </section>
  );
});
