import { zodResolver } from '@hookform/resolvers/zod';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import * as z from 'zod/mini';
import { setAt, type TorqueKey, torqueSchema } from '../../../model';
import { torqueTitle } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { FormNumber } from '../../shared/form/FormNumber';
import { FormText } from '../../shared/form/FormText';
import { typedNumber } from '../../shared/form/typed';
import { useUnits } from '../../state/preferences';
import { useItem } from '../../state/useItem';
import type { PrepareTabProps } from './tabProps';
import { doneBy } from './worker';

interface Typed {
  torqueNm: string;
  by: string;
}

/** The maker's figure, entered once by somebody who read it. */
export function TorqueEntry({
  prepared,
  torqueKey,
  torqueNm,
}: PrepareTabProps & { readonly torqueKey: TorqueKey; readonly torqueNm: number | null }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="btn min-h-[36px]">
        {torqueNm === null ? 'Enter the maker’s figure' : 'Change'}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content className="menu w-[300px] p-3" sideOffset={4} collisionPadding={8}>
          <TorqueForm prepared={prepared} torqueKey={torqueKey} onDone={() => setOpen(false)} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function TorqueForm({
  prepared,
  torqueKey,
  onDone,
}: PrepareTabProps & { readonly torqueKey: TorqueKey; readonly onDone: () => void }) {
  const units = useUnits();
  const editing = useItem('cars', prepared.car.id);
  const [problem, setProblem] = useState<string | null>(null);
  const schema = z.object({
    torqueNm: typedNumber(torqueSchema.shape.torqueNm, units),
    by: z.string().check(z.trim(), z.minLength(1, say.whoRead), z.maxLength(60)),
  });
  const form = useForm<Typed, unknown, z.infer<typeof schema>>({
    resolver: zodResolver(schema) as never,
    defaultValues: { torqueNm: '', by: doneBy().by === 'somebody' ? '' : doneBy().by },
  });
  if (!editing) return null;
  return (
    <FormProvider {...form}>
      <form
        noValidate
        className="grid gap-2"
        onSubmit={(event) => {
          // The popover stands in a portal; its form is no part of what is around it.
          event.stopPropagation();
          void form.handleSubmit(({ torqueNm, by }) => {
            const entry = { torqueNm, by, date: new Date().toISOString().slice(0, 10) };
            const next = setAt(editing.item, ['workshop', 'torques', torqueKey], entry);
            const found = editing.replace(next as typeof editing.item, torqueTitle(torqueKey));
            if (found) setProblem(found);
            else onDone();
          })(event);
        }}
      >
        <p className="font-[600]">{torqueTitle(torqueKey)}</p>
        <p className="caption">{say.torqueMeans}</p>
        <FormNumber<Typed> name="torqueNm" label="Torque" quantity="torque" />
        <FormText<Typed> name="by" label="Read and confirmed by" />
        {problem && (
          <p role="alert" className="text-over">
            {problem}
          </p>
        )}
        <button type="submit" className="btn btn-main min-h-[40px] justify-center">
          Confirm
        </button>
      </form>
    </FormProvider>
  );
}
