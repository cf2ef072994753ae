import { useMemo } from 'react';
import type { BalanceSweep } from '../../../core';
import { formatQuantity, toShown, unitOf } from '../../../model';
import { LIMIT_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { useUnits } from '../../state/preferences';
import { Key } from '../../ui/charts/Key';
import { LineChart } from '../../ui/charts/LineChart';
import { Disclosure } from '../../ui/Disclosure';

/** Temperature margin of both axles over the brake balance, against the ideal balance. */
export function SweepChart({ sweep }: { sweep: BalanceSweep }) {
  const units = useUnits();
  const degree = unitOf('difference', units);
  const { lines, rules } = useMemo(() => {
    const x = sweep.points.map((p) => 100 * p.share);
    const line = (axle: 'front' | 'rear', dash?: string) => ({
      name: `${axle}, least margin`,
      color: `var(--${axle})`,
      ...(dash && { dash }),
      x,
      y: sweep.points.map((p) => toShown(p.margin[axle].kelvin, degree)),
    });
    return {
      lines: [line('front'), line('rear', '8 3')],
      rules: [
        { at: 'y' as const, value: 0, color: 'var(--over)' },
        { at: 'x' as const, value: 100 * sweep.ideal, color: 'var(--ink)', dash: '6 4', text: 'tyres' },
        { at: 'x' as const, value: 100 * sweep.now, color: 'var(--act)', text: 'now' },
      ],
    };
  }, [sweep, degree]);
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  return (
    <>
      <p className="mt-1 max-w-[92ch]">
        {say.nowWarmPadsIdeal(percent(sweep.now))}
        <strong className="font-[640]">{percent(sweep.ideal)}</strong>
        {say.overHotLaps(
          sweep.even === null ? say.rangeFrontRearNever : say.bothAxlesKeepSame(percent(sweep.even)),
        )}
      </p>
      <LineChart
        label={say.leastMarginBothAxles}
        height={240}
        unit={degree.label}
        lines={lines}
        rules={rules}
        dots
        placeText={(v) => `${v.toFixed(0)} %`}
        valueText={(v) => v.toFixed(0)}
      />
      <p className="caption flex gap-4">
        <Key color="var(--front)">front, least margin</Key>
        <Key color="var(--rear)" dashed>
          rear, least margin
        </Key>
      </p>
      <Disclosure className="mt-1" quiet summary="The same as a table">
        <table className="mt-1 text-right text-[13px]">
          <thead>
            <tr className="caption">
              <th className="px-2 font-normal">Brake balance (% front)</th>
              <th className="px-2 font-normal">Front margin</th>
              <th className="px-2 text-left font-normal">of the</th>
              <th className="px-2 font-normal">Rear margin</th>
              <th className="px-2 text-left font-normal">of the</th>
              <th className="px-2 font-normal">Brake reserve</th>
            </tr>
          </thead>
          <tbody>
            {sweep.points.map((p) => (
              <tr key={p.share} className="border-t border-rule/60">
                <td className="px-2">{percent(p.share)}</td>
                <td className="px-2">{formatQuantity(p.margin.front.kelvin, 'difference', units)}</td>
                <td className="px-2 text-left">{LIMIT_TEXT[p.margin.front.part].name}</td>
                <td className="px-2">{formatQuantity(p.margin.rear.kelvin, 'difference', units)}</td>
                <td className="px-2 text-left">{LIMIT_TEXT[p.margin.rear.part].name}</td>
                <td className="px-2">{p.fade === null ? '—' : `${(100 * p.fade).toFixed(0)} %`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Disclosure>
    </>
  );
}
