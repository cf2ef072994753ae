import { useId } from 'react';
import { type FieldPath, type FieldValues, useFormContext } from 'react-hook-form';
import { FormError } from './FormNumber';

/** A name or a word of a form. */
export function FormText<T extends FieldValues>({
  name,
  label,
  hidden = false,
  placeholder,
}: {
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly hidden?: boolean;
  readonly placeholder?: string;
}) {
  const id = useId();
  const { register, getFieldState, formState } = useFormContext<T>();
  const wrong = getFieldState(name, formState).invalid;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hidden ? 'sr-only' : 'caption'}>
        {label}
      </label>
      <input
        id={id}
        type="text"
        autoComplete="off"
        className="field"
        placeholder={placeholder}
        aria-invalid={wrong}
        aria-describedby={wrong ? `${id}-error` : undefined}
        {...register(name)}
      />
      <FormError id={`${id}-error`} name={name} />
    </div>
  );
}
