import { useMemo, useState } from 'react';
import type { DayResult, LapResult, ZoneForce } from '../../../core';
import { formatQuantity, fromSi, type Setup, siText, type UnitChoice } from '../../../model';
import { fadeText, LIMIT_WORDS, lengthText, overrunText, pedalText, zoneText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { LapPicker, lastHotLap } from '../../shared/LapPicker';
import { WithSession } from '../../shared/WithSession';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Editing, useItem } from '../../state/useItem';
import type { Computed } from '../../state/useSession';
import { CheckField } from '../../ui/CheckField';
import { ForceTable } from '../../ui/WideTable';
import { PedalChart } from './PedalChart';
import { PistonCompare } from './PistonCompare';
import type { TabProps } from './tabProps';

/** What the foot feels, zone by zone and lap by lap, and where it is not enough. */
export function PedalTab({ editing }: TabProps) {
  return (
    <>
      <WithSession>{(computed) => <PedalSession computed={computed} />}</WithSession>
      <PistonCompare editing={editing} />
    </>
  );
}

function PedalSession({ computed }: { computed: Computed }) {
  const units = useUnits();
  const setup = useSetup();
  const plan = useItem('plans', setup.plan.id);
  const [picked, setPicked] = useState<number | null>(null);
  const { result } = computed;
  const { limitN } = computed.setup.car.pedal;
  const longest = result.forceMargins.find((m) => m.part === 'travel')?.limit ?? Number.POSITIVE_INFINITY;
  const number = Math.min(result.laps.length, picked ?? lastHotLap(computed));
  const lap = result.laps[number - 1];
  const points = useMemo(
    () =>
      result.laps.flatMap((l) =>
        l.forces.map((f, k) => ({
          at: l.number + k / l.forces.length,
          name: `Lap ${l.number}, ${zoneText(k, l.trace.zones[k].name)}`,
          pedal: f.pedal,
          bite: f.pedalBite,
          travel: f.travel * 1000,
        })),
      ),
    [result],
  );
  if (points.length === 0) return <p className="panel px-4 py-5 text-dim">{say.nothingBrakedSession}</p>;
  const { fade } = result;
  return (
    <>
      <section className="panel px-4 py-3" aria-label="Pedal force over the session">
        <PedalHead fade={fade} units={units} setup={setup} plan={plan} />
        <PedalChart points={points} limit={limitN} units={units} />
      </section>
      <ZoneForces
        computed={computed}
        number={number}
        setPicked={setPicked}
        lap={lap}
        limitN={limitN}
        units={units}
        longest={longest}
      />
    </>
  );
}

/** How far the foot must push, and where it is not enough. */
function PedalHead({
  fade,
  units,
  setup,
  plan,
}: {
  fade: DayResult['fade'];
  units: UnitChoice;
  setup: Setup;
  plan: Editing<'plans'> | null;
}) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
      <div className="max-w-[70ch]">
        <h2 className="text-[15px]">Pedal force over the session</h2>
        {fade && (
          <p className="mt-1">
            {say.minimumBrakeReserve}
            <strong className="font-[640]">{fadeText(fade.margin)}</strong>
            {say.onLap}
            {fade.at.lap}
            {say.brakingZone(fade.at.zone + 1)}
            {fade.margin < 0 && (
              <>
                {say.limitedWorstCar(LIMIT_WORDS[fade.limit])}
                <strong className="font-[640] text-over">{overrunText(fade.extraDistance, units)}</strong>
                {say.onLap}
                {fade.longest.lap}
                {say.brakingZone(fade.longest.zone + 1)}
              </>
            )}
            .
          </p>
        )}
      </div>
      <CheckField
        className="max-w-[300px] items-start!"
        checked={setup.plan.brakesEarlier}
        onChange={(earlier) => plan?.set(['brakesEarlier'], earlier, 'Braking earlier when they fade')}
      >
        {say.driverBrakesEarlierNext}
        <span className="caption block">{say.whereBrakesCouldNot}</span>
      </CheckField>
    </div>
  );
}

/** The pedal at each braking zone of a lap. */
function ZoneForces({
  computed,
  number,
  setPicked,
  lap,
  limitN,
  units,
  longest,
}: {
  computed: Computed;
  number: number;
  setPicked: (value: number | null) => void;
  lap: LapResult;
  limitN: number;
  units: UnitChoice;
  longest: number;
}) {
  return (
    <section className="panel px-4 py-3" aria-label="Pedal by braking zone">
      <div className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <h2 className="text-[15px]">Zone by zone</h2>
        <LapPicker computed={computed} lap={number} onChange={setPicked} />
      </div>
      <ForceTable
        caption={`Pedal by braking zone of lap ${number}`}
        rows={lap.forces}
        nameOf={(_, i) => `${i + 1} ${lap.trace.zones[i].name}`}
        columns={pedalColumns(lap, { limitN, longest, units })}
      />
      <p className="caption mt-1.5">{say.carWhoseTyresLimit}</p>
    </section>
  );
}

/** Force and travel of the pedal, friction, reserve, and what limits. */
function pedalColumns(
  lap: LapResult,
  { limitN, longest, units }: { limitN: number; longest: number; units: UnitChoice },
): Parameters<typeof ForceTable<ZoneForce>>[0]['columns'] {
  const force = (newton: number) => pedalText(newton, units);
  return [
    {
      head: 'pedal',
      means: say.greatestPedalForceBraking,
      cell: (f) => (
        <strong className={`font-[620] ${f.pedal > limitN ? 'text-over' : ''}`}>{force(f.pedal)}</strong>
      ),
    },
    {
      head: 'first bite',
      means: say.pedalForceBrakingZone,
      cell: (f) => force(f.pedalBite),
    },
    {
      head: 'stays',
      means: say.sameFrictionLeftEnd,
      cell: (f) => force(f.pedalStay),
    },
    {
      head: 'front line',
      means: 'Greatest front line pressure',
      cell: (f) => siText(f.frontPressure, 'pressure', units, 0),
    },
    {
      head: 'rear line',
      means: 'Greatest rear line pressure',
      cell: (f) => siText(f.rearPressure, 'pressure', units, 0),
    },
    {
      head: 'travel',
      means: 'Greatest pedal travel',
      cell: (f) => (
        <span className={f.travel > longest ? 'text-over' : ''}>
          {f.travel > longest ? 'on the floor' : lengthText(fromSi(f.travel, 'smallLength'), units)}
        </span>
      ),
    },
    {
      head: 'knock-back',
      means: say.travelKnockBack,
      cell: (f) => lengthText(fromSi(f.knockBack, 'smallLength'), units),
    },
    {
      head: 'µ front, least',
      means: say.leastFrictionFrontPads,
      cell: (_, i) =>
        Math.min(lap.wheels.frontLeft[i].frictionLeast, lap.wheels.frontRight[i].frictionLeast).toFixed(2),
    },
    {
      head: 'µ rear, least',
      means: say.leastFrictionRearPads,
      cell: (_, i) =>
        Math.min(lap.wheels.rearLeft[i].frictionLeast, lap.wheels.rearRight[i].frictionLeast).toFixed(2),
    },
    {
      head: 'brake reserve',
      means: say.brakingAvailableDriverS,
      cell: (f) => <span className={f.fadeMargin < 0 ? 'text-over' : ''}>{fadeText(f.fadeMargin)}</span>,
    },
    {
      head: 'overshoots by',
      means: say.distanceWhichBrakingOvershoots,
      cell: (f) =>
        f.extraDistance === 0
          ? '—'
          : f.extraDistance === null
            ? 'does not stop'
            : formatQuantity(f.extraDistance, 'distance', units),
    },
    {
      head: 'limited by',
      means: say.whatWouldHaveGive,
      cell: (f) => LIMIT_WORDS[f.limit],
    },
  ];
}
