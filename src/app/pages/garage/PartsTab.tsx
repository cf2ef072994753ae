import { Download, Upload } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import {
  type Axle,
  addPart,
  deleteItem,
  deletionObstacle,
  fitPart,
  isBuiltIn,
  type Part,
  type PartKind,
  shelfOf,
  writeParts,
} from '../../../model';
import { say } from '../../../text/en/say/garage';
import { download } from '../../shell/files';
import { useImport } from '../../shell/ImportTarget';
import { useProject, useStore } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { Tip } from '../../ui/Tip';
import { undoToast } from '../../ui/undoToast';
import { PartRow } from './PartRow';
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
  const units = useUnits();
  const openImport = useImport();
  const [kind, setKind] = useState<PartKind>('pad');
  const [open, setOpen] = useState<string | null>(null);
  const car = editing.item;
  const shelf = shelfOf(kind, project.parts);
  const byAxle = BY_AXLE.has(kind) || (kind === 'cylinder' && car.pedal.cylinders.kind === 'pair');
  const { mount, copy, remove, refusal } = usePartEdits(editing, setOpen);
  return (
    <section className="panel px-4 py-3" aria-label="Parts shelf">
      <div className="flex flex-wrap items-start gap-2">
        <div className="mr-auto max-w-[70ch]">
          <h2 className="text-[15px]">Parts shelf</h2>
          <p className="caption mt-0.5">{say.genericPartsOurOwn}</p>
        </div>
        <button type="button" className="btn" onClick={openImport}>
          <Upload size={15} aria-hidden="true" /> Import parts
        </button>
        <Tip text={project.parts.length === 0 ? say.thereNoPartsYour : undefined}>
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
                <PartRow
                  key={part.id}
                  part={part}
                  own={own}
                  units={units}
                  byAxle={byAxle}
                  mount={mount}
                  kind={kind}
                  copy={copy}
                  open={open}
                  setOpen={setOpen}
                  obstacle={obstacle}
                  remove={remove}
                  refusal={refusal}
                />
              );
            })}
          </ul>
        </Tabs.Content>
      </Tabs.Root>
    </section>
  );
}

/** What can be done with a part; a fit that is refused says why at the part. */
function usePartEdits(editing: TabProps['editing'], setOpen: (id: string) => void) {
  const store = useStore();
  const edit = useEdit();
  const car = editing.item;
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
  return { mount, copy, remove, refusal };
}
