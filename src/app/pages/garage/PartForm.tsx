import { Plus, Trash2 } from 'lucide-react';
import * as z from 'zod/mini';
import { infoAt, type Part, type Path, partSchema } from '../../../model';
import { NumberField } from '../../shared/NumberField';
import { PointRows } from '../../shared/PointRows';
import { Field } from '../../shared/Section';
import { type Editing, useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { FrictionChart } from './FrictionChart';

/** Every value of a part of one's own. */
export function PartForm({ id }: { id: string }) {
  const editing = useItem('parts', id);
  if (!editing) return null;
  const part = editing.item;
  const text = (key: 'name' | 'note' | 'source', label: string, longest: number, required: boolean) => (
    <TextField
      label={label}
      value={part[key]}
      longest={longest}
      required={required}
      onCommit={(value) => editing.set([key], value, `${label} of a part`)}
    />
  );
  return (
    <div className="mt-2 rounded bg-sunk/50 p-3">
      <div className="grid gap-x-5 gap-y-3.5 sm:grid-cols-2 lg:grid-cols-3">
        {text('name', 'Name', 80, true)}
        {text('note', 'Note', 300, false)}
        {text('source', 'Source of the values', 120, true)}
        {['massKg', 'price'].map((key) => (
          <Field key={key} shelf="parts" editing={editing} path={[key]} />
        ))}
        <Values editing={editing} schema={valuesSchema(part)} value={part.values} path={['values']} />
      </div>
      {part.kind === 'pad' && <FrictionTable editing={editing} points={part.values.friction} />}
    </div>
  );
}

const valuesSchema = (part: Part): z.ZodMiniType => {
  const option = partSchema.def.options.find((o) => o.shape.kind.def.values[0] === part.kind);
  if (!option) throw new RangeError(`PartForm: no schema for a ${part.kind}`);
  return option.shape.values;
};

const titleOf = (schema: z.ZodMiniType, key: string) => z.globalRegistry.get(schema)?.title ?? key;

/** A field for each value a schema describes: numbers, choices, yes and no, texts. */
function Values({
  editing,
  schema,
  value,
  path,
}: {
  editing: Editing<'parts'>;
  schema: z.ZodMiniType;
  value: unknown;
  path: Path;
}) {
  if (!(schema instanceof z.ZodMiniObject)) return null;
  return Object.entries(schema.shape as Record<string, z.ZodMiniType>).map(([key, inner]) => {
    const at = [...path, key];
    const here = (value as Record<string, unknown>)[key];
    const name = titleOf(inner, key);
    const plain = inner instanceof z.ZodMiniNullable ? (inner.def.innerType as z.ZodMiniType) : inner;
    if (plain instanceof z.ZodMiniNumber)
      return <Field key={key} shelf="parts" editing={editing} path={at} />;
    if (plain instanceof z.ZodMiniEnum) {
      return (
        <SelectField
          key={key}
          label={name}
          value={String(here)}
          options={Object.values(plain.def.entries).map((o) => [String(o), String(o)] as const)}
          onChange={(next) => editing.set(at, next, name)}
        />
      );
    }
    if (plain instanceof z.ZodMiniBoolean) {
      return (
        <CheckField key={key} checked={here === true} onChange={(next) => editing.set(at, next, name)}>
          {name}
        </CheckField>
      );
    }
    if (plain instanceof z.ZodMiniString) {
      return (
        <TextField
          key={key}
          label={name}
          value={String(here)}
          longest={30}
          required
          onCommit={(next) => editing.set(at, next, name)}
        />
      );
    }
    if (key === 'pistonsMm' && Array.isArray(here)) {
      return (
        <fieldset key={key}>
          <legend className="font-[540]">{name}</legend>
          <Rows editing={editing} path={at} rows={here as number[]} most={6} least={1} label="piston" />
        </fieldset>
      );
    }
    return null;
  });
}

function Rows({
  editing,
  path,
  rows,
  most,
  least,
  label,
}: {
  editing: Editing<'parts'>;
  path: Path;
  rows: readonly number[];
  most: number;
  least: number;
  label: string;
}) {
  const info = infoAt('parts', [...path, 0]);
  return (
    <div className="mt-0.5 flex flex-wrap gap-1.5">
      {rows.map((value, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name than their place
        <div key={i} className="w-[86px]">
          <NumberField
            compact
            label={`${label} ${i + 1}`}
            info={info}
            value={value}
            onCommit={(next) => editing.set([...path, i], next, `${label} ${i + 1}`)}
          />
        </div>
      ))}
      <button
        type="button"
        className="btn px-2"
        aria-label={`Add a ${label}`}
        disabled={rows.length >= most}
        onClick={() => editing.set(path, [...rows, rows[rows.length - 1]], `Another ${label}`)}
      >
        <Plus size={15} aria-hidden="true" />
      </button>
      <button
        type="button"
        className="btn px-2"
        aria-label={`Remove the last ${label}`}
        disabled={rows.length <= least}
        onClick={() => editing.set(path, rows.slice(0, -1), `One ${label} less`)}
      >
        <Trash2 size={15} aria-hidden="true" />
      </button>
    </div>
  );
}

/** Friction over surface temperature, point by point, with its curve. */
function FrictionTable({
  editing,
  points,
}: {
  editing: Editing<'parts'>;
  points: readonly { celsius: number; mu: number }[];
}) {
  return (
    <div className="mt-3 grid gap-4 md:grid-cols-[260px_minmax(0,1fr)]">
      <PointRows
        editing={editing}
        shelf="parts"
        path={['values', 'friction']}
        points={points}
        columns={[
          ['celsius', 'Temperature'],
          ['mu', 'Friction'],
        ]}
        caption="Friction over surface temperature"
        what="Friction of a pad"
        least={2}
        most={40}
        another={(last) => ({ celsius: (last?.celsius ?? 0) + 50, mu: last?.mu ?? 0.4 })}
      />
      <FrictionChart points={points} />
    </div>
  );
}
