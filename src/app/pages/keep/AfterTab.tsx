import { useState } from 'react';
import { useNavigate } from 'react-router';
import { nextPlanned } from '../../../services';
import { say } from '../../../text/en/say/keep';
import { drivenLoad, drivenSession } from '../../shared/drivenLoad';
import { useBackground, useProject, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { AfterDriven } from './AfterDriven';
import { AfterReadings } from './AfterReadings';
import { type AfterValues, begunWith, sessionOf, written } from './afterForm';
import { type KeepTabProps, today } from './tabProps';

const clock = () => new Date().toTimeString().slice(0, 5);

/** The lower half of the run sheet: what a session came to, put down in a minute with gloves on. */
export function AfterTab({ kept }: KeepTabProps) {
  const project = useProject();
  const { plan } = useSetup();
  const { decide, files } = useBackground();
  const edit = useEdit();
  const navigate = useNavigate();
  const [values, setValues] = useState<AfterValues>(() =>
    begunWith(kept.entries, plan, {
      date: today(),
      time: clock(),
      planned: nextPlanned(project, kept.car.id, today()),
    }),
  );
  const [writing, setWriting] = useState(false);
  const set = (change: Partial<AfterValues>) => setValues((now) => ({ ...now, ...change }));
  const keep = async () => {
    setWriting(true);
    const session = sessionOf(values, { id: 'asked', carId: kept.car.id, entries: kept.entries });
    const driven = drivenSession(project, session);
    // What it took is computed with the car of today; if that fails, it is computed later.
    const load = driven
      ? await decide.call((engine) => drivenLoad(files, engine, driven)).catch(() => null)
      : null;
    setWriting(false);
    const newId = () => crypto.randomUUID();
    const made = edit(
      'Wrote a session down',
      (p) => written(p, values, { carId: kept.car.id, entries: kept.entries, load, newId }),
      { done: say.writtenDown(values.name) },
    );
    if (made) void navigate('/logbook/entries');
  };
  return (
    <form
      noValidate
      aria-label="After a session"
      className="grid max-w-[900px] grid-cols-[minmax(0,1fr)] gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <AfterDriven kept={kept} values={values} set={set} />
      <AfterReadings values={values} set={set} />
      <div className="flex items-center gap-3">
        <button type="submit" className="btn btn-main min-h-[48px] px-6" disabled={writing}>
          {writing ? 'Computing' : 'Write it down'}
        </button>
        <p className="caption">{say.oneUndo}</p>
      </div>
    </form>
  );
}
