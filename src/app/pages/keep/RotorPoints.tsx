import { Plus, X } from 'lucide-react';
import type * as z from 'zod/mini';
import { fieldInfo, wheelFoundSchema } from '../../../model';
import { say } from '../../../text/en/say/keep';
import { NumberField } from '../../shared/NumberField';
import { IconButton } from '../../ui/IconButton';

const INFO = fieldInfo((wheelFoundSchema.shape.rotorMm as z.ZodMiniArray<z.ZodMiniType<number>>).def.element);
const MOST = 8;

/** Thickness of a rotor at points round its ring. */
export function RotorPoints({
  wheel,
  points,
  onChange,
}: {
  readonly wheel: string;
  readonly points: readonly number[];
  readonly onChange: (points: number[]) => string | null;
}) {
  return (
    <fieldset>
      <legend className="font-[540]">Rotor thickness</legend>
      <div className="mt-0.5 grid gap-1">
        {points.map((value, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a point is its place on the ring
          <div key={i} className="flex items-center gap-1">
            <NumberField
              compact
              info={INFO}
              label={`Rotor, ${wheel}, point ${i + 1}`}
              value={value}
              onCommit={(next) => (next === null ? null : onChange(points.with(i, next)))}
            />
            <IconButton
              icon={X}
              name={`Remove point ${i + 1}, ${wheel}`}
              title="Remove"
              onClick={() => onChange(points.filter((_, k) => k !== i))}
            />
          </div>
        ))}
        {points.length < MOST && (
          <button
            type="button"
            className="btn justify-self-start"
            onClick={() => onChange([...points, points.at(-1) ?? INFO.usual[1]])}
          >
            <Plus size={14} aria-hidden="true" /> A point
          </button>
        )}
      </div>
      <p className="caption mt-1">{say.rotorPoints}</p>
    </fieldset>
  );
}
