import { useMemo } from 'react';
import type { BeddingPlan } from '../../../core';
import { fromSi, toShown, unitOf } from '../../../model';
import type { BeddingQuestion } from '../../../services';
import { say } from '../../../text/en/say/prepare';
import { useUnits } from '../../state/preferences';
import { Key } from '../../ui/charts/Key';
import { LineChart } from '../../ui/charts/LineChart';

/** Pad surface and rotor over the run, surface and core, with the band in which the pads are bedded. */
export function BedChart({
  plan,
  question,
}: {
  readonly plan: BeddingPlan;
  readonly question: BeddingQuestion;
}) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const { lines, rules } = useMemo(() => {
    const shown = (kelvin: number) => toShown(fromSi(kelvin, 'temperature'), degree);
    const x = Float64Array.from(plan.time, (s) => fromSi(s, 'minutes'));
    const [first] = question.recipe.axles;
    return {
      lines: question.axles.flatMap((axle) => {
        const color = `var(--${axle})`;
        const own = plan.curves[axle];
        const line = (name: string, dash: string, values: Float32Array) => ({
          name: `${axle} ${name}`,
          color,
          ...(dash && { dash }),
          x,
          y: Float64Array.from(values, shown),
        });
        return [
          line('pad surface', '', own.padFace),
          line('rotor surface', '2 2', own.rotorFace),
          line('rotor core', '7 3', own.rotorBulk),
        ];
      }),
      rules: [
        {
          at: 'y' as const,
          value: shown(first.bed[0]),
          color: 'var(--act)',
          text: `${first.axle} beds from`,
        },
        { at: 'y' as const, value: shown(first.bed[1]), color: 'var(--over)', text: 'to' },
        { at: 'y' as const, value: shown(first.warm[0]), color: 'var(--dim)', dash: '4 3', text: 'warm' },
      ],
    };
  }, [plan, question, degree]);
  return (
    <div className="mt-2">
      <LineChart
        label={say.bedChart}
        height={260}
        unit={degree.label}
        lines={lines}
        rules={rules}
        placeText={(v) => `${v.toFixed(1)} min`}
        valueText={(v) => v.toFixed(0)}
      />
      <p className="flex flex-wrap gap-x-4">
        {lines.map(({ name, color, dash }) => (
          <Key key={name} color={color} dashed={dash ?? false}>
            {name}
          </Key>
        ))}
      </p>
    </div>
  );
}
