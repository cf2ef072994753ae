import type { ReactNode } from 'react';
import {
  type CircuitStop,
  circuitProblems,
  fieldInfo,
  formatQuantity,
  type Problem,
  starterStop,
  stopLength,
  toSi,
  typedStopSchema,
} from '../../../model';
import { say } from '../../../text/en/say/editors';
import { FieldNotes } from '../../shared/FieldNotes';
import { NumberField } from '../../shared/NumberField';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { Choice } from '../../ui/Choice';
import { TextField } from '../../ui/TextField';
import { RowTools } from './RowTools';

const DEFINED_BY = [
  ['distance', 'distance'],
  ['deceleration', 'deceleration'],
] as const;

const { shape } = typedStopSchema;
const INFO = {
  entryKmh: fieldInfo(shape.entryKmh),
  exitKmh: fieldInfo(shape.exitKmh),
  distanceM: fieldInfo(shape.distanceM),
  decelerationMs2: fieldInfo(shape.decelerationMs2),
  toNextM: fieldInfo(shape.toNextM),
  timeToNextS: fieldInfo(shape.timeToNextS.unwrap()),
  gradePercent: fieldInfo(shape.gradePercent),
};

/** Stops as typed: from what speed to what, over what distance or how hard, and how far to the next. */
export function StopsEditor({ editing }: { editing: Editing<'circuits'> }) {
  const units = useUnits();
  const circuit = editing.item;
  if (circuit.layout.kind !== 'stops') return null;
  const { stops } = circuit.layout;
  const put = (next: readonly CircuitStop[], label: string) => editing.set(['layout', 'stops'], next, label);
  const problems = circuitProblems(circuit);
  const total = stops.reduce((sum, stop) => sum + stopLength(stop) + stop.toNextM, 0);
  return (
    <section className="panel relative overflow-x-auto px-3 py-2" aria-label="List of braking zones">
      <p className="caption">
        {say.overLastLeadsBack(
          stops.length,
          stops.length === 1 ? 'stop' : 'stops',
          formatQuantity(total, 'distance', units),
        )}
      </p>
      <table className="mt-1 w-full min-w-[980px] text-left">
        <thead>
          <tr className="caption">
            <th className="w-7 py-1 font-normal">No.</th>
            <th className="font-normal">Place</th>
            <th className="w-[122px] font-normal">Entry</th>
            <th className="w-[122px] font-normal">Exit</th>
            <th className="w-[124px] font-normal">Given by</th>
            <th className="w-[104px] font-normal">Value</th>
            <th className="w-[108px] font-normal">To the next</th>
            <th className="w-[104px] font-normal">in, if known</th>
            <th className="w-[92px] font-normal">Grade</th>
            <th className="w-[112px] font-normal">
              <span className="sr-only">Tools</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {stops.map((stop, i) => {
            const name = stop.name || `braking zone ${i + 1}`;
            const number = (key: keyof typeof INFO) => (
              <NumberField
                compact
                label={`${INFO[key].title} of ${name}`}
                info={INFO[key]}
                value={stop[key]}
                nullable={key === 'timeToNextS'}
                onCommit={(value) =>
                  editing.set(['layout', 'stops', i, key], value, `${INFO[key].title} of ${name}`)
                }
              />
            );
            const here = problems.filter((p) => p.path.startsWith(`layout.stops[${i}].`));
            return (
              <ZoneRow
                // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the list
                key={i}
                i={i}
                stop={stop}
                editing={editing}
                here={here}
                number={number}
                name={name}
                stops={stops}
                put={put}
              />
            );
          })}
        </tbody>
      </table>
      <button
        type="button"
        className="btn mt-2"
        onClick={() =>
          put([...stops, starterStop(`Braking zone ${stops.length + 1}`)], 'Added a braking zone')
        }
      >
        Add a braking zone
      </button>
      <FieldNotes fields={Object.values(INFO)} />
    </section>
  );
}

/** A braking zone of the list. */
function ZoneRow({
  i,
  stop,
  editing,
  here,
  number,
  name,
  stops,
  put,
}: {
  i: number;
  stop: CircuitStop;
  editing: Editing<'circuits'>;
  here: readonly Problem[];
  number: (key: keyof typeof INFO) => ReactNode;
  name: string;
  stops: readonly CircuitStop[];
  put: (next: readonly CircuitStop[], label: string) => void;
}) {
  return (
    <tr className="border-t border-rule/60 align-top">
      <td className="py-1.5 text-dim">{i + 1}</td>
      <td className="py-1 pr-2">
        <TextField
          compact
          label={`Place of braking zone ${i + 1}`}
          value={stop.name}
          longest={60}
          required={false}
          onCommit={(value) => editing.set(['layout', 'stops', i, 'name'], value, 'Place')}
        />
        {here.map((p) => (
          <p key={p.message} role="alert" className="mt-1 text-[12.5px] text-over">
            {p.path.endsWith('timeToNextS') ? 'The time to the next ' : ''}
            {p.message}.
          </p>
        ))}
      </td>
      <td className="py-1 pr-2">{number('entryKmh')}</td>
      <td className="py-1 pr-2">{number('exitKmh')}</td>
      <td className="py-1 pr-2">
        <Choice
          name={`What ${name} is defined by`}
          value={stop.by}
          options={DEFINED_BY}
          onChange={(by) => {
            const length = stopLength(stop);
            const speeds = toSi(stop.entryKmh, 'speed') ** 2 - toSi(stop.exitKmh, 'speed') ** 2;
            const round = (v: number) => Math.round(v * 100) / 100;
            const same = {
              ...stop,
              by,
              distanceM: round(length),
              decelerationMs2: round(speeds / (2 * length)),
            };
            editing.set(['layout', 'stops', i], same, `What ${name} is defined by`);
          }}
        />
      </td>
      <td className="py-1 pr-2">{number(stop.by === 'distance' ? 'distanceM' : 'decelerationMs2')}</td>
      <td className="py-1 pr-2">{number('toNextM')}</td>
      <td className="py-1 pr-2">{number('timeToNextS')}</td>
      <td className="py-1 pr-2">{number('gradePercent')}</td>
      <td className="py-1">
        <RowTools name={name} rows={stops} index={i} least={1} onPut={put} />
      </td>
    </tr>
  );
}
