import { useEffect, useId, useLayoutEffect, useRef, useState } from 'react';
import {
  type FieldInfo,
  type FieldLimits,
  formatQuantity,
  toShown,
  toStored,
  type UnitChoice,
  unitOf,
} from '../../model';
import { useUnits } from '../state/preferences';
import { parseNumber } from '../ui/parseNumber';

/** A stored number as the text of its field: short, without rounding away what was typed. */
function fieldText(value: number, scale: number, offset: number): string {
  const shown = value * scale + offset;
  return String(Number(shown.toPrecision(scale === 1 && offset === 0 ? 12 : 7)));
}

/**
 * A number with its unit, usual range and meaning. It is saved as it is typed; while what is typed cannot be used, the
 * field says why and the last good value stays.
 */
export function NumberField({
  info,
  value,
  onCommit,
  nullable = false,
  compact = false,
  label,
}: {
  info: FieldInfo & FieldLimits;
  value: number | null;
  /** Takes a stored value; answers with what is wrong, or null when it was saved */
  onCommit: (value: number | null) => string | null;
  nullable?: boolean;
  /** In a table: no caption, the label is for screen readers */
  compact?: boolean;
  label?: string;
}) {
  const units = useUnits();
  const unit = unitOf(info.quantity, units);
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [entered, setEntered] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  // After the whole number has taken the place of the short one.
  useLayoutEffect(() => {
    if (entered) box.current?.select();
  }, [entered]);
  const committed = useRef(value);

  useEffect(() => {
    // Undo, a reset or another field changed it: what was typed here is no longer meant.
    if (value !== committed.current) {
      committed.current = value;
      setDraft(null);
      setError(null);
    }
  }, [value]);

  // In a narrow field other units are shown short until it is entered: their factors are not round.
  const brief = compact && !entered && value !== null && unit.scale !== 1;
  const saved =
    value === null
      ? ''
      : brief
        ? String(Number(toShown(value, unit).toFixed(unit.decimals + 1)))
        : fieldText(value, unit.scale, unit.offset);
  const onChange = (text: string) => {
    setDraft(text);
    if (text.trim() === '' && nullable) {
      committed.current = null;
      setError(onCommit(null));
      return;
    }
    const number = parseNumber(text);
    if (number === null) {
      setError(text.trim() === '' ? 'A number is needed.' : 'This is not a number.');
      return;
    }
    const stored = Number(toStored(number, unit).toPrecision(12));
    const outOfLimits = limitProblem(stored, info, units);
    if (outOfLimits) {
      setError(outOfLimits);
      return;
    }
    const before = committed.current;
    committed.current = stored;
    const problem = onCommit(stored);
    if (problem) committed.current = before;
    setError(problem);
  };
  const revert = () => {
    setDraft(null);
    setError(null);
  };
  const usual = `usually ${shortRange(info.usual, unit)}`;
  const outside = value !== null && (value < info.usual[0] || value > info.usual[1]);

  const input = (
    <div className="relative">
      <input
        id={id}
        type="text"
        inputMode="decimal"
        autoComplete="off"
        className={`field ${unit.label ? (unit.label.length > 4 ? 'pr-14' : unit.label.length > 2 ? 'pr-11' : 'pr-8') : ''} ${compact ? 'text-right' : ''}`}
        value={draft ?? saved}
        aria-label={compact ? `${label ?? info.title}${unit.label ? `, ${unit.label}` : ''}` : undefined}
        aria-invalid={error !== null}
        aria-describedby={error ? `${id}-error` : compact ? undefined : `${id}-help`}
        title={compact ? `${info.description} ${usual}` : undefined}
        onChange={(event) => onChange(event.target.value)}
        ref={box}
        onFocus={() => setEntered(true)}
        onBlur={() => {
          setEntered(false);
          if (error === null) setDraft(null);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') revert();
          const by = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          if (by === 0 || value === null) return;
          event.preventDefault();
          const step = (info.step ?? 1) * (event.shiftKey ? 10 : 1);
          const next = Number(Math.min(info.max, Math.max(info.min, value + by * step)).toPrecision(12));
          setDraft(null);
          committed.current = next;
          const problem = onCommit(next);
          if (problem) committed.current = value;
          setError(problem);
        }}
      />
      {unit.label && (
        <span className="caption pointer-events-none absolute inset-y-0 right-2 grid place-items-center">
          {unit.label}
        </span>
      )}
    </div>
  );
  const problem = error && (
    <p id={`${id}-error`} role="alert" className="mt-1 text-[12.5px] text-over">
      {error}{' '}
      <button type="button" className="underline" onClick={revert}>
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
  return (
    <div>
      <label htmlFor={id} className="font-[540]">
        {label ?? info.title}
      </label>
      <div className="mt-0.5">{input}</div>
      {problem}
      <p id={`${id}-help`} className="caption mt-1">
        {info.description}{' '}
        <span className={outside ? 'text-close' : ''}>
          {outside ? `Unusual; ${usual}.` : `U${usual.slice(1)}.`}
        </span>
      </p>
    </div>
  );
}

/** What is wrong with a number by itself, in the units it is typed in. */
function limitProblem(stored: number, info: FieldInfo & FieldLimits, units: UnitChoice): string | null {
  const text = (v: number) => formatQuantity(v, info.quantity, units, decimalsFor(v));
  if (info.integer && !Number.isInteger(stored)) return 'A whole number is needed.';
  // A hundred-millionth of slack, because units change by factors that are not round.
  const slack = 1e-8 * Math.max(Math.abs(info.min), Math.abs(info.max));
  if (stored < info.min - slack) return `Must be at least ${text(info.min)}.`;
  if (stored > info.max + slack) return `Must be at most ${text(info.max)}.`;
  return null;
}

function decimalsFor(value: number): number {
  return Number.isInteger(value) ? 0 : 2;
}

function shortRange(
  [low, high]: readonly [number, number],
  unit: { scale: number; offset: number; label: string },
): string {
  const u = { ...unit, decimals: 0 };
  const text = (v: number) => String(Number(toShown(v, u).toPrecision(3))).replace('-', '−');
  return `${text(low)} to ${text(high)}${unit.label ? ` ${unit.label}` : ''}`;
}
