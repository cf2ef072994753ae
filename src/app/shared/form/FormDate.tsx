import { Controller, type FieldPath, type FieldValues, useFormContext } from 'react-hook-form';
import { DayField } from '../../ui/DayField';
import { FormError } from './FormNumber';

/** A day of a form; empty where it is not known. */
export function FormDate<T extends FieldValues>({
  name,
  label,
}: {
  readonly name: FieldPath<T>;
  readonly label: string;
}) {
  const { control } = useFormContext<T>();
  return (
    <div>
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <DayField label={label} value={field.value} onChange={field.onChange} ref={field.ref} />
        )}
      />
      <FormError id={`${name}-error`} name={name} />
    </div>
  );
}
