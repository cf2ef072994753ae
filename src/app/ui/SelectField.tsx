import { type ReactNode, useId } from 'react';
import { Choice, type Options } from './Choice';

/** One of a few named things, with its caption and a note. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onChange,
  note,
  refusal,
  mark,
  place,
}: {
  label: string;
  value: T;
  options: Options<T>;
  onChange: (value: T) => void;
  note?: ReactNode;
  /** Why what was chosen was not taken, with the way out */
  refusal?: ReactNode;
  /** Beside the caption */
  mark?: ReactNode;
  /** Address of the value within what is edited, for links to it */
  place?: string;
}) {
  const id = useId();
  return (
    <div data-path={place}>
      <div className="flex min-h-[24px] items-center justify-between gap-2">
        <label htmlFor={id} className="font-[540]">
          {label}
        </label>
        {mark}
      </div>
      <Choice id={id} className="mt-0.5" value={value} options={options} onChange={onChange} />
      {refusal && (
        <p role="alert" className="mt-1 text-[12.5px] text-over">
          {refusal}
        </p>
      )}
      {note && <p className="caption mt-1">{note}</p>}
    </div>
  );
}
