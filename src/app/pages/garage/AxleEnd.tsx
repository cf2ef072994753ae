import {
  type Axle,
  type Car,
  effectiveRadiusMm,
  formatQuantity,
  siText,
  type UnitChoice,
} from '../../../model';
import { lengthText } from '../../../text/en';
import type { AxleValues } from './chainValues';
import { Station } from './Station';

export function AxleEnd({
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
      <LineStation y={y} values={values} units={units} color={color} />
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
      <TyreStation y={y} axle={axle} force={force} values={values} color={color} />
    </>
  );
}

/** Pressure in the line, and what the hose takes. */
function LineStation({
  y,
  values,
  units,
  color,
}: {
  y: number;
  values: AxleValues;
  units: UnitChoice;
  color: 'stroke-front' | 'stroke-rear';
}) {
  return (
    <Station
      x={604}
      y={y}
      href="#lines"
      title="Line and hose"
      lines={[siText(values.pressure, 'pressure', units)]}
    >
      <path d="M -34 0 q 8 -14 17 0 t 17 0 t 17 0 t 17 0" fill="none" className={color} strokeWidth={5} />
    </Station>
  );
}

/** What the tyres are asked, and what they can. */
function TyreStation({
  y,
  axle,
  force,
  values,
  color,
}: {
  y: number;
  axle: Axle;
  force: (newton: number) => string;
  values: AxleValues;
  color: 'stroke-front' | 'stroke-rear';
}) {
  return (
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
  );
}
