import { type ReactNode, useId } from 'react';

/** One of a few named things. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onChange,
  note,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  note?: ReactNode;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="font-[540]">
        {label}
      </label>
      <select
        id={id}
        className="field mt-0.5"
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
      >
        {options.map(([option, text]) => (
          <option key={option} value={option}>
            {text}
          </option>
        ))}
      </select>
      {note && <p className="caption mt-1">{note}</p>}
    </div>
  );
}
