import { Link } from 'react-router';
import { QUESTION } from '../../../compute';
import { EXPOSED_KINDS, type PROTECTIONS, type Preparation, siText } from '../../../model';
import { type ExposedReports, type ProtectionJob, protectionJobs } from '../../../services';
import { PROTECTION_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { AnswerState } from '../../shared/AnswerState';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import type { PrepareTabProps } from './tabProps';

type Kind = (typeof PROTECTIONS)[number];

/** Parts near something hot that come over their rating, and what each protection would bring. */
export function HeatTab({ prepared }: PrepareTabProps) {
  const { setup, car, preparation, editing } = prepared;
  const { decide } = useBackground();
  const settled = useSettled(setup, 400);
  const answer = useAnswer<ExposedReports>(
    settled && settled.car.exposed.length > 0 ? QUESTION.exposed(settled) : null,
    (signal) => decide.call((remote) => remote.exposed(settled ?? setup), signal),
  );
  if (car.exposed.length === 0) {
    return (
      <p className="panel px-4 py-5">
        {say.nothingExposed}{' '}
        <Link className="underline" to="/decide/exposed">
          List what is near something hot
        </Link>
      </p>
    );
  }
  const jobs = answer.data && protectionJobs(answer.data);
  const choose = (part: string, kind: Kind | null) => {
    const others = preparation.protections.filter((own) => own.part !== part);
    const next: Preparation['protections'] = kind
      ? [...others, { part, kind, beforeC: null, afterC: null }]
      : others;
    editing.set(['protections'], next, 'Heat protection');
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3" data-testid="heat">
      <section className="panel px-4 py-3">
        <p className="max-w-[92ch]">{say.heatLead(setup.plan.name)}</p>
        <AnswerState answer={answer} doing="Driving the day past them" />
        {jobs?.length === 0 && <p className="mt-1">{say.noneOver(car.exposed.length)}</p>}
      </section>
      {jobs?.map((job) => (
        <Job
          key={job.id}
          job={job}
          prepared={prepared}
          chosen={preparation.protections.find(({ part }) => part === job.id)?.kind ?? null}
          onChoose={(kind) => choose(job.id, kind)}
        />
      ))}
      {preparation.protections
        .filter(({ part }) => jobs && !jobs.some(({ id }) => id === part))
        .map(({ part, kind }) => {
          const own = car.exposed.find(({ id }) => id === part);
          if (!own) return null;
          return (
            <section key={part} className="panel flex flex-wrap items-center gap-3 px-4 py-3">
              <p className="mr-auto">{say.chosenAnyway(own.name, PROTECTION_TEXT[kind])}</p>
              <button type="button" className="btn" onClick={() => choose(part, null)}>
                Take out
              </button>
            </section>
          );
        })}
      <p className="caption px-1">{say.heatSafety}</p>
    </div>
  );
}

function Job({
  job,
  prepared,
  chosen,
  onChoose,
}: PrepareTabProps & {
  readonly job: ProtectionJob;
  readonly chosen: Kind | null;
  readonly onChoose: (kind: Kind | null) => void;
}) {
  const units = useUnits();
  const t = (kelvin: number) => siText(kelvin, 'temperature', units);
  const part = prepared.car.exposed.find(({ id }) => id === job.id);
  const at = prepared.preparation.protections.findIndex((own) => own.part === job.id);
  if (!part) return null;
  return (
    <section className="panel px-4 py-3" aria-label={part.name}>
      <h2 className="flex items-center gap-2 text-[15px]">
        <StateMark kind="over-limit" className="h-[15px] w-[15px]" />
        {part.name} <span className="caption">{EXPOSED_KINDS[part.kind].name}</span>
      </h2>
      <p className="mt-0.5">{say.heatIs(t(job.peak), t(job.rating), part.side, t(job.otherSide))}</p>
      <ul className="mt-1.5 grid gap-1.5 sm:grid-cols-2">
        {job.ways.map(({ kind, peak, brings }) => (
          <li key={kind} className="flex items-center gap-3 rounded border border-rule px-2.5 py-1.5">
            <span className="min-w-0 flex-1">
              <strong className="font-[600]">{PROTECTION_TEXT[kind]}</strong>: {t(peak)},{' '}
              {siText(brings, 'difference', units)} less{peak > job.rating && say.stillOver}
            </span>
            <button
              type="button"
              className={`btn ${chosen === kind ? 'btn-main' : ''}`}
              aria-pressed={chosen === kind}
              aria-label={`${part.name}: ${PROTECTION_TEXT[kind]}`}
              onClick={() => onChoose(chosen === kind ? null : kind)}
            >
              {chosen === kind ? 'In the job list' : 'Put on the job list'}
            </button>
          </li>
        ))}
      </ul>
      {at >= 0 && <Readings at={at} prepared={prepared} />}
    </section>
  );
}

/** What was read on a part before and after it was protected. */
function Readings({ at, prepared }: PrepareTabProps & { readonly at: number }) {
  return (
    <div className="mt-2 grid max-w-[520px] grid-cols-2 gap-x-4">
      {(['beforeC', 'afterC'] as const).map((key) => (
        <Field key={key} shelf="preparations" editing={prepared.editing} path={['protections', at, key]} />
      ))}
    </div>
  );
}
