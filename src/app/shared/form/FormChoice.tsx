import { RadioGroup } from 'radix-ui';
import { useId } from 'react';
import { Controller, type FieldPath, type FieldValues, useFormContext } from 'react-hook-form';
import { Choice, type Options } from '../../ui/Choice';
import { FormError } from './FormNumber';

interface FormChoiceProps<T extends FieldValues> {
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly options: Options<string>;
}

/** One of a few things, all of them in view: arrow keys step through them. */
export function FormRadio<T extends FieldValues>({
  name,
  label,
  options,
  keys = false,
}: FormChoiceProps<T> & {
  /** Keys that a glove can hit: in a row, or two beside each other as the wheels stand */
  readonly keys?: 'row' | 'wheels' | false;
}) {
  const id = useId();
  const { control } = useFormContext<T>();
  return (
    <div>
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <RadioGroup.Root
            aria-label={label}
            value={`=${field.value}`}
            onValueChange={(value) => field.onChange(value.slice(1))}
            onBlur={field.onBlur}
            className={keys === 'wheels' ? 'grid grid-cols-2 gap-1' : 'flex flex-wrap gap-1'}
          >
            {options.map(([value, text], i) => (
              <RadioGroup.Item
                key={value}
                value={`=${value}`}
                // The first is where the form goes when something is wrong here.
                ref={i === 0 ? field.ref : undefined}
                data-value={value}
                className={`btn px-2 ${keys ? 'min-h-[42px]' : 'min-h-[28px]'} ${keys === 'wheels' ? 'justify-center' : ''} data-[state=checked]:border-act data-[state=checked]:bg-act data-[state=checked]:text-act-ink`}
              >
                {text}
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        )}
      />
      <FormError id={`${id}-error`} name={name} />
    </div>
  );
}

/** One of many things, from a list that opens. */
export function FormSelect<T extends FieldValues>({
  name,
  label,
  options,
  className,
}: FormChoiceProps<T> & { readonly className?: string }) {
  const id = useId();
  const { control } = useFormContext<T>();
  return (
    <div className={className}>
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <Choice name={label} value={field.value} options={options} onChange={field.onChange} />
        )}
      />
      <FormError id={`${id}-error`} name={name} />
    </div>
  );
}
