import type { FormEventHandler, ReactNode } from 'react';
import { type FieldValues, FormProvider, type UseFormReturn } from 'react-hook-form';
import { FormDate } from '../../shared/form/FormDate';
import { FormText } from '../../shared/form/FormText';

/** What every line of the logbook that is typed has. */
export interface LineTyped {
  date: string;
  by: string;
  note: string;
}

/** A field of a line with its name over it, small. */
export function Captioned({
  caption,
  className = '',
  children,
}: {
  readonly caption: string;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  return (
    <div className={className}>
      <span className="caption" aria-hidden="true">
        {caption}
      </span>
      {children}
    </div>
  );
}

/** The form of a line of the logbook: its day, what it is about, a note, by whom. */
export function LineForm<T extends FieldValues & LineTyped, Out>({
  form,
  label,
  onSubmit,
  children,
}: {
  readonly form: UseFormReturn<T, unknown, Out>;
  readonly label: string;
  readonly onSubmit: FormEventHandler<HTMLFormElement>;
  readonly children: ReactNode;
}) {
  return (
    <FormProvider {...form}>
      <form
        noValidate
        aria-label={label}
        className="panel flex flex-wrap items-start gap-x-3 gap-y-2 px-4 py-2.5 print:hidden"
        onSubmit={onSubmit}
      >
        <Captioned caption="Day" className="w-[150px]">
          <FormDate<LineTyped> name="date" label="Day" />
        </Captioned>
        {children}
        <div className="min-w-[180px] grow">
          <FormText<LineTyped> name="note" label="Note" />
        </div>
        <div className="w-[110px]">
          <FormText<LineTyped> name="by" label="By" />
        </div>
        <button type="submit" className="btn btn-main mt-[18px]">
          Write it down
        </button>
      </form>
    </FormProvider>
  );
}
