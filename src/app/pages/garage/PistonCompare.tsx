import { useState } from 'react';
import { PedalTravel, padPressure, STANDARD_GRAVITY, torquePerPressure } from '../../../core';
import {
  type Axle,
  type Car,
  chainOf,
  effectiveRadiusMm,
  fitPart,
  formatQuantity,
  fromSi,
  type Part,
  shelfOf,
  siText,
  taperOf,
  vehicleOf,
} from '../../../model';
import { say } from '../../../text/en/say/garage';
import { AxleField } from '../../shared/AxleField';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import { chainValues } from './chainValues';
import type { TabProps } from './tabProps';

/** Line pressure at which calipers are set side by side, Pa. */
const PRESSURE = 60e5;

/** Another caliper beside the fitted one: torque and travel go with area and radius, not with the count of pistons. */
export function PistonCompare({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [axle, setAxle] = useState<Axle>('front');
  const calipers = shelfOf('caliper', parts);
  const [chosen, setChosen] = useState('caliper-six');
  const [sameArea, setSameArea] = useState(true);
  const part = calipers.find((p) => p.id === chosen) ?? calipers[0];
  const other = fitted(car, part, axle, sameArea);
  const rows = compare(car, other, axle, parts);
  if (car[axle].drum) return null;
  const text = (value: number, row: Row) =>
    row.quantity === 'plain' ? value.toFixed(2) : formatQuantity(value, row.quantity, units, row.decimals);
  return (
    <section className="panel px-4 py-3" aria-label="Calipers side by side">
      <h2 className="text-[15px]">Calipers side by side</h2>
      <p className="mt-1 max-w-[84ch]">{say.morePistonsDoNot}</p>
      <div className="mt-2 flex flex-wrap items-end gap-x-5 gap-y-2">
        <AxleField value={axle} onChange={setAxle} />
        <SelectField
          label="Against"
          value={part.id}
          options={calipers.map((p) => [p.id, p.name] as const)}
          onChange={setChosen}
        />
        <CheckField className="pb-1" checked={sameArea} onChange={setSameArea}>
          {say.pistonsMadeSameTotal}
        </CheckField>
      </div>
      <table className="mt-2 w-full max-w-[760px] text-right">
        <caption className="sr-only">The fitted caliper and another</caption>
        <thead>
          <tr className="caption">
            <th className="text-left font-normal">
              At {siText(PRESSURE, 'pressure', units, 0)} of line pressure
            </th>
            <th className="font-normal">as fitted, {car[axle].caliper.pistonsMm.length} a side</th>
            <th className="font-normal">
              {part.name}, {other[axle].caliper.pistonsMm.length} a side
            </th>
            <th className="font-normal">of the fitted one’s</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name} className="border-t border-rule/60">
              <th className="py-1 text-left font-[480]">{row.name}</th>
              <td>{text(row.now, row)}</td>
              <td className="font-[620]">{text(row.other, row)}</td>
              <td>{row.now === 0 ? '—' : `${Math.round((100 * row.other) / row.now)} %`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

interface Row {
  readonly name: string;
  readonly quantity: 'area' | 'torque' | 'pressure' | 'smallLength' | 'force' | 'mass' | 'plain';
  readonly decimals: number | undefined;
  readonly now: number;
  readonly other: number;
}

function fitted(car: Car, part: Part, axle: Axle, sameArea: boolean): Car {
  const next = fitPart(car, part, axle);
  if (!sameArea) return next;
  const area = (c: Car) => c[axle].caliper.pistonsMm.reduce((sum, d) => sum + d * d, 0);
  const scale = Math.sqrt(area(car) / area(next));
  const { caliper } = next[axle];
  return {
    ...next,
    [axle]: {
      ...next[axle],
      caliper: { ...caliper, pistonsMm: caliper.pistonsMm.map((d) => d * scale) },
    },
  };
}

function compare(car: Car, other: Car, axle: Axle, parts: readonly Part[]): Row[] {
  const values = (c: Car) => {
    const chain = chainOf(c, parts);
    const brakes = chain[axle];
    const travel = new PedalTravel(chain);
    const pressures = { front: PRESSURE, rear: PRESSURE };
    const taper = taperOf(c[axle], parts);
    const g = chainValues(vehicleOf(c, parts), {
      deceleration: 0.8 * STANDARD_GRAVITY,
      speed: 20,
      front: chain.front.nominalFriction,
      rear: chain.rear.nominalFriction,
    });
    return {
      area: fromSi(brakes.pistonArea, 'area'),
      torque: torquePerPressure({ ...brakes, correction: 1 }, brakes.nominalFriction) * PRESSURE,
      pad: fromSi(padPressure(brakes, PRESSURE), 'pressure'),
      travel: fromSi(travel.pedal(travel.pushTravel(pressures, 0, 0, 0)), 'smallLength'),
      pedal: g.pedal,
      mass: c[axle].caliper.massKg,
      leading: taper.leadingEdge,
      trailing: taper.trailingEdge,
      radius: effectiveRadiusMm(c[axle]),
    };
  };
  const [a, b] = [values(car), values(other)];
  const row = (name: string, quantity: Row['quantity'], key: keyof typeof a, decimals?: number): Row => ({
    name,
    quantity,
    decimals,
    now: a[key],
    other: b[key],
  });
  return [
    row('Piston area of one side', 'area', 'area'),
    row('Torque of one wheel, pads warm', 'torque', 'torque'),
    row('Pedal travel', 'smallLength', 'travel'),
    row('Pedal force for 0.8 g', 'force', 'pedal'),
    row('Pressure on the pad', 'pressure', 'pad'),
    row(say.pressureLeadingEdgeOver, 'plain', 'leading'),
    row(say.pressureTrailingEdgeOver, 'plain', 'trailing'),
    row('Effective radius', 'smallLength', 'radius'),
    row('Caliper mass', 'mass', 'mass'),
  ];
}
