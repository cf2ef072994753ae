import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { newEntry, putEntry } from '../../../model';
import { say } from '../../../text/en/say/keep';
import { FormRadio } from '../../shared/form/FormChoice';
import { FormText } from '../../shared/form/FormText';
import { typedName } from '../../shared/form/typed';
import { useEdit } from '../../state/useEdit';
import { Captioned, LineForm } from './LineForm';
import { type KeepTabProps, today } from './tabProps';

const schema = z.object({
  date: z.string().check(z.minLength(1, say.dayNeeded)),
  name: typedName,
  note: z.string().check(z.trim(), z.maxLength(600)),
  by: z.string().check(z.trim(), z.maxLength(60)),
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
    <LineForm form={form} label="Note or incident" onSubmit={(event) => void keep(event)}>
      <div className="w-[200px] max-w-full">
        <FormText<Typed> name="name" label="What" />
      </div>
      <Captioned caption="Incident">
        <FormRadio<Typed>
          name="incident"
          label="Incident"
          options={[
            ['no', 'no'],
            ['yes', 'yes'],
          ]}
        />
      </Captioned>
    </LineForm>
  );
}
