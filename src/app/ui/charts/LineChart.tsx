import { memo, useMemo, useState } from 'react';
import { PlaceAxis, ValueAxis } from './Axis';
import { linearScale, niceScale } from './linearScale';
import { densePath } from './paths';
import { useWidth } from './useSize';

/** A line of a chart, in shown units. */
export interface ChartLine {
  readonly name: string;
  readonly color: string;
  /** Stroke pattern; solid without */
  readonly dash?: string;
  readonly x: ArrayLike<number>;
  readonly y: ArrayLike<number>;
}
/** A band between two lines over the same places. */
export interface ChartBand {
  readonly name: string;
  readonly opacity: number;
  readonly x: ArrayLike<number>;
  readonly low: ArrayLike<number>;
  readonly high: ArrayLike<number>;
}
/** A rule across the chart, at a value or a place. */
export interface ChartRule {
  readonly at: 'x' | 'y';
  readonly value: number;
  readonly color: string;
  readonly text?: string;
  readonly dash?: string;
}

const [LEFT, RIGHT, TOP, BOTTOM] = [46, 12, 22, 20];

/**
 * Lines over a place or a time, drawn as plain paths: many of them on a page cost little. The figures under the pointer
 * stand over the chart; what a screen reader needs stands in a table beside it.
 */
export const LineChart = memo(function LineChart({
  label,
  height,
  unit,
  lines,
  bands = [],
  rules = [],
  dots = false,
  placeText,
  tickText = placeText,
  valueText = (value) => String(Number(value.toFixed(1))),
}: {
  label: string;
  height: number;
  /** Of the values */
  unit: string;
  lines: readonly ChartLine[];
  bands?: readonly ChartBand[];
  rules?: readonly ChartRule[];
  dots?: boolean;
  placeText: (place: number) => string;
  /** At the axis; '' where a tick has no name */
  tickText?: (place: number) => string;
  valueText?: (value: number) => string;
}) {
  const [box, width] = useWidth<HTMLDivElement>(480);
  const [pointed, setPointed] = useState<number | null>(null);
  const bottom = height - BOTTOM;
  const { x, y, paths } = usePaths({ lines, bands, rules }, width, height);
  const place = pointed === null ? null : x.invert(pointed);
  const readout =
    place === null ? '' : `${placeText(place)}: ${valuesAt({ lines, bands }, place, valueText)} ${unit}`;
  return (
    <div ref={box} className="relative">
      <p className="caption absolute right-3 top-0 max-w-full truncate text-right" aria-hidden="true">
        {readout}
      </p>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={label}
        onPointerMove={(event) => {
          const at = event.clientX - event.currentTarget.getBoundingClientRect().left;
          setPointed(at >= LEFT && at <= width - RIGHT ? at : null);
        }}
        onPointerLeave={() => setPointed(null)}
      >
        <ValueAxis scale={y} left={LEFT} right={width - RIGHT} ticks={5} unit="" format={valueText} />
        <text x={LEFT + 4} y={TOP - 7} fontSize={11} fill="var(--dim)" className="narrow">
          {unit}
        </text>
        <PlaceAxis scale={x} y={bottom} ticks={Math.max(2, Math.floor(width / 90))} format={tickText} />
        {paths.bands.map((d, i) => (
          <path key={bands[i].name} d={d} fill="var(--act)" fillOpacity={bands[i].opacity} />
        ))}
        {rules.map((rule, i) => (
          <Rule
            key={`${rule.at}${rule.value}${rule.text}`}
            rule={rule}
            at={rule.at === 'x' ? x(rule.value) : y(rule.value)}
            row={rowOf(rules, i, x)}
            right={width - RIGHT}
            bottom={bottom}
          />
        ))}
        <Lines lines={lines} paths={paths.lines} />
        {dots &&
          lines.flatMap((line) =>
            Array.from(line.x, (at, i) => (
              <circle key={`${line.name}${at}`} cx={x(at)} cy={y(line.y[i])} r={2.4} fill={line.color} />
            )),
          )}
        {pointed !== null && (
          <line x1={pointed} x2={pointed} y1={TOP} y2={bottom} stroke="var(--dim)" strokeWidth={0.8} />
        )}
      </svg>
    </div>
  );
});

function Lines({ lines, paths }: { lines: readonly ChartLine[]; paths: readonly string[] }) {
  return paths.map((d, i) => (
    <path
      key={lines[i].name}
      d={d}
      fill="none"
      stroke={lines[i].color}
      strokeWidth={2}
      strokeDasharray={lines[i].dash}
      strokeLinejoin="round"
    />
  ));
}

/** A rule across, or upright. */
function Rule({
  rule,
  at,
  row,
  right,
  bottom,
}: {
  rule: ChartRule;
  at: number;
  row: number;
  right: number;
  bottom: number;
}) {
  const vertical = rule.at === 'x';
  return (
    <g>
      <line
        x1={vertical ? at : LEFT}
        x2={vertical ? at : right}
        y1={vertical ? TOP : at}
        y2={vertical ? bottom : at}
        stroke={rule.color}
        strokeWidth={1.4}
        strokeDasharray={rule.dash}
      />
      {rule.text && (
        <text
          x={vertical ? at + 4 : right - 4}
          y={vertical ? TOP + 10 + 13 * row : at - 4}
          textAnchor={vertical ? 'start' : 'end'}
          fontSize={11}
          fill={rule.color}
          className="halo"
        >
          {rule.text}
        </text>
      )}
    </g>
  );
}

/** Row of an upright rule's text: one lower for each rule before it that stands too near for both. */
function rowOf(rules: readonly ChartRule[], index: number, x: (place: number) => number): number {
  const { value } = rules[index];
  return rules.slice(0, index).filter((rule) => rule.at === 'x' && Math.abs(x(rule.value) - x(value)) < 56)
    .length;
}

function extent(lists: readonly ArrayLike<number>[]): [number, number] {
  let [low, high] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (const list of lists) {
    for (let i = 0; i < list.length; i++) {
      low = Math.min(low, list[i]);
      high = Math.max(high, list[i]);
    }
  }
  return low <= high ? [low, high] : [0, 1];
}

/** Index of the value of a rising list that is nearest to a place. */
function nearest(rising: ArrayLike<number>, place: number): number {
  let [low, high] = [0, rising.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (rising[middle] <= place) low = middle;
    else high = middle;
  }
  return place - rising[low] <= rising[high] - place ? low : high;
}

interface Drawn {
  readonly lines: readonly ChartLine[];
  readonly bands: readonly ChartBand[];
  readonly rules: readonly ChartRule[];
}

/** Scales that hold all there is, and the paths of lines and bands. */
function usePaths({ lines, bands, rules }: Drawn, width: number, height: number) {
  return useMemo(() => {
    const [x0, x1] = extent(lines.map((line) => line.x));
    const [y0, y1] = extent([
      ...lines.map((line) => line.y),
      ...bands.flatMap((band) => [band.low, band.high]),
      rules.filter((rule) => rule.at === 'y').map((rule) => rule.value),
    ]);
    const xScale = linearScale([x0, x1 > x0 ? x1 : x0 + 1], [LEFT, width - RIGHT]);
    const yScale = niceScale([y0, y1 > y0 ? y1 : y0 + 1], [height - BOTTOM, TOP], 5);
    const path = (xs: ArrayLike<number>, ys: ArrayLike<number>) => densePath(xs, ys, xScale, yScale);
    return {
      x: xScale,
      y: yScale,
      paths: {
        lines: lines.map((line) => path(line.x, line.y)),
        bands: bands.map((band) => {
          const back = Array.from(band.x).reverse();
          const low = Array.from(band.low).reverse();
          return `${path(band.x, band.high)}${path(back, low).replace('M', 'L')}Z`;
        }),
      },
    };
  }, [lines, bands, rules, width, height]);
}

/** The values of all lines and bands at a place, in words. */
function valuesAt(
  { lines, bands }: Omit<Drawn, 'rules'>,
  place: number,
  valueText: (value: number) => string,
): string {
  return [
    ...lines.map((line) => `${line.name} ${valueText(line.y[nearest(line.x, place)])}`),
    ...bands.map((band) => {
      const i = nearest(band.x, place);
      return `${band.name} ${valueText(band.low[i])} to ${valueText(band.high[i])}`;
    }),
  ].join(', ');
}
