import { type Axle, type Car, formatQuantity, fromSi, siText, type UnitChoice } from '../../../model';
import { lengthText, pedalText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { AxleEnd } from './AxleEnd';
import type { ChainValues } from './chainValues';
import { Station } from './Station';

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
    <nav className="overflow-x-auto" aria-label={say.brakeSystemPedalTyres}>
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

        <PedalStation values={values} units={units} pedal={pedal} over={over} />
        <BoosterStation pedal={pedal} force={force} values={values} />
        <CylinderStation pair={pair} pedal={pedal} units={units} />
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

/** The foot and the lever. */
function PedalStation({
  values,
  units,
  pedal,
  over,
}: {
  values: ChainValues;
  units: UnitChoice;
  pedal: Car['pedal'];
  over: boolean;
}) {
  return (
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
  );
}

/** What the booster adds. */
function BoosterStation({
  pedal,
  force,
  values,
}: {
  pedal: Car['pedal'];
  force: (newton: number) => string;
  values: ChainValues;
}) {
  return (
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
  );
}

/** One cylinder, two in tandem, or two with a balance bar. */
function CylinderStation({ pair, pedal, units }: { pair: boolean; pedal: Car['pedal']; units: UnitChoice }) {
  return (
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
