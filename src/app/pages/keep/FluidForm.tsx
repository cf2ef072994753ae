import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import {
  FLUID_DEEDS,
  type FluidDeed,
  newEntry,
  putFluid,
  type Quantity,
  toShown,
  toStored,
  type UnitChoice,
  unitOf,
} from '../../../model';
import { FLUID_DEED_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { FormSelect } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { parseNumber } from '../../ui/parseNumber';
import { Captioned, LineForm, type LineTyped } from './LineForm';
import { type KeepTabProps, today } from './tabProps';

/** What each deed is read as: its field, quantity, label and what can be. */
const READ: Readonly<
  Partial<
    Record<
      FluidDeed,
      {
        field: 'copperPpm' | 'waterPercent' | 'boilingC' | 'newPercent';
        quantity: Quantity;
        label: string;
        range: readonly [number, number];
      }
    >
  >
> = {
  strip: { field: 'copperPpm', quantity: 'count', label: 'Copper, ppm', range: [0, 2000] },
  refractometer: { field: 'waterPercent', quantity: 'percent', label: 'Water', range: [0, 15] },
  'boil test': { field: 'boilingC', quantity: 'temperature', label: 'Boiled at', range: [90, 350] },
  bled: { field: 'newPercent', quantity: 'percent', label: 'New in the calipers', range: [0, 100] },
};

interface Typed extends LineTyped {
  deed: FluidDeed;
  value: string;
  bottleId: string;
  /** Of new fluid; '' where it is not known */
  used: string;
}

/** Of new fluid that a bleeding can take, cm³. */
const USED: readonly [number, number] = [0, 25_000];

/** What was typed, as stored; null where it is no number. */
function storedOf(typed: string, quantity: Quantity, units: UnitChoice): number | null {
  const number = parseNumber(typed);
  return number === null ? null : Number(toStored(number, unitOf(quantity, units)).toPrecision(12));
}

/** What new fluid goes in by. */
const fills = (deed: FluidDeed) => deed === 'renewed' || deed === 'bled';

/** Something done to the fluid, or read of it. */
export function FluidForm({ kept }: KeepTabProps) {
  const { bottles } = useProject();
  const units = useUnits();
  const edit = useEdit();
  const schema = z
    .object({
      date: z.string().check(z.minLength(1, say.dayNeeded)),
      deed: z.enum(FLUID_DEEDS),
      value: z.string(),
      used: z.string(),
      by: z.string().check(z.trim(), z.maxLength(60)),
      note: z.string().check(z.trim(), z.maxLength(600)),
      bottleId: z.string(),
    })
    .check((ctx) => {
      const refuse = (field: 'value' | 'used', quantity: Quantity, range: readonly [number, number]) => {
        const stored = storedOf(ctx.value[field], quantity, units) ?? Number.NaN;
        if (stored >= range[0] && stored <= range[1]) return;
        const unit = unitOf(quantity, units);
        const [low, high] = range.map((end) => toShown(end, unit));
        const message = say.readingWanted(`${low.toFixed(0)} to ${high.toFixed(0)} ${unit.label}`.trim());
        ctx.issues.push({ code: 'custom', input: ctx.value[field], path: [field], message });
      };
      const asked = READ[ctx.value.deed];
      if (asked) refuse('value', asked.quantity, asked.range);
      if (fills(ctx.value.deed) && ctx.value.used.trim() !== '') refuse('used', 'volume', USED);
    });
  const form = useForm<Typed, unknown, Typed>({
    resolver: zodResolver(schema) as never,
    defaultValues: { date: today(), deed: 'boil test', value: '', used: '', by: '', note: '', bottleId: '' },
  });
  const deed = useWatch({ control: form.control, name: 'deed' });
  const read = READ[deed];
  const keep = form.handleSubmit(({ date, by, note, value, used, deed: done, bottleId }) => {
    const line = newEntry('fluid', { id: crypto.randomUUID(), carId: kept.car.id, date });
    const asked = READ[done];
    const stored = asked ? { [asked.field]: storedOf(value, asked.quantity, units) } : {};
    const filled = fills(done)
      ? { bottleId: bottleId || null, usedCm3: storedOf(used, 'volume', units) }
      : {};
    const name = FLUID_DEED_TEXT[done];
    const made = edit(
      'Wrote of the fluid',
      (p) => putFluid(p, { ...line, name, deed: done, by, note, ...filled, ...stored }, today()),
      { done: say.writtenDown(name) },
    );
    if (made) form.reset({ ...form.getValues(), value: '', used: '', note: '' });
  });
  return (
    <LineForm form={form} label="Fluid, done or read" onSubmit={(event) => void keep(event)}>
      <Captioned caption="What" className="w-[220px]">
        <FormSelect<Typed>
          name="deed"
          label="What"
          options={FLUID_DEEDS.map((own) => [own, FLUID_DEED_TEXT[own]] as const)}
        />
      </Captioned>
      {read && (
        <FormNumber<Typed> name="value" label={read.label} quantity={read.quantity} className="w-[150px]" />
      )}
      {fills(deed) && bottles.length > 0 && (
        <Captioned caption="From" className="w-[170px]">
          <FormSelect<Typed>
            name="bottleId"
            label="From"
            options={[['', 'not said'], ...bottles.map(({ id, name }) => [id, name] as const)]}
          />
        </Captioned>
      )}
      {fills(deed) && <FormNumber<Typed> name="used" label="Used" quantity="volume" className="w-[130px]" />}
    </LineForm>
  );
}
