import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import {
  FLUID_DEEDS,
  type FluidDeed,
  newEntry,
  putEntry,
  type Quantity,
  toStored,
  unitOf,
} from '../../../model';
import { FLUID_DEED_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/keep';
import { FormSelect } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { parseNumber } from '../../ui/parseNumber';
import { DayOfForm } from './DayOfForm';
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

interface Typed {
  date: string;
  deed: FluidDeed;
  value: string;
  by: string;
  note: string;
  bottleId: string;
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
      date: z.string().min(1, say.dayNeeded),
      deed: z.enum(FLUID_DEEDS),
      value: z.string(),
      by: z.string().trim().max(60),
      note: z.string().trim().max(600),
      bottleId: z.string(),
    })
    .check((ctx) => {
      const read = READ[ctx.value.deed];
      if (!read) return;
      const number = parseNumber(ctx.value.value);
      const unit = unitOf(read.quantity, units);
      const stored = number === null ? Number.NaN : toStored(number, unit);
      if (stored >= read.range[0] && stored <= read.range[1]) return;
      const [low, high] = read.range.map((end) => end * unit.scale + unit.offset);
      const message = say.readingWanted(`${low.toFixed(0)} to ${high.toFixed(0)} ${unit.label}`.trim());
      ctx.issues.push({ code: 'custom', input: ctx.value.value, path: ['value'], message });
    });
  const form = useForm<Typed, unknown, Typed>({
    resolver: zodResolver(schema) as never,
    defaultValues: { date: today(), deed: 'boil test', value: '', by: '', note: '', bottleId: '' },
  });
  const deed = useWatch({ control: form.control, name: 'deed' });
  const read = READ[deed];
  const keep = form.handleSubmit(({ date, by, note, value, deed: done, bottleId }) => {
    const line = newEntry('fluid', { id: crypto.randomUUID(), carId: kept.car.id, date });
    const asked = READ[done];
    const number = parseNumber(value);
    const stored =
      asked && number !== null
        ? { [asked.field]: Number(toStored(number, unitOf(asked.quantity, units)).toPrecision(12)) }
        : {};
    const made = edit(
      'Wrote of the fluid',
      (p) =>
        putEntry(p, {
          ...line,
          name: FLUID_DEED_TEXT[done],
          deed: done,
          by,
          note,
          bottleId: fills(done) && bottleId !== '' ? bottleId : null,
          ...stored,
        }),
      { done: say.writtenDown(FLUID_DEED_TEXT[done]) },
    );
    if (made) form.reset({ ...form.getValues(), value: '', note: '' });
  });
  return (
    <FormProvider {...form}>
      <form
        noValidate
        aria-label="Fluid, done or read"
        className="panel flex flex-wrap items-start gap-x-3 gap-y-2 px-4 py-2.5"
        onSubmit={(event) => void keep(event)}
      >
        <DayOfForm<Typed> name="date" />
        <div className="w-[220px]">
          <span className="caption" aria-hidden="true">
            What
          </span>
          <FormSelect<Typed>
            name="deed"
            label="What"
            options={FLUID_DEEDS.map((own) => [own, FLUID_DEED_TEXT[own]] as const)}
          />
        </div>
        {read && (
          <FormNumber<Typed> name="value" label={read.label} quantity={read.quantity} className="w-[150px]" />
        )}
        {fills(deed) && bottles.length > 0 && (
          <div className="w-[170px]">
            <span className="caption" aria-hidden="true">
              From
            </span>
            <FormSelect<Typed>
              name="bottleId"
              label="From"
              options={[['', 'not said'], ...bottles.map(({ id, name }) => [id, name] as const)]}
            />
          </div>
        )}
        <div className="w-[110px]">
          <FormText<Typed> name="by" label="By" />
        </div>
        <div className="min-w-[180px] grow">
          <FormText<Typed> name="note" label="Note" />
        </div>
        <button type="submit" className="btn btn-main mt-[18px]">
          Write it down
        </button>
      </form>
    </FormProvider>
  );
}
