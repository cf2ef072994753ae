import type { ReactNode } from 'react';
import {
  type CircuitZone,
  circuitProblems,
  fieldInfo,
  formatQuantity,
  type Problem,
  starterZone,
  toSi,
  typedZoneSchema,
  zoneLength,
} from '../../../model';
import { say } from '../../../text/en/say/editors';
import { FieldNotes } from '../../shared/FieldNotes';
import { NumberField } from '../../shared/NumberField';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { Choice } from '../../ui/Choice';
import { Sortable, SortableRow } from '../../ui/Sortable';
import { TextField } from '../../ui/TextField';
import { moved } from './listEdits';
import { RowTools } from './RowTools';

const DEFINED_BY = [
  ['distance', 'distance'],
  ['deceleration', 'deceleration'],
] as const;

const { shape } = typedZoneSchema;
const INFO = {
  entryKmh: fieldInfo(shape.entryKmh),
  exitKmh: fieldInfo(shape.exitKmh),
  distanceM: fieldInfo(shape.distanceM),
  decelerationMs2: fieldInfo(shape.decelerationMs2),
  toNextM: fieldInfo(shape.toNextM),
  timeToNextS: fieldInfo(shape.timeToNextS.def.innerType),
  gradePercent: fieldInfo(shape.gradePercent),
};

/** Braking zones as typed: from what speed to what, over what distance or how hard, and how far to the next. */
export function ZonesEditor({ editing }: { editing: Editing<'circuits'> }) {
  const units = useUnits();
  const circuit = editing.item;
  if (circuit.layout.kind !== 'zones') return null;
  const { zones } = circuit.layout;
  const put = (next: readonly CircuitZone[], label: string) => editing.set(['layout', 'zones'], next, label);
  const problems = circuitProblems(circuit);
  const total = zones.reduce((sum, zone) => sum + zoneLength(zone) + zone.toNextM, 0);
  return (
    <section className="panel relative overflow-x-auto px-3 py-2" aria-label="List of braking zones">
      <p className="caption">
        {say.overLastLeadsBack(
          zones.length,
          zones.length === 1 ? 'braking zone' : 'braking zones',
          formatQuantity(total, 'distance', units),
        )}
      </p>
      <Sortable
        count={zones.length}
        onMove={(from, to) => put(moved(zones, from, to), `Moved row ${from + 1}`)}
      >
        <table className="mt-1 w-full min-w-[980px] text-left">
          <thead>
            <tr className="caption">
              <th className="w-7 py-1 font-normal">No.</th>
              <th className="font-normal">Place</th>
              <th className="w-[122px] font-normal">Entry</th>
              <th className="w-[122px] font-normal">Exit</th>
              <th className="w-[124px] font-normal">Defined by</th>
              <th className="w-[104px] font-normal">Value</th>
              <th className="w-[108px] font-normal">To the next</th>
              <th className="w-[104px] font-normal">Time to next</th>
              <th className="w-[92px] font-normal">Grade</th>
              <th className="w-[112px] font-normal">
                <span className="sr-only">Tools</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {zones.map((zone, i) => {
              const name = zone.name || `braking zone ${i + 1}`;
              const number = (key: keyof typeof INFO) => (
                <NumberField
                  compact
                  label={`${INFO[key].title} of ${name}`}
                  info={INFO[key]}
                  value={zone[key]}
                  nullable={key === 'timeToNextS'}
                  onCommit={(value) =>
                    editing.set(['layout', 'zones', i, key], value, `${INFO[key].title} of ${name}`)
                  }
                />
              );
              const here = problems.filter((p) => p.path.startsWith(`layout.zones[${i}].`));
              return (
                <ZoneRow
                  // biome-ignore lint/suspicious/noArrayIndexKey: a braking zone is its place in the list
                  key={i}
                  i={i}
                  zone={zone}
                  editing={editing}
                  here={here}
                  number={number}
                  name={name}
                  zones={zones}
                  put={put}
                />
              );
            })}
          </tbody>
        </table>
      </Sortable>
      <button
        type="button"
        className="btn mt-2"
        onClick={() =>
          put([...zones, starterZone(`Braking zone ${zones.length + 1}`)], 'Added a braking zone')
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
  zone,
  editing,
  here,
  number,
  name,
  zones,
  put,
}: {
  i: number;
  zone: CircuitZone;
  editing: Editing<'circuits'>;
  here: readonly Problem[];
  number: (key: keyof typeof INFO) => ReactNode;
  name: string;
  zones: readonly CircuitZone[];
  put: (next: readonly CircuitZone[], label: string) => void;
}) {
  return (
    <SortableRow as="tr" index={i} className="border-t border-rule/60 align-top">
      <td className="py-1.5 text-dim">{i + 1}</td>
      <td className="py-1 pr-2">
        <TextField
          compact
          label={`Place of braking zone ${i + 1}`}
          value={zone.name}
          longest={60}
          required={false}
          onCommit={(value) => editing.set(['layout', 'zones', i, 'name'], value, 'Place')}
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
          value={zone.by}
          options={DEFINED_BY}
          onChange={(by) => {
            const length = zoneLength(zone);
            const speeds = toSi(zone.entryKmh, 'speed') ** 2 - toSi(zone.exitKmh, 'speed') ** 2;
            const round = (v: number) => Math.round(v * 100) / 100;
            const same = {
              ...zone,
              by,
              distanceM: round(length),
              decelerationMs2: round(speeds / (2 * length)),
            };
            editing.set(['layout', 'zones', i], same, `What ${name} is defined by`);
          }}
        />
      </td>
      <td className="py-1 pr-2">{number(zone.by === 'distance' ? 'distanceM' : 'decelerationMs2')}</td>
      <td className="py-1 pr-2">{number('toNextM')}</td>
      <td className="py-1 pr-2">{number('timeToNextS')}</td>
      <td className="py-1 pr-2">{number('gradePercent')}</td>
      <td className="py-1">
        <RowTools name={name} rows={zones} index={i} least={1} onPut={put} />
      </td>
    </SortableRow>
  );
}
