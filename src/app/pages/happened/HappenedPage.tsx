import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { crewPredicting, QUESTION } from '../../../compute';
import { noteSymptom, type Observation, SYMPTOMS, type Symptom, type WhatIf } from '../../../model';
import { type NextReadings, nextReadings, whatHappened } from '../../../services';
import { SYMPTOM_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/happened';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useProject, useSetup } from '../../state/context';
import { useAnswer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { type Computed, useSession } from '../../state/useSession';
import { useSettled } from '../../state/useSettled';
import { Choice } from '../../ui/Choice';
import { PageTitle } from '../../ui/PageTitle';
import { toast } from '../../ui/toast';
import { Causes } from './Causes';

const NOTHING: WhatIf = {};
const QUIET = 500;

/** From what a driver noticed to what may be behind it, with this plan's own temperatures. */
export function HappenedPage() {
  const setup = useSetup();
  const view = useSession(setup, NOTHING);
  const [search, setSearch] = useSearchParams();
  const symptom = SYMPTOMS.find((own) => own === search.get('symptom')) ?? 'long pedal';
  const lap = Number(search.get('lap')) || null;
  const put = (key: string, value: string) => {
    const next = new URLSearchParams(search);
    if (value === '') next.delete(key);
    else next.set(key, value);
    setSearch(next, { replace: true });
  };
  const laps = view.shown?.result.laps.length ?? 0;
  const obstacle = view.error ?? view.obstacles.find(({ severity }) => severity === 'error');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={['What happened?', setup.plan.name]} />
      <header>
        <p className="caption">What happened?</p>
        <h1 className="text-[22px] leading-tight">{setup.plan.name}</h1>
      </header>
      <section className="panel grid gap-3 px-4 py-3" aria-label="What was noticed">
        <p className="max-w-[90ch]">{say.lead}</p>
        <div className="flex flex-wrap gap-3">
          <Choice
            name="What was noticed"
            className="w-[280px]! max-w-full"
            value={symptom}
            options={SYMPTOMS.map((own) => [own, SYMPTOM_NAMES[own]] as const)}
            onChange={(own) => put('symptom', own)}
          />
          <Choice
            name="On which lap"
            className="w-[190px]!"
            value={lap === null || lap > laps ? '' : String(lap)}
            options={[
              ['', 'not known: any lap'],
              ...Array.from({ length: laps }, (_, i) => [String(i + 1), `on lap ${i + 1}`] as const),
            ]}
            onChange={(own) => put('lap', own)}
          />
        </div>
      </section>
      {view.shown ? (
        <Ranked computed={view.shown} symptom={symptom} lap={lap !== null && lap <= laps ? lap : null} />
      ) : (
        <p className="panel px-4 py-5" role={obstacle ? 'alert' : 'status'}>
          {obstacle ? say.cannotBeComputed(obstacle.message) : 'Computing …'}
        </p>
      )}
      <p className="panel max-w-[90ch] px-4 py-3 font-[560]">{say.neverSafe}</p>
    </div>
  );
}

function Ranked({
  computed,
  symptom,
  lap,
}: {
  readonly computed: Computed;
  readonly symptom: Symptom;
  readonly lap: number | null;
}) {
  const { crew } = useBackground();
  const { setup, result } = computed;
  const settled = useSettled(setup, QUIET);
  // How far fluid and pads are uncertain with all that is guessed; the same as what to measure next asks.
  const answer = useAnswer<NextReadings>(settled && QUESTION.nextReadings(settled), (signal) =>
    nextReadings(settled ?? setup, crewPredicting(crew, signal)),
  );
  const causes = whatHappened(symptom, lap, setup, result, answer.data?.outcomes ?? []);
  return (
    <>
      <AnswerState answer={answer} doing="Weighing what is uncertain" />
      <Causes causes={causes} lap={lap} />
      <WriteDown
        symptom={symptom}
        lap={lap}
        axle={causes.find(({ evidence }) => evidence)?.evidence?.axle ?? 'front'}
      />
    </>
  );
}

/** Writes it into a drive; what says something of the heat is offered to the calibration. */
function WriteDown({
  symptom,
  lap,
  axle,
}: {
  readonly symptom: Symptom;
  readonly lap: number | null;
  readonly axle: 'front' | 'rear';
}) {
  const { drives } = useProject();
  const { car } = useSetup();
  const edit = useEdit();
  const own = drives.filter((drive) => drive.car.id === car.id);
  const [into, setInto] = useState<string | null>(null);
  const drive = own.find(({ id }) => id === into) ?? own[own.length - 1];
  if (!drive) {
    return (
      <p className="panel px-4 py-3">
        {say.noDrive}{' '}
        <Link className="underline" to="/calibrate/readings">
          Readings
        </Link>
      </p>
    );
  }
  const observation = observationOf(symptom, lap, axle);
  const write = () => {
    const made = edit('Wrote down what happened', (p) =>
      noteSymptom(p, drive.id, { id: crypto.randomUUID(), symptom, lap, note: '' }, observation),
    );
    if (made) toast.success(`${say.notedIn(drive.name)}${observation ? ` ${say.offered}` : ''}`);
  };
  return (
    <section className="panel flex flex-wrap items-center gap-3 px-4 py-3" aria-label="Write it down">
      <Choice
        name="Drive"
        className="w-[280px]! max-w-full"
        value={drive.id}
        options={own.map(({ id, name }) => [id, name] as const)}
        onChange={setInto}
      />
      <button type="button" className="btn" onClick={write}>
        Write it into this drive
      </button>
      {observation && <p className="text-dim">{say.offered}</p>}
    </section>
  );
}

/** What a symptom says of the heat; null where it says nothing, or its lap is not known. */
function observationOf(symptom: Symptom, lap: number | null, axle: 'front' | 'rear'): Observation | null {
  if (lap === null) return null;
  const shared = { id: crypto.randomUUID(), excluded: null, note: '', lap };
  if (symptom === 'long pedal') return { kind: 'boiled', ...shared, axle, sign: 'long pedal' };
  if (symptom === 'hard pedal') return { kind: 'faded', ...shared, axle };
  if (symptom === 'glow') return { kind: 'glow', ...shared, wheel: `${axle}Left`, light: 'dusk' };
  return null;
}
