import { Plus, Printer, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { clicksFor, STANDARD_GRAVITY, type StopForce, wheelLoads } from '../../core';
import {
  chassisOf,
  fieldInfo,
  formatQuantity,
  lengthText,
  loadSchema,
  nominalFriction,
  padOf,
  planSchema,
  type UnitChoice,
  vehicleOf,
} from '../../project';
import { NumberField } from '../components/NumberField';
import { TextField } from '../components/TextField';
import { useItem } from '../editors/useItem';
import { useProject, useSetup } from '../state/context';
import { useUnits } from '../state/preferences';
import type { Computed } from '../workbench/useSession';
import { BalanceChart } from './BalanceChart';
import { chainValues } from './chainValues';
import { ForceTable } from './ForceTable';
import { LapPicker, lastHotLap } from './LapPicker';
import { SliderField } from './SliderField';
import { SweepPanel } from './SweepPanel';
import type { TabProps } from './tabProps';
import { WithSession } from './WithSession';

/** Where the load lies, how the brakes share, and what the tyres would want. */
export function BalanceTab({ editing }: TabProps) {
  return (
    <>
      <LoadsPanel editing={editing} />
      <WheelLoads editing={editing} />
      <ShareByDeceleration editing={editing} />
      <WithSession>{(computed) => <StopBalance computed={computed} />}</WithSession>
      <WithSession>{(computed) => <SweepPanel computed={computed} />}</WithSession>
    </>
  );
}

const LOAD_KEYS = ['massKg', 'fromFrontMm', 'heightMm'] as const;

function LoadsPanel({ editing }: TabProps) {
  const { item: car } = editing;
  const units = useUnits();
  const chassis = chassisOf(car);
  return (
    <section className="panel px-4 py-3" aria-label="Loads">
      <h2 className="text-[15px]">Weight and added loads</h2>
      <p className="mt-1">
        With everything listed {formatQuantity(chassis.mass, 'mass', units)},{' '}
        {(100 * chassis.frontWeight).toFixed(1)} % on the front axle, centre of gravity{' '}
        {lengthText(chassis.gravityHeight * 1000, units)} high. Own mass, weight share and height are on the
        Car page.
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
              <tr key={i} className="align-top">
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
                  <button
                    type="button"
                    className="btn btn-bare px-2"
                    aria-label={`Remove ${load.name}`}
                    onClick={() =>
                      editing.set(
                        ['loads'],
                        car.loads.filter((_, k) => k !== i),
                        `Removed ${load.name}`,
                      )
                    }
                  >
                    <Trash2 size={15} aria-hidden="true" />
                  </button>
                </td>
              </tr>
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

/** What each wheel carries while braking, cornering and pressed down. */
function WheelLoads({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [speed, setSpeed] = useState(120);
  const [deceleration, setDeceleration] = useState(8);
  const [lateral, setLateral] = useState(0);
  const vehicle = vehicleOf(car, parts);
  const downforce = 0.6 * vehicle.downforceArea * (speed / 3.6) ** 2;
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
      <p className="caption mt-1.5">A rigid car: each axle takes the roll moment by its load.</p>
    </section>
  );
}

const signedForce = (value: number, units: UnitChoice) =>
  `${value < 0 ? '−' : '+'}${formatQuantity(Math.abs(value), 'force', units)}`;

/** Share over deceleration: as the parts make it and as the tyres would want it. */
function ShareByDeceleration({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [speed, setSpeed] = useState(120);
  const vehicle = useMemo(() => vehicleOf(car, parts), [car, parts]);
  const ask = {
    speed: speed / 3.6,
    front: nominalFriction(padOf(car.front.pad, parts)),
    rear: nominalFriction(padOf(car.rear.pad, parts)),
  };
  const downforce = (0.6 * vehicle.downforceArea * ask.speed ** 2) / (vehicle.mass * STANDARD_GRAVITY);
  const most = Math.max(0.6, vehicle.longitudinalGrip * (1 + downforce) * 1.05);
  const at = (z: number) => chainValues(vehicle, { ...ask, deceleration: z * STANDARD_GRAVITY });
  const points = Array.from({ length: 24 }, (_, k) => {
    const z = 0.1 + ((most - 0.1) * k) / 23;
    const v = at(z);
    return {
      z,
      actual: v.force > 0 ? 100 * v.share : null,
      ideal: 100 * v.ideal,
      use: Math.max(v.front.use, v.rear.use),
    };
  });
  const locking = points.find((p) => p.use > vehicle.longitudinalGrip);
  const lock = locking && at(locking.z);
  const first = lock && (lock.front.use >= lock.rear.use ? 'front' : 'rear');
  return (
    <section className="panel px-4 py-3" aria-label="Front share over deceleration">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="max-w-[62ch]">
          <h2 className="text-[15px]">Front share over deceleration, pads warm</h2>
          <p className="mt-1">
            {first && locking ? (
              <>
                From {formatQuantity(locking.z * STANDARD_GRAVITY, 'deceleration', units)} on the{' '}
                <strong className="font-[640]">{first} axle locks first</strong>
                {first === 'rear'
                  ? ': a locked rear axle turns the car round.'
                  : ': the car goes straight on.'}
              </>
            ) : (
              'Neither axle comes to its grip in this range.'
            )}{' '}
            Where the line of the parts runs over the tyres’ one, the front is nearer to locking.
          </p>
        </div>
        <div className="w-[260px]">
          <SliderField
            label="Speed"
            value={speed}
            min={10}
            max={320}
            step={10}
            text={formatQuantity(speed, 'speed', units)}
            onChange={setSpeed}
          />
        </div>
      </div>
      <BalanceChart points={points} units={units} />
      <p className="caption">
        Ideal share (b + z·h)/L with each axle’s downforce: Limpert, Brake Design and Safety.
      </p>
    </section>
  );
}

/** Both shares at each stop of a lap, and clicks for a driver's control. */
function StopBalance({ computed }: { computed: Computed }) {
  const units = useUnits();
  const setup = useSetup();
  const plan = useItem('plans', setup.plan.id);
  const [picked, setPicked] = useState<number | null>(null);
  const { result } = computed;
  const number = Math.min(result.laps.length, picked ?? lastHotLap(computed));
  const lap = result.laps[number - 1];
  const chain = vehicleOf(computed.setup.car, computed.setup.parts).brakes;
  const control = chain.cylinders.kind === 'pair' && chain.cylinders.click > 0;
  const percent = (share: number) => `${(100 * share).toFixed(1)}`;
  const wanted = (force: StopForce, stop: number) =>
    (computed.setup.plan.clicks[stop] ?? 0) + clicksFor(chain, force.share.mean, force.ideal.mean);
  const suggestion = lap.forces.map(wanted);
  const setClick = (stop: number, value: number) => {
    const clicks = lap.forces.map((_, k) => (k === stop ? value : (setup.plan.clicks[k] ?? 0)));
    return plan?.set(['clicks'], clicks, 'Clicks') ?? null;
  };
  if (lap.forces.length === 0) return <p className="panel px-4 py-5 text-dim">No stop on this lap.</p>;
  return (
    <section className="panel print px-4 py-3" aria-label="Balance by stop">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="mr-auto max-w-[64ch]">
          <h2 className="text-[15px]">
            Balance by stop
            <span className="hidden print:inline">
              {' '}
              · {computed.setup.car.name} · {computed.setup.circuit.name}
            </span>
          </h2>
          <p className="caption mt-0.5">
            Front share of all braking, motor included, with the friction there was at that moment: as both
            axles heat differently it moves within a stop and over the session.
          </p>
        </div>
        <LapPicker computed={computed} lap={number} onChange={setPicked} />
        {control && (
          <>
            <button
              type="button"
              className="btn"
              onClick={() => plan?.set(['clicks'], suggestion, 'Clicks by stop')}
            >
              Set what the tyres want
            </button>
            <button type="button" className="btn" onClick={() => plan?.set(['clicks'], [], 'No clicks')}>
              All to 0
            </button>
            <button type="button" className="btn" onClick={() => window.print()}>
              <Printer size={15} aria-hidden="true" /> Print
            </button>
          </>
        )}
      </div>
      <ForceTable
        caption={`Front share by stop of lap ${number}`}
        rows={lap.forces}
        nameOf={(_, i) => `${i + 1} ${lap.trace.stops[i].name}`}
        columns={[
          {
            head: <Head a="share" b="start, %" />,
            means: 'Front share as the pedal goes down',
            cell: (f) => percent(f.share.start),
          },
          {
            head: <Head a="mean" b="%" />,
            means: 'Front share over the work of the stop',
            cell: (f) => <strong className="font-[620]">{percent(f.share.mean)}</strong>,
          },
          {
            head: <Head a="end" b="%" />,
            means: 'Front share as the pedal comes up',
            cell: (f) => percent(f.share.end),
          },
          {
            head: <Head a="ideal" b="start, %" />,
            means: 'What both axles’ tyres would want at the start',
            cell: (f) => percent(f.ideal.start),
          },
          {
            head: <Head a="mean" b="%" />,
            means: 'What they would want over the work of the stop',
            cell: (f) => <strong className="font-[620]">{percent(f.ideal.mean)}</strong>,
          },
          {
            head: <Head a="end" b="%" />,
            means: 'What they would want at the end',
            cell: (f) => percent(f.ideal.end),
          },
          {
            head: <Head a="off by" b="points" />,
            means: 'Share less ideal: over 0 the front does too much',
            cell: (f) => signed(100 * (f.share.mean - f.ideal.mean)),
          },
          {
            head: <Head a="nearer" b="to locking" />,
            means: 'Axle that is nearer to locking at the hardest instant',
            cell: (f) => f.locksFirst,
          },
          {
            head: <Head a="line, front" b={unitLabel(units)} />,
            means: 'Greatest front line pressure',
            cell: (f) => formatQuantity(f.frontPressure / 1e5, 'pressure', units, 0).replace(/ .*/, ''),
          },
          {
            head: <Head a="rear" b={unitLabel(units)} />,
            means: 'Greatest rear line pressure',
            cell: (f) => formatQuantity(f.rearPressure / 1e5, 'pressure', units, 0).replace(/ .*/, ''),
          },
          ...(control
            ? [
                {
                  head: <Head a="tyres" b="want" />,
                  means: 'Clicks from the middle that would bring share to ideal; + is to the front',
                  cell: (_: StopForce, i: number) => signed(suggestion[i], 0),
                },
                {
                  head: <Head a="set" b="clicks" />,
                  means: 'Clicks set at this stop; the session is driven with them',
                  cell: (_: StopForce, i: number) => (
                    <div className="ml-auto w-[64px]">
                      <NumberField
                        compact
                        label={`Clicks at stop ${i + 1}`}
                        info={fieldInfo(planSchema.shape.clicks.element)}
                        value={setup.plan.clicks[i] ?? 0}
                        onCommit={(value) => setClick(i, value ?? 0)}
                      />
                    </div>
                  ),
                },
              ]
            : []),
        ]}
      />
      {!control && (
        <p className="caption mt-1.5">
          Without a balance bar and a driver’s control the share cannot be changed from stop to stop.
        </p>
      )}
    </section>
  );
}

const signed = (value: number, decimals = 1) => {
  const text = Math.abs(value).toFixed(decimals);
  return Number(text) === 0 ? text : `${value > 0 ? '+' : '−'}${text}`;
};
const unitLabel = (units: ReturnType<typeof useUnits>) => (units.pressure === 'us' ? 'psi' : 'bar');

function Head({ a, b }: { a: string; b: string }) {
  return (
    <>
      {a}
      <br />
      <span className="font-normal text-dim">{b}</span>
    </>
  );
}
