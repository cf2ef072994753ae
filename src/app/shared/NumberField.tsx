import { type ReactNode, useId, useLayoutEffect, useRef, useState } from 'react';
import { type FieldInfo, type FieldLimits, formatQuantity, toShown, unitOf } from '../../model';
import { useDecimalMark, useUnits } from '../state/preferences';
import { Tip } from '../ui/Tip';
import { useDraft } from '../ui/useDraft';
import { decimalsFor, fieldText, rangeText, understood } from './numberText';

type Shown = ReturnType<typeof unitOf>;

/** A button beside a refusal that makes what was wanted possible. */
export interface WayOut {
  readonly name: string;
  readonly take: () => void;
}

interface NumberFieldProps {
  readonly info: FieldInfo & FieldLimits;
  readonly value: number | null;
  /** Takes a stored value; answers with what is wrong, or null when it was saved */
  readonly onCommit: (value: number | null) => string | null;
  readonly nullable?: boolean;
  /** In a table: no caption, the label is for screen readers */
  readonly compact?: boolean;
  readonly label?: string;
  /** Beside the caption: how the value is known */
  readonly mark?: ReactNode;
  /** What else would have to change for a number that is refused: a button that does both, or null */
  readonly wayOut?: (stored: number) => WayOut | null;
}

/**
 * A number with its unit, usual range and meaning. It is saved as it is typed; while what is typed cannot be used, the
 * field says why and the last good value stays.
 */
export function NumberField(props: NumberFieldProps) {
  const { info, value, compact = false } = props;
  const units = useUnits();
  const mark = useDecimalMark();
  const unit = unitOf(info.quantity, units);
  const id = useId();
  const entry = useNumberEntry(props);
  const label = props.label ?? info.title;
  const input = <NumberInput id={id} label={label} {...{ info, value, compact, unit, entry }} />;
  const problem = entry.error && (
    <p id={`${id}-error`} role="alert" className="mt-1 text-[12.5px] text-over">
      {entry.error}{' '}
      {entry.instead.map((plain) => (
        <button
          key={plain}
          type="button"
          className="btn mr-1 min-h-[26px] px-2"
          onClick={() => entry.read(plain)}
        >
          {plain}
        </button>
      ))}
      {entry.wayOut && (
        <button
          type="button"
          className="btn mr-1 min-h-[26px] px-2"
          onClick={() => {
            entry.wayOut?.take();
            entry.revert();
          }}
        >
          {entry.wayOut.name}
        </button>
      )}
      <button type="button" className="underline" onClick={entry.revert}>
        {value === null
          ? 'Leave it empty'
          : `Back to ${formatQuantity(value, info.quantity, units, decimalsFor(value))}`}
      </button>
    </p>
  );
  if (compact) {
    return (
      <>
        {input}
        {problem}
      </>
    );
  }
  const usual = rangeText(info.usual, unit, mark);
  const outside = value !== null && (value < info.usual[0] || value > info.usual[1]);
  return (
    <div>
      <div className="flex min-h-[24px] items-center justify-between gap-2">
        <label htmlFor={id} className="font-[540]">
          {label}
        </label>
        {props.mark}
      </div>
      <div className="mt-0.5">{input}</div>
      {problem}
      <p id={`${id}-help`} className="caption mt-1">
        {info.description}{' '}
        <span className={outside ? 'text-close' : ''}>
          {outside ? `Unusual; usually ${usual}.` : `Usually ${usual}.`}
        </span>
      </p>
    </div>
  );
}

/** What is typed into a field of a number, read as it is typed and saved while it can be. */
function useNumberEntry({ info, value, onCommit, nullable = false, wayOut }: NumberFieldProps) {
  const units = useUnits();
  const { typed, error, type, drop } = useDraft<string | null, number | null>(value);
  const read = (text: string) => {
    if (text.trim() === '' && nullable) return type(text, onCommit(null), null);
    const found = understood(text, info, units);
    if ('stored' in found) type(text, onCommit(found.stored), found.stored);
    else type(text, found.error);
  };
  const now = typed === null || error === null ? null : understood(typed, info, units);
  const instead = now && 'instead' in now ? now.instead : [];
  const step = (by: number) => {
    if (value === null) return;
    const next = Number(
      Math.min(info.max, Math.max(info.min, value + by * (info.step ?? 1))).toPrecision(12),
    );
    type(null, onCommit(next), next);
  };
  const out = now && 'stored' in now && wayOut ? wayOut(now.stored) : null;
  return { typed, error, instead, wayOut: out, read, step, revert: drop };
}

/** The box of a number with its unit: arrow keys step it (ten steps with Shift), Escape goes back to what is saved. */
function NumberInput({
  id,
  info,
  value,
  compact,
  label,
  unit,
  entry,
}: Required<Pick<NumberFieldProps, 'info' | 'value' | 'compact' | 'label'>> & {
  id: string;
  unit: Shown;
  entry: ReturnType<typeof useNumberEntry>;
}) {
  const [entered, setEntered] = useState(false);
  const mark = useDecimalMark();
  const box = useRef<HTMLInputElement>(null);
  // After the whole number has taken the place of the short one.
  useLayoutEffect(() => {
    if (entered) box.current?.select();
  }, [entered]);
  // In a narrow field other units are shown short until it is entered: their factors are not round.
  const brief = compact && !entered && unit.scale !== 1;
  const saved =
    value === null
      ? ''
      : brief
        ? String(Number(toShown(value, unit).toFixed(unit.decimals + 1))).replace('.', mark)
        : fieldText(value, unit.scale, unit.offset, mark);
  const long = unit.label.length;
  const room = long === 0 ? '' : long > 4 ? 'pr-14' : long > 2 ? 'pr-11' : 'pr-8';
  const about = `${info.description} usually ${rangeText(info.usual, unit, mark)}`;
  const input = (
    <input
      id={id}
      type="text"
      inputMode="decimal"
      autoComplete="off"
      className={`field ${room} ${compact ? 'text-right' : ''}`}
      value={entry.typed ?? saved}
      aria-label={compact ? `${label}${unit.label ? `, ${unit.label}` : ''}` : undefined}
      aria-description={compact ? about : undefined}
      aria-invalid={entry.error !== null}
      aria-describedby={entry.error ? `${id}-error` : compact ? undefined : `${id}-help`}
      onChange={(event) => entry.read(event.target.value)}
      ref={box}
      onFocus={() => setEntered(true)}
      onBlur={() => {
        setEntered(false);
        if (entry.error === null) entry.revert();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') entry.revert();
        const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        entry.step(event.shiftKey ? by * 10 : by);
      }}
    />
  );
  return (
    <div className="relative">
      {compact ? (
        <Tip quiet text={about}>
          {input}
        </Tip>
      ) : (
        input
      )}
      {unit.label && (
        <span className="caption pointer-events-none absolute inset-y-0 right-2 grid place-items-center">
          {unit.label}
        </span>
      )}
    </div>
  );
}
