import { Copy, Download, Pencil, Trash2, Upload } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import {
  type Axle,
  addPart,
  deleteItem,
  deletionObstacle,
  fitPart,
  formatQuantity,
  isBuiltIn,
  type Part,
  type PartKind,
  shelfOf,
  type UnitChoice,
  writeParts,
} from '../../../model';
import { download } from '../../shell/files';
import { useImport } from '../../shell/ImportTarget';
import { useProject, useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { Tip } from '../../ui/Tip';
import { undoToast } from '../../ui/undoToast';
import { PartForm } from './PartForm';
import type { TabProps } from './tabProps';

const KINDS: readonly (readonly [PartKind, string])[] = [
  ['pad', 'Pads'],
  ['rotor', 'Rotors'],
  ['caliper', 'Calipers'],
  ['cylinder', 'Master cylinders'],
  ['fluid', 'Fluids'],
  ['line', 'Hoses'],
  ['duct', 'Ducts'],
];
/** Kinds that go on an axle; a cylinder does where there are two of them. */
const BY_AXLE: ReadonlySet<PartKind> = new Set(['pad', 'rotor', 'caliper', 'duct']);

/** Generic parts and the project's own: to fit, to copy, to change, to carry in a file. */
export function PartsTab({ editing }: TabProps) {
  const project = useProject();
  const store = useStore();
  const edit = useEdit();
  const units = useUnits();
  const openImport = useImport();
  const [kind, setKind] = useState<PartKind>('pad');
  const [open, setOpen] = useState<string | null>(null);
  const car = editing.item;
  const shelf = shelfOf(kind, project.parts);
  const byAxle = BY_AXLE.has(kind) || (kind === 'cylinder' && car.pedal.cylinders.kind === 'pair');
  const mount = (part: Part, axle: Axle) => {
    const problem = editing.replace(fitPart(car, part, axle), `Fitted ${part.name}`);
    if (!problem) undoToast(`Fitted ${part.name} to ${car.name}`, store.undoLast());
    setRefusal(problem === null ? null : { id: part.id, problem });
  };
  const [refusal, setRefusal] = useState<{ id: string; problem: string } | null>(null);
  const copy = (part: Part) => {
    const id = crypto.randomUUID();
    const own: Part = {
      ...part,
      id,
      name: `${part.name}, own`.slice(0, 80),
      source: isBuiltIn(part.id) ? 'own, begun from a typical part' : part.source,
    };
    if (edit(`Copied ${part.name}`, (p) => addPart(p, own))) setOpen(id);
  };
  const remove = (part: Part) => {
    edit(`Removed ${part.name}`, (p) => deleteItem(p, 'parts', part.id), { done: `Removed ${part.name}` });
  };
  return (
    <section className="panel px-4 py-3" aria-label="Parts shelf">
      <div className="flex flex-wrap items-start gap-2">
        <div className="mr-auto max-w-[70ch]">
          <h2 className="text-[15px]">Parts shelf</h2>
          <p className="caption mt-0.5">
            Generic parts of our own, none a maker’s. Copy one and give it the values of yours; take them from
            its maker’s data. Price classes run from 1 cheapest to 5 dearest of a kind.
          </p>
        </div>
        <button type="button" className="btn" onClick={openImport}>
          <Upload size={15} aria-hidden="true" /> Import parts
        </button>
        <Tip text={project.parts.length === 0 ? 'There are no parts of your own yet' : undefined}>
          <button
            type="button"
            className="btn"
            disabled={project.parts.length === 0}
            onClick={() => download('parts', 'parts', writeParts(project.parts))}
          >
            <Download size={15} aria-hidden="true" /> Export my parts
          </button>
        </Tip>
      </div>
      <Tabs.Root
        value={kind}
        onValueChange={(next) => {
          setKind(next as PartKind);
          setOpen(null);
        }}
      >
        <Tabs.List className="mt-2 flex flex-wrap gap-1" aria-label="Kinds of parts">
          {KINDS.map(([id, name]) => (
            <Tabs.Trigger key={id} value={id} className={`btn ${id === kind ? 'btn-main' : ''}`}>
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value={kind} tabIndex={-1}>
          <ul className="mt-2">
            {shelf.map((part) => {
              const own = !isBuiltIn(part.id);
              const obstacle = own ? deletionObstacle(project, 'parts', part.id) : null;
              return (
                <li key={part.id} className="border-t border-rule/60 py-2">
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
                  </div>
                  {refusal?.id === part.id && (
                    <p role="alert" className="mt-1 text-over">
                      It cannot be fitted like this. {refusal.problem}
                    </p>
                  )}
                  {own && open === part.id && <PartForm id={part.id} />}
                </li>
              );
            })}
          </ul>
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
}

/** What matters of a part, in a line. */
function properties(part: Part, units: UnitChoice): string {
  const t = (c: number) => formatQuantity(c, 'temperature', units);
  const mm = (v: number) => formatQuantity(v, 'smallLength', units);
  switch (part.kind) {
    case 'pad': {
      const { values } = part;
      const most = Math.max(...values.friction.map((p) => p.mu));
      return `${values.family}; µ ${values.friction[0].mu.toFixed(2)} cold, ${most.toFixed(2)} at best; window ${t(values.windowLowC)} to ${t(values.windowHighC)}, fades over ${t(values.limitC)}`;
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
      return `grows ${formatQuantity(part.values.growthMm3BarM, 'hoseGrowth', units)}`;
    case 'duct':
      return `${formatQuantity(part.values.areaCm2, 'area', units)}, ${part.values.coefficientPercent} % flow`;
  }
}
