import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import type { ProcedureResult, ProcedureStop, Requirement } from '../../../core';
import { correctedDistance } from '../../../core';
import { dayInput, formatQuantity, fromSi, siText, toSi, type UnitChoice } from '../../../model';
import { changeText, lengthText, temperatureText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { StateMark } from '../../shared/StateMark';
import { WithSession } from '../../shared/WithSession';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { SliderField } from '../../ui/SliderField';
import { ForceTable } from '../../ui/WideTable';

/** Cold stop, heating and hot stop as published rules want them, and stops in a row, on the car as it is. */
export function ProcedureTab() {
  return <WithSession>{(computed) => <Procedures computed={computed} />}</WithSession>;
}

function Procedures({ computed }: { computed: Computed }) {
  const units = useUnits();
  const { band } = useBackground();
  const [kmh, setKmh] = useState(80);
  const [count, setCount] = useState(5);
  const [pause, setPause] = useState(20);
  const [deceleration, setDeceleration] = useState(5.6);
  const input = useMemo(() => dayInput(computed.setup), [computed.setup]);
  const repeated = { speed: toSi(kmh, 'speed'), count, deceleration, pause };
  const top = Math.max(...computed.result.trace.speed);
  const query = useQuery({
    queryKey: QUESTION.procedures(computed.setup, top, repeated),
    queryFn: ({ signal }) => band.call((remote) => remote.procedures(input, top, repeated), signal),
    placeholderData: (before) => before,
  });
  if (query.isError) {
    return (
      <p className="panel px-4 py-5" role="alert">
        {say.couldNotComputed(query.error.message)}
      </p>
    );
  }
  if (!query.data) {
    return (
      <p className="panel px-4 py-5 text-dim" role="status">
        Braking on a straight road …
      </p>
    );
  }
  const { cold, hot, repeated: row } = query.data;
  return (
    <>
      <p className="panel px-4 py-2.5">
        <strong className="font-[640]">{say.ourOwnComputationNot}</strong>
        {say.rulesRunCarEntered(correctedDistance(40, 79, 80).toFixed(1))}
      </p>
      <Case title="Cold stop from 100 km/h" note={say.unRHAnnex} result={cold} units={units} />
      <Case title="Heating sequence and hot stop" note={say.unRHType} result={hot} units={units} />
      <InARow
        kmh={kmh}
        units={units}
        setKmh={setKmh}
        count={count}
        setCount={setCount}
        deceleration={deceleration}
        setDeceleration={setDeceleration}
        pause={pause}
        setPause={setPause}
        row={row}
      />
    </>
  );
}

/** Stops in a row, as asked. */
function InARow({
  kmh,
  units,
  setKmh,
  count,
  setCount,
  deceleration,
  setDeceleration,
  pause,
  setPause,
  row,
}: {
  kmh: number;
  units: UnitChoice;
  setKmh: (value: number) => void;
  count: number;
  setCount: (value: number) => void;
  deceleration: number;
  setDeceleration: (value: number) => void;
  pause: number;
  setPause: (value: number) => void;
  row: ProcedureResult;
}) {
  return (
    <section className="panel px-4 py-3" aria-label="Stops in a row">
      <h2 className="text-[15px]">Stops in a row</h2>
      <div className="mt-1.5 flex flex-wrap gap-x-6 gap-y-2">
        <SliderField
          label="From"
          value={kmh}
          min={30}
          max={250}
          step={5}
          text={formatQuantity(kmh, 'speed', units)}
          onChange={setKmh}
        />
        <SliderField
          label="Stops"
          value={count}
          min={1}
          max={30}
          step={1}
          text={String(count)}
          onChange={setCount}
        />
        <SliderField
          label="Held at"
          value={deceleration}
          min={1}
          max={12}
          step={0.1}
          text={formatQuantity(deceleration, 'deceleration', units)}
          onChange={setDeceleration}
        />
        <SliderField
          label="Back to speed in"
          value={pause}
          min={5}
          max={180}
          step={5}
          text={`${pause} s`}
          onChange={setPause}
        />
      </div>
      <p className="mt-2">
        {say.lastStopTakesPedal(
          changeText(row.stops[0].pedal, row.stops[row.stops.length - 1].pedal, 'the first'),
          changeText(row.stops[0].distance, row.stops[row.stops.length - 1].distance, 'the first'),
        )}
      </p>
      <ZoneRows of="stops in a row" stops={row.stops} units={units} />
    </section>
  );
}

function Case({
  title,
  note,
  result,
  units,
}: {
  title: string;
  note: string;
  result: ProcedureResult;
  units: UnitChoice;
}) {
  return (
    <section className="panel px-4 py-3" aria-label={title}>
      <h2 className="text-[15px]">{title}</h2>
      <p className="caption mt-0.5 max-w-[100ch]">{note}</p>
      <ul className="mt-1.5 grid gap-x-6 sm:grid-cols-2">
        {result.requirements.map((r) => (
          <li key={`${r.what}${r.must}`} className="flex items-center gap-2 border-t border-rule/60 py-1">
            <StateMark kind={r.met ? 'within-limits' : 'over-limit'} className="h-[14px] w-[14px]" />
            <span>
              <strong className="font-[620]">{r.met ? 'Computed as met' : 'Computed as not met'}:</strong>{' '}
              {requirementText(r, units)}
              <span className="caption"> {r.source}</span>
            </span>
          </li>
        ))}
      </ul>
      <ZoneRows of={title} stops={result.stops} units={units} />
    </section>
  );
}

function requirementText({ what, value, limit, must }: Requirement, units: UnitChoice): string {
  const text = (v: number) =>
    what === 'distance'
      ? formatQuantity(v, 'distance', units, 1)
      : what === 'deceleration'
        ? formatQuantity(v, 'deceleration', units, 2)
        : what === 'pedal'
          ? formatQuantity(v, 'force', units)
          : `${(100 * v).toFixed(0)} %`;
  const name = {
    distance: 'distance',
    deceleration: 'mean fully developed deceleration',
    pedal: 'pedal force',
    kept: 'deceleration kept from the cold stop',
    prescribed: 'of the prescribed deceleration',
  }[what];
  return `${name} ${text(value)}, ${must === 'reach' ? 'at least' : 'at most'} ${text(limit)}.`;
}

function ZoneRows({
  of,
  stops,
  units,
}: {
  /** What the stops belong to */
  of: string;
  stops: readonly ProcedureStop[];
  units: UnitChoice;
}) {
  const force = (n: number) => formatQuantity(n, 'force', units);
  return (
    <ForceTable
      caption={`Stop by stop: ${of}`}
      rows={stops}
      nameOf={(s, i) => `${i + 1}: ${siText(s.from, 'speed', units)} to ${siText(s.to, 'speed', units)}`}
      columns={[
        {
          head: 'distance',
          means: 'From first touch of the pedal',
          cell: (s) => (
            <strong className="font-[620]">{formatQuantity(s.distance, 'distance', units, 1)}</strong>
          ),
        },
        { head: 'time', means: 'From first touch', cell: (s) => `${s.time.toFixed(2)} s` },
        {
          head: 'mean fully developed',
          means: 'Deceleration between 80 and 10 % of the speed',
          cell: (s) => formatQuantity(s.meanDeceleration, 'deceleration', units, 2),
        },
        { head: 'pedal, start', means: 'Pedal force as braking is full', cell: (s) => force(s.pedalStart) },
        { head: 'end', means: 'Pedal force at the end', cell: (s) => force(s.pedalEnd) },
        { head: 'most', means: 'Greatest pedal force', cell: (s) => force(s.pedal) },
        {
          head: 'travel',
          means: 'Greatest pedal travel',
          cell: (s) => lengthText(fromSi(s.travel, 'smallLength'), units),
        },
        {
          head: 'rotor before, front',
          means: 'Mean over the ring',
          cell: (s) => temperatureText(s.before.front, units),
        },
        { head: 'rear', means: 'Mean over the ring', cell: (s) => temperatureText(s.before.rear, units) },
        {
          head: 'surface after, front',
          means: 'Rotor surface as it ends',
          cell: (s) => temperatureText(s.face.front, units),
        },
        { head: 'fluid, front', means: 'In the bores', cell: (s) => temperatureText(s.fluid.front, units) },
        {
          head: 'limited by',
          means: 'What limited the stop',
          cell: (s) =>
            ({ asked: 'the target', tyres: 'the tyres', pedal: 'the pedal', travel: 'the pedal’s travel' })[
              s.heldBy
            ],
        },
      ]}
    />
  );
}
