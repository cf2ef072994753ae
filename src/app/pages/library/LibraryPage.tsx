import { Copy, Pencil, Trash2 } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import {
  addCircuit,
  type Circuit,
  copyItem,
  deleteItem,
  deletionObstacle,
  formatQuantity,
  type Project,
  renameItem,
  renameProject,
  type Shelf,
  selectPlan,
  starterLine,
  starterZone,
} from '../../../model';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { PageTitle } from '../../ui/PageTitle';
import { TextField } from '../../ui/TextField';
import { Tip } from '../../ui/Tip';
import { toast } from '../../ui/toast';
import { BackupPanel } from './BackupPanel';
import { KeptStates } from './KeptStates';
import { ProjectsPanel } from './ProjectsPanel';

type Listed = 'cars' | 'circuits' | 'plans';
const SHELVES: readonly { shelf: Listed; title: string; noun: string; to: string }[] = [
  { shelf: 'plans', title: 'Plans', noun: 'plan', to: '/plan' },
  { shelf: 'cars', title: 'Cars', noun: 'car', to: '/car' },
  { shelf: 'circuits', title: 'Circuits', noun: 'circuit', to: '/circuit' },
];

/** Every car, circuit and plan of the project. */
export function LibraryPage() {
  const project = useProject();
  const edit = useEdit();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={['Library']} />
      <h1 className="sr-only">Library</h1>
      <header className="panel grid gap-1 px-4 py-3 sm:max-w-[520px]">
        <TextField
          label="Name of the project"
          value={project.name}
          longest={80}
          required
          onCommit={(name) =>
            edit('Name of the project', (p) => renameProject(p, name), { key: 'project/name' })
          }
        />
      </header>
      <div className="grid items-start gap-3 lg:grid-cols-3">
        {SHELVES.map((entry) => (
          <ShelfPanel key={entry.shelf} {...entry} />
        ))}
      </div>
      <KeptStates />
      <ProjectsPanel />
      <BackupPanel />
    </div>
  );
}

function ShelfPanel({ shelf, title, noun, to }: (typeof SHELVES)[number]) {
  const project = useProject();
  const edit = useEdit();
  const navigate = useNavigate();
  return (
    <section className="panel px-3 py-2.5" aria-label={title}>
      <h2 className="text-[16px]">{title}</h2>
      <ul className="mt-1">
        {project[shelf].map((item) => (
          <ShelfItem key={item.id} id={item.id} name={item.name} shelf={shelf} noun={noun} to={to} />
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2 border-t border-rule/60 pt-2.5">
        <Link className="btn" to={GUIDED[shelf]}>
          New {noun}
        </Link>
        {shelf === 'circuits' &&
          BARE.map(({ label, create }) => (
            <button
              key={label}
              type="button"
              className="btn"
              onClick={() => {
                const id = crypto.randomUUID();
                if (edit(label, (p) => addCircuit(p, create(id)))) navigate(`${to}/${id}`);
              }}
            >
              {label}
            </button>
          ))}
      </div>
    </section>
  );
}

const GUIDED: Readonly<Record<Listed, string>> = {
  plans: '/new/plan',
  cars: '/new/car',
  circuits: '/new/circuit',
};

/** Circuits that begin from a bare one instead of a form. */
const BARE: readonly { readonly label: string; readonly create: (id: string) => Circuit }[] = [
  {
    label: 'New circuit of straights and corners',
    create: (id) => starterLine(id, 'New circuit'),
  },
  {
    label: 'New list of braking zones',
    create: (id) => ({
      id,
      name: 'New list of braking zones',
      altitudeM: 0,
      trackWidthM: 12,
      place: null,
      source: 'typed',
      layout: { kind: 'zones', zones: [starterZone('Braking zone 1')] },
    }),
  },
];

function describe(project: Project, shelf: Shelf, id: string, units: ReturnType<typeof useUnits>): string {
  if (shelf === 'plans') {
    const plan = project.plans.find((p) => p.id === id);
    const car = project.cars.find((c) => c.id === plan?.carId);
    const circuit = project.circuits.find((c) => c.id === plan?.circuitId);
    if (!plan || !car || !circuit) return '';
    const hot = plan.sessions
      .flatMap((s) => s.legs)
      .reduce((n, leg) => n + (leg.kind === 'hot' ? leg.laps : 0), 0);
    const sessions = plan.sessions.length === 1 ? '' : `, ${plan.sessions.length} sessions`;
    return `${car.name} at ${circuit.name}, ${hot} hot laps${sessions}`;
  }
  if (shelf === 'cars') {
    const car = project.cars.find((c) => c.id === id);
    return car
      ? `${formatQuantity(car.massKg, 'mass', units, 0)}, ${formatQuantity(car.powerKw, 'power', units)}`
      : '';
  }
  const circuit = project.circuits.find((c) => c.id === id);
  if (!circuit) return '';
  const madeUp = circuit.source === 'made-up' ? ', made up' : '';
  return circuit.layout.kind === 'zones'
    ? `${circuit.layout.zones.length} braking zones, ${circuit.source === 'recorded' ? 'recorded' : 'typed'}${madeUp}`
    : `${circuit.layout.segments.filter((s) => s.kind === 'corner').length} corners${madeUp}`;
}

/** An item of the library: renamed, opened, copied, deleted; a plan is put to use. */
function ShelfItem({
  id,
  name,
  shelf,
  noun,
  to,
}: Omit<(typeof SHELVES)[number], 'title'> & { id: string; name: string }) {
  const project = useProject();
  const edit = useEdit();
  const navigate = useNavigate();
  const units = useUnits();
  const obstacle = deletionObstacle(project, shelf, id);
  const selected = shelf === 'plans' && id === project.selectedPlanId;
  return (
    <li className="border-t border-rule/60 py-2">
      <div className="flex items-start gap-1">
        <div className="min-w-0 flex-1">
          <TextField
            compact
            label={`Name of ${noun} ${name}`}
            value={name}
            longest={80}
            required
            onCommit={(next) =>
              edit(`Renamed a ${noun}`, (p) => renameItem(p, shelf, id, next), {
                key: `${id}/name`,
              })
            }
          />
          <p className="caption mt-1">{describe(project, shelf, id, units)}</p>
        </div>
        <Tip text="Edit">
          <Link className="btn btn-bare px-2" to={`${to}/${id}`} aria-label={`Edit ${name}`}>
            <Pencil size={15} aria-hidden="true" />
          </Link>
        </Tip>
        <IconButton
          icon={Copy}
          name={`Copy ${name}`}
          title="Copy"
          onClick={() => edit(`Copied a ${noun}`, (p) => copyItem(p, shelf, id, crypto.randomUUID()))}
        />
        <IconButton
          icon={Trash2}
          name={`Delete ${name}`}
          title={obstacle ?? 'Delete'}
          onClick={() => {
            if (obstacle) {
              toast.error(obstacle);
              return;
            }
            edit(`Deleted a ${noun}`, (p) => deleteItem(p, shelf, id), {
              done: `Deleted “${name}”`,
            });
          }}
        />
      </div>
      {shelf === 'plans' && (
        <button
          type="button"
          className={`btn mt-1.5 ${selected ? 'btn-main' : ''}`}
          aria-pressed={selected}
          onClick={() => {
            edit('Selected a plan', (p) => selectPlan(p, id));
            navigate('/');
          }}
        >
          {selected ? 'On the workbench' : 'Use this plan'}
        </button>
      )}
    </li>
  );
}
