import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { STANDARD_GRAVITY } from '../../../core';
import { formatQuantity, nominalFriction, padOf, toSi, vehicleOf } from '../../../model';
import { say } from '../../../text/en/say/garage';
import { LapPicker, lastHotLap } from '../../shared/LapPicker';
import { WithSession } from '../../shared/WithSession';
import { useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Editing, useItem } from '../../state/useItem';
import type { Computed } from '../../state/useSession';
import { SliderField } from '../../ui/SliderField';
import { ForceTable } from '../../ui/WideTable';
import { BalanceChart } from './BalanceChart';
import { clickColumns, shareColumns } from './balanceColumns';
import { chainValues } from './chainValues';
import { LoadsPanel, WheelLoads } from './LoadsPanel';
import type { TabProps } from './tabProps';

/** Where the load lies, how the brakes share, and the ideal balance. */
export function BalanceTab({ editing }: TabProps) {
  return (
    <>
      <LoadsPanel editing={editing} />
      <WheelLoads editing={editing} />
      <ShareByDeceleration editing={editing} />
      <WithSession>{(computed) => <ZoneBalance computed={computed} />}</WithSession>
      <p className="panel px-4 py-3">
        {say.whatAnotherBalanceWould}
        <Link className="underline" to="/decide/balance">
          Decide, Balance
        </Link>
        .
      </p>
    </>
  );
}

/** Share over deceleration: as the parts make it and ideal balance it. */
function ShareByDeceleration({ editing }: TabProps) {
  const { item: car } = editing;
  const { parts } = useProject();
  const units = useUnits();
  const [speed, setSpeed] = useState(120);
  const vehicle = useMemo(() => vehicleOf(car, parts), [car, parts]);
  const ask = {
    speed: toSi(speed, 'speed'),
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
    <section className="panel px-4 py-3" aria-label="Brake balance (% front) over deceleration">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="max-w-[62ch]">
          <h2 className="text-[15px]">{say.brakeBalanceFrontOver}</h2>
          <p className="mt-1">
            {first && locking ? (
              <>
                From {formatQuantity(locking.z * STANDARD_GRAVITY, 'deceleration', units)} on the{' '}
                <strong className="font-[640]">{first} axle locks first</strong>
                {first === 'rear' ? say.lockedRearAxleTurns : say.carGoesStraight}
              </>
            ) : (
              say.neitherAxleComesGrip
            )}
            {say.whereLinePartsRuns}
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
      <p className="caption">{say.idealShareBZ}</p>
    </section>
  );
}

/** Both shares at each braking zone of a lap, and clicks for a driver's control. */
function ZoneBalance({ computed }: { computed: Computed }) {
  const units = useUnits();
  const setup = useSetup();
  const plan = useItem('plans', setup.plan.id);
  const [picked, setPicked] = useState<number | null>(null);
  const { result } = computed;
  const number = Math.min(result.laps.length, picked ?? lastHotLap(computed));
  const lap = result.laps[number - 1];
  const chain = vehicleOf(computed.setup.car, computed.setup.parts).brakes;
  const control = chain.cylinders.kind === 'pair' && chain.cylinders.click > 0;
  const setClick = (zone: number, value: number) => {
    const clicks = lap.forces.map((_, k) => (k === zone ? value : (setup.plan.clicks[k] ?? 0)));
    return plan?.set(['clicks'], clicks, 'Clicks') ?? null;
  };
  if (lap.forces.length === 0) return <p className="panel px-4 py-5 text-dim">{say.noBrakingZoneLap}</p>;
  return (
    <section className="panel print px-4 py-3" aria-label="Balance by braking zone">
      <BalanceHead computed={computed} number={number} setPicked={setPicked} control={control} plan={plan} />
      <ForceTable
        caption={say.brakeBalanceFrontBraking(number)}
        rows={lap.forces}
        nameOf={(_, i) => `${i + 1} ${lap.trace.zones[i].name}`}
        columns={[
          ...shareColumns(units),
          ...(control ? clickColumns({ clicks: setup.plan.clicks, onClick: setClick }) : []),
        ]}
      />
      {!control && <p className="caption mt-1.5">{say.withoutBalanceBarDriver}</p>}
    </section>
  );
}

/** The lap, and where clicks are found by driving with them. */
function BalanceHead({
  computed,
  number,
  setPicked,
  control,
  plan,
}: {
  computed: Computed;
  number: number;
  setPicked: (value: number | null) => void;
  control: boolean;
  plan: Editing<'plans'> | null;
}) {
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <div className="mr-auto max-w-[64ch]">
        <h2 className="text-[15px]">
          Balance by braking zone
          <span className="hidden print:inline">
            {' '}
            · {computed.setup.car.name} · {computed.setup.circuit.name}
          </span>
        </h2>
        <p className="caption mt-0.5">{say.brakeBalanceFrontAll}</p>
      </div>
      <LapPicker computed={computed} lap={number} onChange={setPicked} />
      {control && (
        <>
          <Link className="btn" to="/decide/balance">
            Find the ideal balance
          </Link>
          <button type="button" className="btn" onClick={() => plan?.set(['clicks'], [], 'No clicks')}>
            All to 0
          </button>
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={15} aria-hidden="true" /> Print
          </button>
        </>
      )}
    </div>
  );
}
