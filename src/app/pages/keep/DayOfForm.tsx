import type { FieldPath, FieldValues } from 'react-hook-form';
import { FormDate } from '../../shared/form/FormDate';

/** Day of a line that is written down. */
export function DayOfForm<T extends FieldValues>({ name }: { readonly name: FieldPath<T> }) {
  return (
    <div className="w-[150px]">
      <span className="caption" aria-hidden="true">
        Day
      </span>
      <FormDate<T> name={name} label="Day" />
    </div>
  );
}
