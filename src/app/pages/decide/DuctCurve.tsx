import { useMemo } from 'react';
import type { AxleName, AxleNeed } from '../../../core';
import { formatQuantity, fromSi, siText, toShown, unitOf } from '../../../model';
import { AXLE_WORDS, celsius, LIMIT_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { useUnits } from '../../state/preferences';
import { Key } from '../../ui/charts/Key';
import { type ChartRule, LineChart } from '../../ui/charts/LineChart';
import { Disclosure } from '../../ui/Disclosure';

const whole = (value: number) => value.toFixed(0);
const LINES = [
  { key: 'rotorFace', name: 'rotor surface', color: 'var(--front)', dash: undefined },
  { key: 'padFace', name: 'pad surface', color: 'var(--close)', dash: '9 3' },
  { key: 'rotorBulk', name: 'rotor core (bulk)', color: 'var(--rear)', dash: '5 4' },
  { key: 'fluid', name: 'fluid', color: 'var(--act)', dash: '2 3' },
] as const;

/** Highest temperatures of an axle over the area of its ducts. */
export function DuctCurve({ axle, need }: { axle: AxleName; need: AxleNeed }) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const square = unitOf('area', units);
  const { lines, rules } = useMemo(() => {
    const area = (m2: number) => toShown(fromSi(m2, 'area'), square);
    const x = need.curve.map((point) => area(point.area));
    const found: ChartRule = { at: 'x', value: area(need.area), color: 'var(--ink)', text: 'found' };
    return {
      lines: LINES.map(({ key, name: part, color, dash }) => ({
        name: part,
        color,
        ...(dash && { dash }),
        x,
        y: need.curve.map((point) => toShown(celsius(point[key]), degree)),
      })),
      rules: need.kind === 'found' ? [found] : [],
    };
  }, [need, degree, square]);
  const name = say.highestTemperaturesOverDuct(AXLE_WORDS[axle]);
  return (
    <section className="panel px-4 py-3" aria-label={name}>
      <h2 className="text-[15px]">{name}</h2>
      <LineChart
        label={name}
        height={230}
        unit={degree.label}
        lines={lines}
        rules={rules}
        dots
        placeText={(v) => `${v.toFixed(square.decimals > 1 ? 1 : 0)} ${square.label}`}
        valueText={whole}
      />
      <p className="caption flex flex-wrap gap-x-4">
        {LINES.map(({ key, name: part, color, dash }) => (
          <Key key={key} color={color} dashed={dash !== undefined}>
            {part}
          </Key>
        ))}
      </p>
      <Disclosure className="mt-1" quiet summary="The same as a table">
        <table className="mt-1 text-right text-[13px]">
          <thead>
            <tr className="caption">
              <th className="px-2 font-normal">Duct</th>
              {LINES.map(({ key, name: part }) => (
                <th key={key} className="px-2 font-normal">
                  {part}
                </th>
              ))}
              <th className="px-2 font-normal">Least margin</th>
              <th className="px-2 text-left font-normal">of the</th>
            </tr>
          </thead>
          <tbody>
            {need.curve.map((point) => (
              <tr key={point.area} className="border-t border-rule/60">
                <td className="px-2">{siText(point.area, 'area', units)}</td>
                {LINES.map(({ key }) => (
                  <td key={key} className="px-2">
                    {siText(point[key], 'temperature', units)}
                  </td>
                ))}
                <td className="px-2">{formatQuantity(point.margin, 'difference', units)}</td>
                <td className="px-2 text-left">{LIMIT_TEXT[point.part].name}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Disclosure>
    </section>
  );
}
