import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { readReadings, writeReadings } from '../../../io';
import { addDrive, driveOf, type Observation, type Problem, setObservations } from '../../../model';
import { say } from '../../../text/en/say/calibrate';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { download } from '../../shell/files';
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
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
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
  const take = async (file: File) => {
    if (!drive) return;
    const read = readReadings(await file.text());
    if (!read.ok) return setRefused({ name: file.name, problems: read.problems });
    setRefused(null);
    // Ids of a file may be those of another one that was read before.
    const more = read.observations.map((own) => ({ ...own, id: crypto.randomUUID() }));
    edit('Readings from a file', (p) => setObservations(p, drive.id, [...drive.observations, ...more]), {
      done: say.readFrom(more.length, file.name),
    });
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
        {drive && (
          <FileDoor
            quiet
            kind="readings"
            label="Readings from a file"
            testId="readings-file"
            samples={['readings']}
            onFile={(file) => void take(file)}
          />
        )}
        {drive && drive.observations.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() => download('readings', drive.name, writeReadings(drive.observations), '-readings')}
          >
            Export
          </button>
        )}
        <Link className="underline" to="/log/heat">
          From a log
        </Link>
      </section>
      {refused && <Refusal name={refused.name} problems={refused.problems} />}
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
