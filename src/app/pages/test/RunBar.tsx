import { Download, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { readRecord, writeRecord } from '../../../io';
import { newRun, putRun, putStop, removeRun, runsOf } from '../../../model';
import { say } from '../../../text/en/say/test';
import { FileDoor } from '../../shared/FileDoor';
import { download, problemLines } from '../../shell/files';
import { useProject } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { toast } from '../../ui/toast';
import { RunChoice } from './RunChoice';
import type { TestTabProps } from './tabProps';
import { type OpenRun, useBeginRun, useSetups } from './useRun';

/** Which run, a new one with a setup, and records as files. */
export function RunBar({ tested, open }: TestTabProps & { readonly open: OpenRun | null }) {
  const { test, editing, setup } = tested;
  const project = useProject();
  const edit = useEdit();
  const setups = useSetups(tested);
  const [variant, setVariant] = useState('');
  const begin = useBeginRun(tested);
  const runs = runsOf(test);
  const take = async (file: File) => {
    const read = readRecord(await file.text());
    if (!read.ok) {
      toast.error(say.recordRefused(file.name), {
        description: problemLines(read.problems).join('\n'),
        duration: 20_000,
      });
      return;
    }
    edit(
      'Read a record',
      (p) =>
        read.runs.reduce((now, recorded) => {
          const own = now.tests.find(({ id }) => id === test.id) ?? test;
          const id = crypto.randomUUID();
          const base = newRun(own, setup.car, project.parts, { setup: recorded.setup, date: test.date });
          const conditions =
            recorded.slopePercent === null
              ? base.conditions
              : { ...base.conditions, slopePercent: recorded.slopePercent };
          const begun = putRun(now, test.id, id, { ...base, name: recorded.name.slice(0, 80), conditions });
          return recorded.stops.reduce(
            (with_, stop) => putStop(with_, test.id, id, crypto.randomUUID(), stop),
            begun,
          );
        }, p),
      { done: say.recordRead(read.runs.length) },
    );
  };
  return (
    <section className="panel flex flex-wrap items-end gap-x-4 gap-y-2 px-4 py-2.5" aria-label="Runs">
      {open && runs.length > 1 && <RunChoice runs={runs} id={open.id} />}
      {open && (
        <>
          <div className="w-[220px] max-w-full">
            <TextField
              label="Name of the run"
              value={open.run.name}
              longest={80}
              required
              onCommit={(next) => editing.set(['runs', open.id, 'name'], next, 'Name of a run')}
            />
          </div>
          <IconButton
            icon={Trash2}
            name={`Delete ${open.run.name}`}
            title="Delete run"
            onClick={() =>
              edit('Deleted a run', (p) => removeRun(p, test.id, open.id), {
                done: `Deleted “${open.run.name}”`,
              })
            }
          />
        </>
      )}
      <div className="ml-auto flex flex-wrap items-end gap-2">
        <div className="w-[220px] max-w-full">
          <SelectField label="Driven with" value={variant} options={setups} onChange={setVariant} />
        </div>
        <button type="button" className={open ? 'btn' : 'btn btn-main'} onClick={() => begin(variant)}>
          <Plus size={15} aria-hidden="true" /> New run
        </button>
        <FileDoor
          kind="record"
          label="Read a record"
          testId="record-file"
          samples={runs.length === 0 ? ['stops'] : []}
          quiet
          onFile={(file) => void take(file)}
        />
        {runs.length > 0 && (
          <button
            type="button"
            className="btn"
            onClick={() => download('record', test.name, writeRecord(test))}
          >
            <Download size={15} aria-hidden="true" /> Record
          </button>
        )}
      </div>
    </section>
  );
}
