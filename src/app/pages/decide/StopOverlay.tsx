import { scaleLinear } from 'd3-scale';
import { memo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type AxleName, leastMargin, type SummaryStop } from '../../../core';
import { siText, toShown, unitOf } from '../../../model';
import { comparisonCsv } from '../../../report';
import { celsius, marginWords, moneyText, verdictText } from '../../../text/en';
import { AxleField } from '../../shared/AxleField';
import { download } from '../../shell/files';
import { useProject, useSetup } from '../../state/context';
import { usePickedStop } from '../../state/picked';
import { useUnits } from '../../state/preferences';
import { pictureOf, standaloneSvg } from '../../ui/charts/picture';
import { useWidth } from '../../ui/charts/useSize';
import { SelectField } from '../../ui/SelectField';
import type { Compared } from './compared';
import { SETUP_LOOKS, SetupMark, SetupShape } from './SetupMark';

type Quantity = keyof SummaryStop['front'];
/** Height of a setup's lines in the legend. */
const ENTRY = 34;
const QUANTITIES: readonly (readonly [Quantity, string])[] = [
  ['facePeak', 'Rotor surface, hottest in the braking zone'],
  ['faceBefore', 'Rotor surface before the braking zone'],
  ['bulkAfter', 'Rotor core (bulk) after the braking zone'],
  ['padFaceBefore', 'Pad surface at first bite'],
  ['fluidAfter', 'Fluid after the braking zone'],
];
const HEIGHT = 300;
const [LEFT, RIGHT, TOP, BOTTOM] = [52, 12, 14, 40];

/** Temperatures stop by stop of each setup's hottest lap, one over the other. */
export const StopOverlay = memo(function StopOverlay({ compared }: { compared: readonly Compared[] }) {
  const units = useUnits();
  const setup = useSetup();
  const [axle, setAxle] = useState<AxleName>('front');
  const [quantity, setQuantity] = useState<Quantity>('facePeak');
  const [box, width] = useWidth<HTMLDivElement>(1100);
  const svg = useRef<SVGSVGElement>(null);
  const degree = unitOf('temperature', units);
  const { currency } = useProject();
  const value = (own: SummaryStop) => toShown(celsius(own[axle][quantity]), degree);
  const figuresOf = ({ assessed: { summary }, price, priced, id }: Compared) =>
    [
      verdictText(summary, units).state,
      marginWords(leastMargin(summary), units),
      `${summary.lapTime.toFixed(2)} s`,
      ...(id !== null && priced ? [moneyText(price, currency)] : []),
    ].join(' · ');
  const title = `${axle === 'front' ? 'Front' : 'Rear'}: ${QUANTITIES.find(([q]) => q === quantity)?.[1] ?? ''}`;
  const most = Math.max(...compared.map((c) => c.assessed.summary.stops.length));
  const columns = width < 640 ? 1 : 2;
  const legend = Math.ceil(compared.length / columns) * ENTRY;
  const [stop, pick] = usePickedStop(most);
  const height = HEIGHT + legend;
  const all = compared.flatMap((c) => c.assessed.summary.stops.map(value));
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [HEIGHT - BOTTOM, TOP]).nice(5);
  const step = Math.max(20, (Math.max(width, 320) - LEFT - RIGHT) / Math.max(1, most));
  const x = (k: number) => LEFT + (k + 0.5) * step;
  const names = compared.reduce((a, b) =>
    b.assessed.summary.stops.length > a.assessed.summary.stops.length ? b : a,
  ).assessed.summary.stops;
  const save = async (kind: 'svg' | 'png' | 'csv') => {
    try {
      if (kind === 'csv') {
        download('table', `${setup.plan.name} setups`, comparisonCsv(compared, units));
        return;
      }
      if (!svg.current) throw new Error('The picture is not drawn yet.');
      const content = kind === 'svg' ? standaloneSvg(svg.current) : await pictureOf(svg.current);
      download(kind, `${setup.plan.name} setups`, content);
    } catch (error) {
      toast.error(`Nothing was exported. ${(error as Error).message}`);
    }
  };
  return (
    <section className="panel px-4 py-3" aria-label="Braking zones of all setups">
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="mr-auto text-[15px]">Zone by zone, each setup’s hottest lap</h2>
        <div className="w-[110px]">
          <AxleField value={axle} onChange={setAxle} />
        </div>
        <div className="w-[250px]">
          <SelectField label="Temperature" value={quantity} options={QUANTITIES} onChange={setQuantity} />
        </div>
        <button type="button" className="btn" onClick={() => void save('png')}>
          Picture (PNG)
        </button>
        <button type="button" className="btn" onClick={() => void save('svg')}>
          SVG
        </button>
        <button type="button" className="btn" onClick={() => void save('csv')}>
          Table (CSV)
        </button>
      </div>
      <div ref={box} className="mt-2 overflow-x-auto">
        <svg ref={svg} width={LEFT + RIGHT + step * most} height={height} role="img" aria-label={title}>
          <title>{title}</title>
          <text x={LEFT} y={10} fontSize={11.5} fill="var(--dim)">
            {title} · {setup.circuit.name}
          </text>
          {y.ticks(6).map((tick) => (
            <g key={tick}>
              <line
                x1={LEFT}
                x2={LEFT + step * most}
                y1={y(tick)}
                y2={y(tick)}
                stroke="var(--rule)"
                strokeWidth={0.7}
              />
              <text x={LEFT - 6} y={y(tick) + 4} fontSize={11} textAnchor="end" fill="var(--dim)">
                {tick} {degree.label}
              </text>
            </g>
          ))}
          {stop !== null && (
            <rect
              x={x(stop) - step / 2}
              y={TOP - 4}
              width={step}
              height={HEIGHT - TOP - 4}
              fill="var(--act)"
              fillOpacity={0.13}
            />
          )}
          {names.map(({ name }, k) => (
            <text
              // biome-ignore lint/suspicious/noArrayIndexKey: a stop is its place in the lap
              key={k}
              x={x(k)}
              y={HEIGHT - BOTTOM + 15}
              fontSize={11}
              textAnchor="middle"
              fill="var(--ink)"
            >
              {k + 1}
              <tspan x={x(k)} dy={13} fontSize={10} fill="var(--dim)">
                {name.slice(0, Math.max(3, Math.floor(step / 6)))}
              </tspan>
            </text>
          ))}
          {compared.map((c, i) => {
            const points = c.assessed.summary.stops.map((stop, k) => [x(k), y(value(stop))] as const);
            const { color, dash } = SETUP_LOOKS[i];
            return (
              <g key={c.id ?? 'plan'}>
                <polyline
                  points={points.map((p) => p.join(',')).join(' ')}
                  fill="none"
                  stroke={color}
                  strokeWidth={2}
                  strokeDasharray={dash || undefined}
                />
                {points.map(([px, py]) => (
                  <SetupShape key={px} index={i} x={px} y={py} />
                ))}
              </g>
            );
          })}
          {compared.map((c, i) => {
            const wide = (step * most) / columns;
            const left = LEFT + (i % columns) * wide;
            const top = HEIGHT + Math.floor(i / columns) * ENTRY;
            const short = (text: string, each: number) => {
              const room = Math.max(4, Math.floor((wide - 44) / each));
              return text.length > room ? `${text.slice(0, room - 1)}…` : text;
            };
            return (
              <g key={c.id ?? 'plan'}>
                <line
                  x1={left}
                  x2={left + 30}
                  y1={top}
                  y2={top}
                  stroke={SETUP_LOOKS[i].color}
                  strokeWidth={2}
                  strokeDasharray={SETUP_LOOKS[i].dash || undefined}
                />
                <SetupShape index={i} x={left + 15} y={top} />
                <text x={left + 38} y={top + 4} fontSize={12} fill="var(--ink)">
                  {short(c.name, 6.4)}
                  <tspan x={left + 38} dy={14} fontSize={11} fill="var(--dim)">
                    {short(figuresOf(c), 5.4)}
                  </tspan>
                </text>
              </g>
            );
          })}
          {names.map((_, k) => (
            // biome-ignore lint/a11y/noStaticElementInteractions: the keys comma and period step through the stops
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: a stop is its place in the lap
              key={k}
              data-testid={`pick-${k + 1}`}
              x={x(k) - step / 2}
              y={TOP - 4}
              width={step}
              height={HEIGHT - TOP - 4}
              fill="transparent"
              className="cursor-pointer"
              onClick={() => pick(k)}
            />
          ))}
        </svg>
      </div>
      <p className="caption" aria-live="polite">
        {stop === null
          ? 'A click picks a braking zone, here and on every page; the keys , and . step through them.'
          : `Picked: ${stop + 1} ${names[stop]?.name ?? ''}: ${compared
              .flatMap((c) => {
                const own = c.assessed.summary.stops[stop];
                return own ? [`${c.name} ${siText(own[axle][quantity], 'temperature', units)}`] : [];
              })
              .join(', ')}.`}
      </p>
      <details className="mt-1">
        <summary className="caption">The same as a table</summary>
        <div className="overflow-x-auto">
          <table className="mt-1 text-right text-[13px]">
            <caption className="sr-only">{title}, by braking zone and setup</caption>
            <thead>
              <tr className="caption">
                <th className="px-2 text-left font-normal">Braking zone</th>
                {compared.map((c, i) => (
                  <th key={c.id ?? 'plan'} className="px-2 font-normal">
                    <SetupMark index={i} /> {c.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {names.map((stop, k) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a stop is its place in the lap
                <tr key={k} className="border-t border-rule/60">
                  <th className="px-2 text-left font-[520]">
                    {k + 1} {stop.name}
                  </th>
                  {compared.map((c) => {
                    const own = c.assessed.summary.stops[k];
                    return (
                      <td key={c.id ?? 'plan'} className="px-2">
                        {own ? siText(own[axle][quantity], 'temperature', units) : '—'}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </section>
  );
});
