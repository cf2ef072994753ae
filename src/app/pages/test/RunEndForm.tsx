import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod/mini';
import { endRun, RUN_ENDS, type RunEnd, testRunSchema } from '../../../model';
import { GAVE_OUT } from '../../../services';
import { minuteText, RUN_END_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { FormSelect } from '../../shared/form/FormChoice';
import { FormNumber } from '../../shared/form/FormNumber';
import { typedNumber } from '../../shared/form/typed';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import type { TestTabProps } from './tabProps';
import type { OpenRun } from './useRun';

interface Typed {
  minutes: string;
  seconds: string;
  by: RunEnd;
  axle: '' | 'front' | 'rear';
}

/** How a run ended: how long it lasted, and what ended it. */
export function RunEndForm({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const units = useUnits();
  const edit = useEdit();
  const { ended } = open.run;
  const info = testRunSchema.shape.ended.def.innerType.shape.atS;
  const schema = z
    .object({
      minutes: z.string(),
      seconds: z.union([typedNumber(info as unknown as z.ZodMiniType<number>, units), z.literal('0')]),
      by: z.enum(RUN_ENDS),
      axle: z.enum(['', 'front', 'rear']),
    })
    .check((ctx) => {
      const minutes = ctx.value.minutes.trim() === '' ? 0 : Number(ctx.value.minutes.replace(',', '.'));
      const issue = (path: string, message: string) =>
        ctx.issues.push({ code: 'custom', input: ctx.value, path: [path], message });
      if (!(minutes >= 0 && minutes <= 600)) issue('minutes', say.minutesWanted);
      if (GAVE_OUT.has(ctx.value.by) && ctx.value.by !== 'pads gone' && ctx.value.axle === '') {
        issue('axle', say.axleWanted);
      }
    });
  const form = useForm<Typed, unknown, z.infer<typeof schema>>({
    resolver: zodResolver(schema) as never,
    defaultValues: {
      minutes: ended ? String(Math.floor(ended.atS / 60)) : '',
      seconds: ended ? String(Math.round(ended.atS % 60)) : '0',
      by: ended?.by ?? 'fade',
      axle: ended?.axle ?? '',
    },
  });
  const by = useWatch({ control: form.control, name: 'by' });
  const keep = form.handleSubmit((read) => {
    const minutes = read.minutes.trim() === '' ? 0 : Number(read.minutes.replace(',', '.'));
    const atS = 60 * minutes + Number(read.seconds);
    const axle = read.axle === '' || !GAVE_OUT.has(read.by) ? null : read.axle;
    edit('How a run ended', (p) => endRun(p, tested.test.id, open.id, { atS, by: read.by, axle }), {
      done: say.endKept(minuteText(atS)),
    });
  });
  return (
    <section className="panel px-4 py-3" aria-label="How the run ended">
      <h2 className="text-[15px]">How the run ended</h2>
      <p className="caption mt-0.5">{say.endMeans}</p>
      <FormProvider {...form}>
        <form noValidate className="mt-1.5 flex flex-wrap items-start gap-3" onSubmit={(e) => void keep(e)}>
          <FormNumber<Typed> name="minutes" label="Minutes" quantity="minutes" className="w-[110px]" />
          <FormNumber<Typed> name="seconds" label="Seconds" quantity="seconds" className="w-[100px]" />
          <div className="w-[250px] max-w-full">
            <span className="caption">Ended by</span>
            <FormSelect<Typed>
              name="by"
              label="Ended by"
              options={RUN_ENDS.map((own) => [own, RUN_END_TEXT[own]] as const)}
            />
          </div>
          {GAVE_OUT.has(by) && (
            <div className="w-[130px]">
              <span className="caption">Axle</span>
              <FormSelect<Typed>
                name="axle"
                label="Axle"
                options={[
                  ['', 'choose'],
                  ['front', 'front'],
                  ['rear', 'rear'],
                ]}
              />
            </div>
          )}
          <button type="submit" className="btn mt-[18px] min-h-[38px]">
            Keep it
          </button>
          {ended && (
            <button
              type="button"
              className="btn mt-[18px] min-h-[38px]"
              onClick={() => edit('Run not ended', (p) => endRun(p, tested.test.id, open.id, null))}
            >
              It did not end
            </button>
          )}
        </form>
      </FormProvider>
    </section>
  );
}
