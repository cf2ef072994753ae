import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { addDrive, driveOf, type Observation } from '../../../model';
import { say } from '../../../text/en/say/calibrate';
import { useProject, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { Choice } from '../../ui/Choice';
import { DriveHead } from './DriveHead';
import { ObservationForm } from './ObservationForm';
import { ObservationList } from './ObservationList';
import { useOpenDrive } from './useDrives';

/** A drive and what was observed of it. */
export function ReadingsTab() {
  const project = useProject();
  const setup = useSetup();
  const edit = useEdit();
  const [search, setSearch] = useSearchParams();
  const drive = useOpenDrive();
  const [editing, setEditing] = useState<Observation | null>(null);
  const open = (id: string) => {
    setEditing(null);
    setSearch({ ...Object.fromEntries(search), drive: id }, { replace: true });
  };
  const add = () => {
    const id = crypto.randomUUID();
    const date = setup.plan.date ?? new Date().toISOString().slice(0, 10);
    if (
      edit('New drive', (p) => addDrive(p, driveOf(setup, { id, name: setup.plan.name, date, log: null })))
    ) {
      open(id);
    }
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel flex flex-wrap items-center gap-x-3 gap-y-2 px-4 py-2.5">
        {drive && (
          <Choice
            name="Drive"
            className="w-[320px]! max-w-full"
            value={drive.id}
            options={project.drives.map(
              (own) =>
                [own.id, own.car.id === setup.car.id ? own.name : `${own.name} (${own.car.name})`] as const,
            )}
            onChange={open}
          />
        )}
        <button type="button" className="btn" onClick={add}>
          New drive, as “{setup.plan.name.slice(0, 40)}” is planned
        </button>
        <Link className="underline" to="/log/heat">
          From a log
        </Link>
      </section>
      {drive ? (
        <>
          <DriveHead key={drive.id} drive={drive} />
          <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[400px_minmax(0,1fr)]">
            <ObservationForm
              key={`${drive.id} ${editing?.id ?? ''}`}
              drive={drive}
              editing={editing}
              onDone={() => setEditing(null)}
            />
            <ObservationList drive={drive} editing={editing} onEdit={setEditing} />
          </div>
        </>
      ) : (
        <p className="panel max-w-[80ch] px-4 py-5">{say.noDriveYet}</p>
      )}
    </div>
  );
}
