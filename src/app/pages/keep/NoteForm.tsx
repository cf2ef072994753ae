import { zodResolver } from '@hookform/resolvers/zod';
import { FormProvider, useForm } from 'react-hook-form';
import { z } from 'zod';
import { newEntry, putEntry } from '../../../model';
import { say } from '../../../text/en/say/keep';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormText } from '../../shared/form/FormText';
import { typedName } from '../../shared/form/typed';
import { useEdit } from '../../state/useEdit';
import { DayOfForm } from './DayOfForm';
import { type KeepTabProps, today } from './tabProps';

const schema = z.object({
  date: z.string().min(1, say.dayNeeded),
  name: typedName,
  note: z.string().trim().max(600),
  by: z.string().trim().max(60),
  incident: z.enum(['no', 'yes']),
});
type Typed = z.input<typeof schema>;

/** A line by itself: something that was noticed, or that went wrong. */
export function NoteForm({ kept }: KeepTabProps) {
  const edit = useEdit();
  const form = useForm<Typed, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: { date: today(), name: '', note: '', by: kept.entries.at(-1)?.by ?? '', incident: 'no' },
  });
  const keep = form.handleSubmit(({ incident, ...read }) => {
    const id = crypto.randomUUID();
    const line = newEntry('note', { id, carId: kept.car.id, date: read.date });
    const made = edit(
      'Wrote a note',
      (p) => putEntry(p, { ...line, ...read, incident: incident === 'yes' }),
      {
        done: say.writtenDown(read.name),
      },
    );
    if (made) form.reset({ ...form.getValues(), name: '', note: '' });
  });
  return (
    <FormProvider {...form}>
      <form
        noValidate
        aria-label="Note or incident"
        className="panel flex flex-wrap items-start gap-x-3 gap-y-2 px-4 py-2.5 print:hidden"
        onSubmit={(event) => void keep(event)}
      >
        <DayOfForm<Typed> name="date" />
        <div className="w-[200px] max-w-full">
          <FormText<Typed> name="name" label="What" />
        </div>
        <div className="min-w-[220px] grow">
          <FormText<Typed> name="note" label="Note" />
        </div>
        <div className="w-[110px]">
          <FormText<Typed> name="by" label="By" />
        </div>
        <div>
          <span className="caption">Incident</span>
          <FormRadio<Typed>
            name="incident"
            label="Incident"
            options={[
              ['no', 'no'],
              ['yes', 'yes'],
            ]}
          />
        </div>
        <button type="submit" className="btn btn-main mt-[18px]">
          Write it down
        </button>
      </form>
    </FormProvider>
  );
}
