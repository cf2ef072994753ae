import { formatQuantity, type Quantity, toShown, toStored, type UnitChoice, unitOf } from '../../../model';
import { Stepper } from './Stepper';

/** A reading that need not be taken: a key begins it at a usual figure, steps go on from there, in the reader's unit. */
export function Reading({
  label,
  quantity,
  value,
  from = 0,
  step,
  min,
  max,
  units,
  required = false,
  onChange,
}: {
  readonly label: string;
  readonly quantity: Quantity;
  /** Stored; null where it was not read */
  readonly value: number | null;
  readonly from?: number;
  /** Stored units */
  readonly step: number;
  readonly min: number;
  readonly max: number;
  readonly units: UnitChoice;
  readonly required?: boolean;
  readonly onChange: (value: number | null) => void;
}) {
  if (value === null) {
    return (
      <div>
        <span className="caption" aria-hidden="true">
          {label}
        </span>
        <button
          type="button"
          className="btn flex min-h-[48px] min-w-[120px] justify-center"
          aria-label={`${label}: read`}
          onClick={() => onChange(from)}
        >
          not read
        </button>
      </div>
    );
  }
  const unit = unitOf(quantity, units);
  // A step of the reader's unit is a round one: 10 °C, or 20 °F.
  const shownStep = unit.scale > 1.5 ? step * 2 : unit.scale < 0.1 ? 0.02 : step;
  const shown = (stored: number) => toShown(stored, unit);
  return (
    <div className="flex items-end gap-1">
      <Stepper
        label={label}
        value={Number(shown(value).toFixed(4))}
        min={shown(min)}
        max={shown(max)}
        step={shownStep}
        text={(now) => formatQuantity(toStored(now, unit), quantity, units)}
        onChange={(next) => onChange(Number(toStored(next, unit).toPrecision(12)))}
      />
      {!required && (
        <button
          type="button"
          className="btn btn-bare min-h-[48px]"
          aria-label={`${label}: not read`}
          onClick={() => onChange(null)}
        >
          ×
        </button>
      )}
    </div>
  );
}
