import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { STANDARD_GRAVITY, wheelLoads } from '../../../core';
import {
  type Car,
  chassisOf,
  fieldInfo,
  formatQuantity,
  fromSi,
  loadSchema,
  toSi,
  type UnitChoice,
  vehicleOf,
} from '../../../model';
import { lengthText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { NumberField } from '../../shared/NumberField';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { IconButton } from '../../ui/IconButton';
import { SliderField } from '../../ui/SliderField';
import { TextField } from '../../ui/TextField';
import type { TabProps } from './tabProps';

const LOAD_KEYS = ['massKg', 'fromFrontMm', 'heightMm'] as const;

/** What the car weighs and where, with the added loads. */
export function LoadsPanel({ editing }: TabProps) {
  const { item: car } = editing;
  const units = useUnits();
  const chassis = chassisOf(car);
  return (
    <section className="panel px-4 py-3" aria-label="Loads">
      <h2 className="text-[15px]">Weight and added loads</h2>
      <p className="mt-1">
        {say.everythingListedFrontAxle(
          formatQuantity(chassis.mass, 'mass', units),
          (100 * chassis.frontWeight).toFixed(1),
          lengthText(fromSi(chassis.gravityHeight, 'smallLength'), units),
        )}
      </p>
      {car.loads.length > 0 && (
        <table className="mt-2 w-full max-w-[760px] text-left">
          <caption className="sr-only">Added loads</caption>
          <thead>
            <tr className="caption">
              <th className="font-normal">What</th>
              {LOAD_KEYS.map((key) => (
                <th key={key} className="font-normal">
                  {fieldInfo(loadSchema.shape[key]).title}
                </th>
              ))}
              <th className="sr-only">Remove</th>
            </tr>
          </thead>
          <tbody>
            {car.loads.map((load, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: loads have no other name than their place
              <LoadRow key={i} i={i} load={load} editing={editing} car={car} />
            ))}
          </tbody>
        </table>
      )}
      <button
        type="button"
        className="btn mt-2"
        disabled={car.loads.length >= 12}
        onClick={() =>
          editing.set(
            ['loads'],
            [
              ...car.loads,
              { name: `Load ${car.loads.length + 1}`, massKg: 40, fromFrontMm: 1800, heightMm: 400 },
            ],
            'Added a load',
          )
        }
      >
        <Plus size={15} aria-hidden="true" /> Add fuel, a passenger or kit
      </button>
    </section>
  );
}

/** A load: its mass and where it lies. */
function LoadRow({
  i,
  load,
  editing,
  car,
}: {
  i: number;
  load: Car['loads'][number];
  editing: Editing<'cars'>;
  car: Car;
}) {
  return (
    <tr className="align-top">
      <td className="pr-2 py-0.5">
        <TextField
          compact
          label={`Name of load ${i + 1}`}
          value={load.name}
          longest={60}
          required
          onCommit={(name) => editing.set(['loads', i, 'name'], name, 'Name of a load')}
        />
      </td>
      {LOAD_KEYS.map((key) => (
        <td key={key} className="w-[130px] pr-2 py-0.5">
          <NumberField
            compact
            label={`${fieldInfo(loadSchema.shape[key]).title} of ${load.name}`}
            info={fieldInfo(loadSchema.shape[key])}
            value={load[key]}
            onCommit={(value) => editing.set(['loads', i, key], value, `Load ${load.name}`)}
          />
        </td>
      ))}
      <td>
        <IconButton
          icon={Trash2}
          name={`Remove ${load.name}`}
          onClick={() =>
            editing.set(
              ['loads'],
              car.loads.filter((_, k) => k !== i),
              `Removed ${load.name}`,
            )
          }
          title="Remove"
        />
      </td>
    </tr>
  );
}

/** What each wheel carries while braking, cornering and pressed down. */
export function WheelLoads({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [speed, setSpeed] = useState(120);
  const [deceleration, setDeceleration] = useState(8);
  const [lateral, setLateral] = useState(0);
  const vehicle = vehicleOf(car, parts);
  const downforce = 0.6 * vehicle.downforceArea * toSi(speed, 'speed') ** 2;
  const z = deceleration / STANDARD_GRAVITY;
  const loads = wheelLoads(vehicle, z, downforce, lateral / STANDARD_GRAVITY, vehicle.trackWidth);
  const still = wheelLoads(vehicle, 0, 0, 0, vehicle.trackWidth);
  const most = Math.max(...Object.values(loads));
  const wheel = (key: keyof typeof loads, name: string, color: string) => (
    <div className="flex items-center gap-2">
      <svg width="52" height="52" viewBox="-32 -32 64 64" aria-hidden="true" className="shrink-0">
        <circle r={30 * Math.sqrt(loads[key] / most)} className={color} />
      </svg>
      <span>
        {name}
        <strong className="block text-[16px] font-[640]">{formatQuantity(loads[key], 'force', units)}</strong>
        <span className="caption">{signedForce(loads[key] - still[key], units)} against standing</span>
      </span>
    </div>
  );
  return (
    <section className="panel px-4 py-3" aria-label="Wheel loads">
      <h2 className="text-[15px]">Wheel loads</h2>
      <div className="mt-1.5 grid gap-x-8 gap-y-3 md:grid-cols-2">
        <div className="grid min-w-0 gap-2">
          <SliderField
            label="Deceleration"
            value={deceleration}
            min={0}
            max={40}
            step={0.5}
            text={formatQuantity(deceleration, 'deceleration', units)}
            onChange={setDeceleration}
          />
          <SliderField
            label="Speed, for the downforce"
            value={speed}
            min={0}
            max={320}
            step={10}
            text={formatQuantity(speed, 'speed', units)}
            onChange={setSpeed}
          />
          <SliderField
            label="Turning left (−: right)"
            value={lateral}
            min={-20}
            max={20}
            step={0.5}
            text={formatQuantity(lateral, 'deceleration', units)}
            onChange={setLateral}
          />
        </div>
        <div className="grid min-w-0 grid-cols-2 content-center gap-x-4 gap-y-2">
          {wheel('frontLeft', 'Front left', 'fill-front')}
          {wheel('frontRight', 'Front right', 'fill-front')}
          {wheel('rearLeft', 'Rear left', 'fill-rear')}
          {wheel('rearRight', 'Rear right', 'fill-rear')}
        </div>
      </div>
      <p className="caption mt-1.5">{say.rigidCarEachAxle}</p>
    </section>
  );
}

const signedForce = (value: number, units: UnitChoice) =>
  `${value < 0 ? '−' : '+'}${formatQuantity(Math.abs(value), 'force', units)}`;
