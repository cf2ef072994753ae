import { Copy, Pencil, Trash2 } from 'lucide-react';
import {
  type Axle,
  coldBite,
  formatQuantity,
  type Part,
  type PartKind,
  padOf,
  type UnitChoice,
} from '../../../model';
import { padTradesText } from '../../../text/en';
import { say } from '../../../text/en/say/garage';
import { IconButton } from '../../ui/IconButton';
import { PartForm } from './PartForm';

/** A part: what it is, and what can be done with it. */
export function PartRow({
  part,
  own,
  units,
  byAxle,
  mount,
  kind,
  copy,
  open,
  setOpen,
  obstacle,
  remove,
  refusal,
}: {
  part: Part;
  own: boolean;
  units: UnitChoice;
  byAxle: boolean;
  mount: (part: Part, axle: Axle) => void;
  kind: 'rotor' | 'pad' | 'caliper' | 'cylinder' | 'fluid' | 'line' | 'duct';
  copy: (part: Part) => void;
  open: string | null;
  setOpen: (value: string | null) => void;
  obstacle: string | null;
  remove: (part: Part) => void;
  refusal: { id: string; problem: string } | null;
}) {
  return (
    <li className="border-t border-rule/60 py-2">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-1">
        <div className="min-w-[240px] flex-1">
          <p className="font-[620]">
            {part.name}
            {own && <span className="caption ml-2 rounded bg-sunk px-1.5 py-0.5">own</span>}
          </p>
          <p className="caption">
            {part.note && `${part.note} `}
            {part.source}.
          </p>
        </div>
        <p className="min-w-[260px] flex-[1.3]">{properties(part, units)}</p>
        <p className="w-[110px] text-right narrow">
          {formatQuantity(part.massKg, 'mass', units, 2)}
          <br />
          <span className="text-dim">price class {part.price}</span>
        </p>
        <PartButtons
          byAxle={byAxle}
          mount={mount}
          part={part}
          kind={kind}
          copy={copy}
          own={own}
          open={open}
          setOpen={setOpen}
          obstacle={obstacle}
          remove={remove}
        />
      </div>
      {refusal?.id === part.id && (
        <p role="alert" className="mt-1 text-over">
          {say.cannotFittedLike(refusal.problem)}
        </p>
      )}
      {own && open === part.id && <PartForm id={part.id} />}
    </li>
  );
}

/** Fits, copies, changes or removes a part. */
export function PartButtons({
  byAxle,
  mount,
  part,
  kind,
  copy,
  own,
  open,
  setOpen,
  obstacle,
  remove,
}: {
  byAxle: boolean;
  mount: (part: Part, axle: Axle) => void;
  part: Part;
  kind: PartKind;
  copy: (part: Part) => void;
  own: boolean;
  open: string | null;
  setOpen: (value: string | null) => void;
  obstacle: string | null;
  remove: (part: Part) => void;
}) {
  return (
    <div className="flex flex-wrap gap-1">
      {byAxle ? (
        (['front', 'rear'] as const).map((axle) => (
          <button key={axle} type="button" className="btn" onClick={() => mount(part, axle)}>
            Fit {axle}
          </button>
        ))
      ) : (
        <button type="button" className="btn" onClick={() => mount(part, 'front')}>
          {kind === 'fluid' ? 'Fill in' : 'Fit'}
        </button>
      )}
      <IconButton
        icon={Copy}
        name={`Copy ${part.name} as my own`}
        title="Copy as my own"
        onClick={() => copy(part)}
      />
      {own && (
        <>
          <button
            type="button"
            className="btn px-2"
            aria-label={`Change ${part.name}`}
            aria-expanded={open === part.id}
            onClick={() => setOpen(open === part.id ? null : part.id)}
          >
            <Pencil size={15} aria-hidden="true" />
          </button>
          <IconButton
            icon={Trash2}
            name={`Remove ${part.name}`}
            disabled={obstacle !== null}
            title={obstacle ?? 'Remove'}
            onClick={() => remove(part)}
          />
        </>
      )}
    </div>
  );
}

/** What matters of a part, in a line. */
export function properties(part: Part, units: UnitChoice): string {
  const t = (c: number) => formatQuantity(c, 'temperature', units);
  const mm = (v: number) => formatQuantity(v, 'smallLength', units);
  switch (part.kind) {
    case 'pad': {
      const { values } = part;
      const most = Math.max(...values.friction.map((p) => p.mu));
      return say.coldBestWindowFades(
        values.family,
        coldBite(padOf(part.id, [part])).toFixed(2),
        most.toFixed(2),
        t(values.windowLowC),
        t(values.windowHighC),
        t(values.limitC),
        padTradesText(values),
      );
    }
    case 'rotor': {
      const { values: r } = part;
      return `${mm(r.outerDiameterMm)} × ${mm(r.thicknessMm)}, ${r.mounting}, ${r.vaneGapMm > 0 ? `${r.vaneCount} ${r.vaneType} vanes` : 'solid'}, ${r.surface}`;
    }
    case 'caliper': {
      const { values: c } = part;
      const area = c.pistonsMm.reduce((sum, d) => sum + (Math.PI / 4) * d * d, 0) / 100;
      return `${c.kind}, pistons ${c.pistonsMm.join(', ')} mm: ${formatQuantity(area, 'area', units)} a side; pad ${formatQuantity(c.padAreaCm2, 'area', units)}`;
    }
    case 'cylinder':
      return `bore ${mm(part.values.boreMm)}, stroke ${mm(part.values.strokeMm)}`;
    case 'fluid':
      return `${part.values.class}; boils at ${t(part.values.dryC)} dry, ${t(part.values.wetC)} wet${part.values.silicone ? '; never mix with glycol' : ''}`;
    case 'line':
      return `grows ${formatQuantity(part.values.growthMm3BarM, 'hoseExpansion', units)}`;
    case 'duct':
      return `${formatQuantity(part.values.areaCm2, 'area', units)}, ${part.values.coefficientPercent} % flow`;
  }
}
