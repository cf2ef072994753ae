import { type ReactNode, useId } from 'react';
import { Choice, type Options } from './Choice';

/** One of a few named things, with its caption and a note. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onChange,
  note,
}: {
  label: string;
  value: T;
  options: Options<T>;
  onChange: (value: T) => void;
  note?: ReactNode;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="font-[540]">
        {label}
      </label>
      <Choice id={id} className="mt-0.5" value={value} options={options} onChange={onChange} />
      {note && <p className="caption mt-1">{note}</p>}
    </div>
  );
}
