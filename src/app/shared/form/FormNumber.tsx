import { useId } from 'react';
import { type FieldPath, type FieldValues, useFormContext } from 'react-hook-form';
import { type Quantity, unitOf } from '../../../model';
import { useUnits } from '../../state/preferences';

/** What is wrong with a field of the form, as a sentence under it. */
export function FormError({ id, name }: { readonly id: string; readonly name: string }) {
  const { getFieldState, formState } = useFormContext();
  const { error } = getFieldState(name, formState);
  if (!error?.message) return null;
  return (
    <p id={id} role="alert" className="mt-0.5 text-[12.5px] text-over">
      {error.message}
    </p>
  );
}

/** A number of a form, typed in the unit that is shown. */
export function FormNumber<T extends FieldValues>({
  name,
  label,
  quantity,
  placeholder,
  hidden = false,
  className = '',
}: {
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly quantity: Quantity;
  readonly placeholder?: string;
  /** The label is for screen readers */
  readonly hidden?: boolean;
  readonly className?: string;
}) {
  const id = useId();
  const { register, getFieldState, formState } = useFormContext<T>();
  const unit = unitOf(quantity, useUnits()).label;
  const wrong = getFieldState(name, formState).invalid;
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={hidden ? 'sr-only' : 'caption'}>
        {label}
        {hidden && unit ? `, ${unit}` : ''}
      </label>
      <div className="relative">
        <input
          id={id}
          type="text"
          inputMode="decimal"
          autoComplete="off"
          placeholder={placeholder}
          className={`field ${unit.length > 2 ? 'pr-12' : unit ? 'pr-8' : ''}`}
          aria-invalid={wrong}
          aria-describedby={wrong ? `${id}-error` : undefined}
          {...register(name)}
        />
        {unit && (
          <span className="caption pointer-events-none absolute inset-y-0 right-2 grid place-items-center">
            {unit}
          </span>
        )}
      </div>
      <FormError id={`${id}-error`} name={name} />
    </div>
  );
}
