import { Minus, Plus } from 'lucide-react';

/** A count that a glove can step: two large keys and what stands between them. */
export function Stepper({
  label,
  value,
  min,
  max,
  step = 1,
  text = String,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly text?: (value: number) => string;
  readonly onChange: (value: number) => void;
}) {
  const to = (next: number) => onChange(Math.min(max, Math.max(min, next)));
  return (
    <fieldset>
      <legend className="caption">{label}</legend>
      <div className="flex items-stretch">
        <button
          type="button"
          className="btn min-h-[48px] min-w-[52px] justify-center"
          aria-label={`${label}: less`}
          disabled={value <= min}
          onClick={() => to(value - step)}
        >
          <Minus size={20} aria-hidden="true" />
        </button>
        <output className="grid min-w-[76px] place-items-center text-[19px]" aria-live="polite">
          {text(value)}
        </output>
        <button
          type="button"
          className="btn min-h-[48px] min-w-[52px] justify-center"
          aria-label={`${label}: more`}
          disabled={value >= max}
          onClick={() => to(value + step)}
        >
          <Plus size={20} aria-hidden="true" />
        </button>
      </div>
    </fieldset>
  );
}
