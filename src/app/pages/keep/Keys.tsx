import { RadioGroup } from 'radix-ui';

/** One of a few things as keys a glove can hit. */
export function Keys<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly T[];
  readonly onChange: (value: T) => void;
}) {
  return (
    <div>
      <span className="caption" aria-hidden="true">
        {label}
      </span>
      <RadioGroup.Root
        aria-label={label}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="mt-0.5 flex flex-wrap gap-1"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option}
            value={option}
            className="btn min-h-[42px] px-2.5 data-[state=checked]:border-act data-[state=checked]:bg-act data-[state=checked]:text-act-ink"
          >
            {option}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
