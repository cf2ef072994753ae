import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import {
  putStop,
  type TestStopStored,
  testStopSchema,
  toStored,
  type UnitChoice,
  unitOf,
} from '../../../model';
import { say } from '../../../text/en/say/test';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { typedNumber, typedOrUnknown } from '../../shared/form/typed';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { parseNumber } from '../../ui/parseNumber';
import type { TestTabProps } from './tabProps';
import { type TypedStop, typedStop } from './typedStop';
import type { OpenRun } from './useRun';

const unknown = (schema: z.ZodMiniType<number | null>, units: UnitChoice) =>
  typedOrUnknown((schema as z.ZodMiniNullable<z.ZodMiniType<number>>).def.innerType, units);

/** The form's schema: what comes out is a stop as it is stored. */
function stopForm(units: UnitChoice) {
  const { shape } = testStopSchema;
  const length = unitOf('distance', units);
  return z
    .object({
      fromKmh: typedNumber((shape.fromKmh as z.ZodMiniNullable<z.ZodMiniType<number>>).def.innerType, units),
      toKmh: typedNumber(shape.toKmh as unknown as z.ZodMiniType<number>, units),
      // One length, or several laid end to end: “12.5 + 30 + 1.8”.
      distance: z.pipe(
        z.string(),
        z.transform((text, ctx): readonly number[] => {
          const pieces = text.split('+').map((piece) => piece.trim());
          if (text.trim() === '') return [];
          const numbers = pieces.map(parseNumber);
          if (numbers.some((value) => value === null || value <= 0)) {
            ctx.issues.push({ code: 'custom', input: text, message: say.lengthsWanted(length.label) });
            return z.NEVER;
          }
          return numbers.map((value) => Number(toStored(value ?? 0, length).toPrecision(12)));
        }),
      ),
      timeS: unknown(shape.timeS, units),
      pedalN: unknown(shape.pedalN, units),
      abs: z.enum(['', 'yes', 'no']),
      temperatureC: unknown(shape.temperatureC, units),
      note: z.string().check(z.trim(), z.maxLength(200)),
    })
    .check((ctx) => {
      const { fromKmh, toKmh, distance, timeS } = ctx.value;
      const issue = (path: string, message: string) =>
        ctx.issues.push({ code: 'custom', input: ctx.value, path: [path], message });
      if (toKmh >= fromKmh) issue('toKmh', say.exitUnderEntry);
      if (distance.length === 0 && timeS === null) issue('distance', say.distanceOrTime);
    });
}
type Read = z.infer<ReturnType<typeof stopForm>>;

/** A stop as it is stored, of what the form read. */
const stopOf = ({ distance, abs, ...read }: Read): Omit<TestStopStored, 'n'> => ({
  ...read,
  distanceM: distance.length === 1 ? distance[0] : null,
  marksM: distance.length > 1 ? [...distance] : [],
  abs: abs === '' ? null : abs === 'yes',
  meanMs2: null,
  atS: null,
  errorM: null,
  source: 'typed',
});

/** A stop typed in, or one that is mended; speed and readings of the one before are kept. */
export function StopForm({
  tested,
  open,
  stop = null,
  onDone,
}: TestTabProps & {
  readonly open: OpenRun;
  /** The one that is mended, with its id; null for another */
  readonly stop?: { readonly id: string; readonly stop: TestStopStored } | null;
  readonly onDone?: () => void;
}) {
  const units = useUnits();
  const edit = useEdit();
  const form = useForm<TypedStop, unknown, Read>({
    resolver: zodResolver(stopForm(units)) as never,
    defaultValues: typedStop(stop?.stop ?? null, tested.test.design, units),
  });
  const keep = form.handleSubmit((read) => {
    const next = stopOf(read);
    const before = stop?.stop;
    const id = stop?.id ?? crypto.randomUUID();
    const kept = before
      ? { ...next, atS: before.atS, meanMs2: before.meanMs2, errorM: before.errorM, source: before.source }
      : next;
    if (
      !edit(before ? 'Mended a stop' : 'Wrote a stop down', (p) =>
        putStop(p, tested.test.id, open.id, id, kept),
      )
    )
      return;
    if (onDone) onDone();
    else {
      // The speed is the same again; what was measured is not.
      form.reset({ ...form.getValues(), distance: '', timeS: '', pedalN: '', temperatureC: '', note: '' });
      form.setFocus('distance');
    }
  });
  return (
    <FormProvider {...form}>
      <form
        noValidate
        aria-label={stop ? `Stop ${stop.stop.n}` : 'Another stop'}
        className="mt-2 flex flex-wrap items-start gap-x-3 gap-y-2"
        onSubmit={(event) => void keep(event)}
      >
        <FormNumber<TypedStop> name="fromKmh" label="From" quantity="speed" className="w-[104px]" />
        <FormNumber<TypedStop> name="toKmh" label="To" quantity="speed" className="w-[104px]" />
        <FormNumber<TypedStop>
          name="distance"
          label="Distance, or marks: 30 + 8.4"
          quantity="distance"
          className="w-[210px]"
        />
        <FormNumber<TypedStop> name="timeS" label="Time" quantity="seconds" className="w-[90px]" />
        <FormNumber<TypedStop> name="pedalN" label="Pedal force" quantity="force" className="w-[110px]" />
        <div>
          <span className="caption">ABS felt</span>
          <FormRadio<TypedStop>
            name="abs"
            label="ABS felt"
            keys="row"
            options={[
              ['', '?'],
              ['yes', 'yes'],
              ['no', 'no'],
            ]}
          />
        </div>
        <FormNumber<TypedStop>
          name="temperatureC"
          label="Temperature"
          quantity="temperature"
          className="w-[110px]"
        />
        <div className="w-[180px] max-w-full">
          <FormText<TypedStop> name="note" label="Note" />
        </div>
        <button type="submit" className="btn btn-main mt-[18px] min-h-[38px]">
          {stop ? 'Mend it' : 'Write it down'}
        </button>
        {onDone && (
          <button type="button" className="btn mt-[18px] min-h-[38px]" onClick={onDone}>
            Leave it
          </button>
        )}
      </form>
    </FormProvider>
  );
}
