import { useState } from 'react';
import { QUESTION } from '../../../compute';
import {
  EXPOSED_KIND_IDS,
  EXPOSED_KINDS,
  type Exposed,
  type ExposedKind,
  starterExposed,
} from '../../../model';
import type { ExposedReports } from '../../../services';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useSetup } from '../../state/context';
import { useAnswer } from '../../state/useAnswer';
import { type Editing, useItem } from '../../state/useItem';
import { useSettled } from '../../state/useSettled';
import { SelectField } from '../../ui/SelectField';
import { PartPanel } from './ExposedPart';

const QUIET = 400;
/** Leads, hoses, boots and seals near brakes and exhaust: how hot they get, and what would help. */
export function ExposedTab() {
  const setup = useSetup();
  const { decide } = useBackground();
  const editing = useItem('cars', setup.car.id);
  const settled = useSettled(setup, QUIET);
  const [kind, setKind] = useState<ExposedKind>('lead');
  const { exposed, driverSide } = setup.car;
  const answer = useAnswer<ExposedReports>(
    settled && settled.car.exposed.length > 0 ? QUESTION.exposed(settled) : null,
    (signal) => decide.call((remote) => remote.exposed(settled ?? setup), signal),
  );
  if (!editing) return null;
  const reports = answer.data;
  const fresh = (): Exposed => {
    const part = starterExposed(kind, crypto.randomUUID());
    const taken = exposed.map((e) => e.name);
    for (let n = 2; taken.includes(part.name); n++) part.name = `${EXPOSED_KINDS[kind].name} ${n}`;
    return part;
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <AddPart
        driverSide={driverSide}
        editing={editing}
        kind={kind}
        setKind={setKind}
        exposed={exposed}
        fresh={fresh}
      />
      {exposed.length === 0 ? (
        <p className="panel px-4 py-6 text-dim">{say.nothingListedCarSensor}</p>
      ) : (
        <>
          {(!reports || answer.behind || answer.error) && (
            <section className="panel px-4 py-3">
              <AnswerState answer={answer} doing="Driving the day past them" />
            </section>
          )}
          {exposed.map((part, i) => {
            const report = reports?.parts.find((p) => p.id === part.id) ?? null;
            return (
              <PartPanel
                key={part.id}
                part={part}
                index={i}
                editing={editing}
                report={report}
                minutes={reports?.minutes ?? null}
                behind={answer.behind}
              />
            );
          })}
          <p className="caption px-1">{say.shieldsSleevesMustNot}</p>
        </>
      )}
    </div>
  );
}

/** Where the driver sits, and another part. */
function AddPart({
  driverSide,
  editing,
  kind,
  setKind,
  exposed,
  fresh,
}: {
  driverSide: 'left' | 'right';
  editing: Editing<'cars'>;
  kind: ExposedKind;
  setKind: (kind: ExposedKind) => void;
  exposed: readonly Exposed[];
  fresh: () => Exposed;
}) {
  return (
    <section className="panel grid items-end gap-x-5 gap-y-3 px-4 py-3 sm:grid-cols-[160px_230px_auto_minmax(0,1fr)]">
      <SelectField
        label="Driver sits"
        value={driverSide}
        options={[
          ['left', 'Left'],
          ['right', 'Right'],
        ]}
        onChange={(side) => editing.set(['driverSide'], side, 'Driver’s side')}
      />
      <SelectField
        label="What is near something hot"
        value={kind}
        options={EXPOSED_KIND_IDS.map((id) => [id, EXPOSED_KINDS[id].name] as const)}
        onChange={setKind}
      />
      <button
        type="button"
        className="btn btn-main"
        disabled={exposed.length >= 20}
        onClick={() =>
          editing.replace({ ...editing.item, exposed: [...exposed, fresh()] }, 'Part near something hot')
        }
      >
        Add it
      </button>
      <p className="caption">{say.radiationPartViewHot}</p>
    </section>
  );
}
