import type { ReactNode } from 'react';
import {
  type Axle,
  type Car,
  effectiveRadiusMm,
  formatQuantity,
  fromSi,
  siText,
  type UnitChoice,
} from '../../../model';
import { lengthText, pedalText } from '../../../text/en';
import type { AxleValues, ChainValues } from './chainValues';

const WIDTH = 1160;
const HEIGHT = 352;
const FRONT_Y = 76;
const REAR_Y = 258;
const MIDDLE = (FRONT_Y + REAR_Y) / 2;

/** The brakes from foot to tyre with what each carries; every station leads to its fields. */
export function ChainDrawing({ car, values, units }: { car: Car; values: ChainValues; units: UnitChoice }) {
  const bar = (pa: number) => siText(pa, 'pressure', units);
  const force = (n: number) => formatQuantity(n, 'force', units);
  const { pedal } = car;
  const pair = pedal.cylinders.kind === 'pair';
  const over = values.pedal > pedal.limitN;
  return (
    <nav
      className="overflow-x-auto"
      aria-label="Brake system from pedal to tyres; each station leads to its fields"
    >
      {/* biome-ignore lint/a11y/noSvgWithoutTitle: its stations are links with their own text */}
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="block w-full min-w-[860px]">
        <Line
          points={[
            [52, MIDDLE],
            [150, MIDDLE],
            [236, MIDDLE],
          ]}
          thick
        />
        <Line
          points={[
            [300, MIDDLE],
            [352, MIDDLE],
          ]}
          thick
        />
        <Line
          points={[
            [408, MIDDLE - 14],
            [440, MIDDLE - 14],
            [440, FRONT_Y],
            [842, FRONT_Y],
          ]}
          color="front"
        />
        <Line
          points={[
            [408, MIDDLE + 14],
            [440, MIDDLE + 14],
            [440, REAR_Y],
            [842, REAR_Y],
          ]}
          color="rear"
        />

        <Station
          x={92}
          y={MIDDLE}
          href="#pedal"
          title="Pedal"
          lines={[
            pedalText(values.pedal, units),
            values.travel > values.longestTravel
              ? 'on the floor'
              : lengthText(fromSi(values.travel, 'smallLength'), units),
            `ratio ${pedal.ratio}`,
          ]}
          alarm={over}
        >
          <path
            d="M -42 -64 L 22 24 M 14 12 L 30 35"
            className="stroke-ink"
            strokeWidth={5}
            strokeLinecap="round"
            fill="none"
          />
          <circle cx={-42} cy={-64} r={5} className="fill-panel stroke-ink" strokeWidth={2} />
        </Station>
        <Station
          x={270}
          y={MIDDLE}
          href="#booster"
          title={pedal.booster ? 'Booster' : 'No booster'}
          lines={
            pedal.booster
              ? [`× ${pedal.booster.gain}`, `${force(values.push)} in`]
              : [`${force(values.push)} push`]
          }
        >
          {pedal.booster ? (
            <path
              d="M -30 -34 h 34 a 34 34 0 0 1 0 68 h -34 z"
              className="fill-sunk stroke-ink"
              strokeWidth={2}
            />
          ) : (
            <line x1={-36} x2={34} className="stroke-ink" strokeWidth={6} strokeDasharray="2 3" />
          )}
        </Station>
        <Station
          x={380}
          y={MIDDLE}
          href="#cylinders"
          title={pair ? 'Balance bar' : pedal.cylinders.kind === 'single' ? 'Cylinder' : 'Tandem'}
          below={62}
          lines={
            pair
              ? [`${pedal.cylinders.kind === 'pair' ? pedal.cylinders.frontPushPercent : 50} % front`]
              : [
                  pedal.cylinders.kind === 'pair'
                    ? ''
                    : formatQuantity(pedal.cylinders.boreMm, 'smallLength', units),
                ]
          }
        >
          {pair ? (
            <>
              <line x1={-26} x2={-26} y1={-34} y2={34} className="stroke-ink" strokeWidth={5} />
              <circle
                cx={-26}
                cy={34 - 0.68 * (pedal.cylinders.kind === 'pair' ? pedal.cylinders.frontPushPercent : 50)}
                r={6}
                className="fill-act"
              />
              <rect
                x={-20}
                y={-30}
                width={48}
                height={22}
                rx={3}
                className="fill-sunk stroke-ink"
                strokeWidth={2}
              />
              <rect
                x={-20}
                y={8}
                width={48}
                height={22}
                rx={3}
                className="fill-sunk stroke-ink"
                strokeWidth={2}
              />
            </>
          ) : (
            <>
              <rect
                x={-28}
                y={-22}
                width={56}
                height={44}
                rx={4}
                className="fill-sunk stroke-ink"
                strokeWidth={2}
              />
              <line
                x1={0}
                x2={0}
                y1={-22}
                y2={22}
                className="stroke-ink"
                strokeWidth={pedal.cylinders.kind === 'single' ? 0 : 2}
              />
            </>
          )}
        </Station>
        {pedal.valve && (
          <Station
            x={512}
            y={REAR_Y}
            href="#valve"
            title={pedal.valve.kind === 'load' ? 'Load valve' : 'Valve'}
            lines={[`knee ${bar(values.knee ?? 0)}`]}
          >
            <path d="M -18 -16 L 18 16 V -16 L -18 16 Z" className="fill-panel stroke-ink" strokeWidth={2} />
          </Station>
        )}
        <AxleEnd y={FRONT_Y} axle="front" car={car} values={values.front} units={units} />
        <AxleEnd y={REAR_Y} axle="rear" car={car} values={values.rear} units={units} />
      </svg>
    </nav>
  );
}

function AxleEnd({
  y,
  axle,
  car,
  values,
  units,
}: {
  y: number;
  axle: Axle;
  car: Car;
  values: AxleValues;
  units: UnitChoice;
}) {
  const brakes = car[axle];
  const color = axle === 'front' ? 'stroke-front' : 'stroke-rear';
  const force = (n: number) => formatQuantity(n, 'force', units);
  const pistons = brakes.drum ? [brakes.drum.cylinderMm] : brakes.caliper.pistonsMm;
  const total = pistons.reduce((sum, d) => sum + d, 0);
  const scale = Math.min(0.9, 96 / total);
  let at = -(total * scale + (pistons.length - 1) * 4) / 2;
  return (
    <>
      <Station
        x={604}
        y={y}
        href="#lines"
        title="Line and hose"
        lines={[siText(values.pressure, 'pressure', units)]}
      >
        <path d="M -34 0 q 8 -14 17 0 t 17 0 t 17 0 t 17 0" fill="none" className={color} strokeWidth={5} />
      </Station>
      <Station
        x={728}
        y={y}
        href={`#${axle}`}
        title={
          brakes.drum
            ? 'Wheel cylinder'
            : `${brakes.caliper.kind === 'fixed' ? 'Fixed' : 'Sliding'}, ${pistons.length} a side`
        }
        lines={[
          `${formatQuantity(values.clamp, 'force', units)} a side`,
          `pad ${siText(values.padPressure, 'pressure', units)}`,
        ]}
      >
        <rect
          x={-60}
          y={-32}
          width={120}
          height={64}
          rx={10}
          className="fill-sunk stroke-ink"
          strokeWidth={2}
        />
        {pistons.map((d) => {
          const x = at + (d * scale) / 2;
          at += d * scale + 4;
          return (
            <circle key={x} cx={x} r={(d * scale) / 2} className="fill-panel stroke-ink" strokeWidth={1.6} />
          );
        })}
      </Station>
      <Station
        x={880}
        y={y}
        href={`#${axle}`}
        title={brakes.drum ? 'Drum' : 'Rotor'}
        lines={[
          `${formatQuantity(values.torque, 'torque', units)} a wheel`,
          `at ${lengthText(effectiveRadiusMm(brakes), units)}`,
        ]}
      >
        <circle r={46} className={`fill-panel ${color}`} strokeWidth={brakes.drum ? 9 : 3} />
        {!brakes.drum && <circle r={26} className={`fill-none ${color}`} strokeWidth={2} />}
        <line x1={0} x2={36} y1={0} y2={0} className="stroke-ink" strokeWidth={1.5} />
        <circle cx={36} r={3} className="fill-ink" />
      </Station>
      <Station
        x={1060}
        y={y}
        href="#tyres"
        title={`${axle === 'front' ? 'Front' : 'Rear'} tyres`}
        lines={[
          `${force(values.force + values.motor)} braking`,
          `${force(values.load)} load, uses ${values.use.toFixed(2)}`,
          ...(values.motor > 0 ? [`motor ${force(values.motor)} of it`] : []),
        ]}
      >
        <circle r={38} className="fill-none stroke-ink" strokeWidth={12} />
        <line x1={-90} x2={90} y1={45} y2={45} className="stroke-rule" strokeWidth={2} />
        <path d={`M -46 39 h ${-Math.min(70, 60 * values.use)}`} className={color} strokeWidth={5} />
      </Station>
    </>
  );
}

function Line({ points, color, thick }: { points: [number, number][]; color?: Axle; thick?: boolean }) {
  return (
    <polyline
      points={points.map((p) => p.join(',')).join(' ')}
      fill="none"
      className={color === 'front' ? 'stroke-front' : color === 'rear' ? 'stroke-rear' : 'stroke-ink'}
      strokeWidth={thick ? 6 : 3}
      strokeLinejoin="round"
    />
  );
}

/** A station of the chain: what it is, its drawing, what it carries. */
function Station({
  x,
  y,
  href,
  title,
  lines,
  below = 62,
  alarm = false,
  children,
}: {
  x: number;
  y: number;
  href: string;
  title: string;
  lines: readonly string[];
  below?: number;
  alarm?: boolean;
  children: ReactNode;
}) {
  return (
    <g transform={`translate(${x},${y})`}>
      <a href={href} className="group">
        <text y={-56} textAnchor="middle" fontSize={13} className="fill-dim group-hover:underline narrow">
          {title}
        </text>
        {children}
        {lines.map((line, i) => (
          <text
            key={line}
            y={below + 16 * i}
            textAnchor="middle"
            fontSize={i === 0 ? 15 : 13}
            fontWeight={i === 0 ? 640 : 420}
            className={alarm && i === 0 ? 'fill-over' : 'fill-ink'}
          >
            {line}
          </text>
        ))}
      </a>
    </g>
  );
}
