import { type ReactNode, useState } from 'react';
import { PARAMETER_IDS, type ParameterId } from '../../../core';
import {
  DEFAULT_UNCERTAIN,
  fieldInfo,
  issueProblem,
  parameterInfo,
  planSchema,
  type Setup,
  type Uncertain,
  uncertainRanges,
} from '../../../model';
import { RUNS_A_PIECE } from '../../../services';
import { say } from '../../../text/en/say/decide';
import { NumberField } from '../../shared/NumberField';
import { useBackground, useSetup } from '../../state/context';
import { type Editing, useItem } from '../../state/useItem';
import { CheckField } from '../../ui/CheckField';
import { Choice } from '../../ui/Choice';
import { ProgressBar } from '../../ui/ProgressBar';
import { SelectField } from '../../ui/SelectField';
import { Tip } from '../../ui/Tip';
import { useDraft } from '../../ui/useDraft';
import { SureResults } from './SureResults';
import { type UncertainState, useUncertain } from './useUncertain';
import { useWarmCrew } from './useWarmCrew';

/** Uncertainty of a prediction: what is uncertain, the chance of each limit, and which input matters. */
export function SureTab() {
  const setup = useSetup();
  const editing = useItem('plans', setup.plan.id);
  if (!editing) return null;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 xl:grid-cols-[430px_minmax(0,1fr)]">
      <Ranges editing={editing} uncertain={setup.plan.uncertain} />
      <Runs setup={setup} editing={editing} />
    </div>
  );
}

const rangesShape = planSchema.shape.uncertain.shape.ranges.shape;

function Ranges({ editing, uncertain }: { editing: Editing<'plans'>; uncertain: Uncertain }) {
  return (
    <section className="panel self-start px-4 py-3" aria-label="What is uncertain">
      <div className="flex items-center gap-2">
        <h2 className="mr-auto text-[15px]">What is uncertain, and how far</h2>
        <button
          type="button"
          className="btn"
          onClick={() =>
            editing.set(['uncertain'], { ...uncertain, ranges: DEFAULT_UNCERTAIN.ranges }, 'Usual ranges')
          }
        >
          Usual ranges
        </button>
      </div>
      <p className="caption mt-0.5">{say.evenEveryValueWithin}</p>
      <ul className="mt-2 grid gap-1.5">
        {PARAMETER_IDS.map((input) => (
          <RangeRow key={input} input={input} editing={editing} uncertain={uncertain} />
        ))}
      </ul>
    </section>
  );
}

const SHAPES = [
  ['bell', 'bell'],
  ['even', 'even'],
] as const;

function RangeRow({
  input,
  editing,
  uncertain,
}: {
  input: ParameterId;
  editing: Editing<'plans'>;
  uncertain: Uncertain;
}) {
  const range = uncertain.ranges[input];
  const { title, description } = parameterInfo(input);
  const { calibration } = useSetup();
  const measured = calibration?.values.find(({ parameter }) => parameter === input);
  // What is typed and cannot be yet, such as a range upside down on the way to a good one.
  const draft = useDraft<{ low: number; high: number }, string>(`${range.low}/${range.high}`);
  const shown = draft.typed ?? range;
  const commit = (end: 'low' | 'high', value: number) => {
    const next = { ...range, low: shown.low, high: shown.high, [end]: value };
    const checked = rangesShape[input].safeParse(next);
    if (!checked.success) {
      const { message } = issueProblem(checked.error.issues[0]);
      draft.type({ low: next.low, high: next.high }, say.lowerEndLastGood(title, message));
      return null;
    }
    draft.drop();
    return editing.set(['uncertain', 'ranges', input], next, `Range of ${title}`);
  };
  const set = (with_: Partial<typeof range>) =>
    editing.set(['uncertain', 'ranges', input], { ...range, ...with_ }, `Range of ${title}`);
  return (
    <li className="grid grid-cols-[minmax(0,1fr)_78px_78px_66px] sm:grid-cols-[minmax(0,1fr)_92px_92px_84px] items-center gap-x-2 gap-y-0.5">
      <CheckField checked={range.use} onChange={(use) => set({ use })} name={`${title} is uncertain`}>
        <Tip text={description}>
          <span className={range.use ? 'font-[540]' : 'text-dim line-through'}>{title}</span>
        </Tip>
      </CheckField>
      {(['low', 'high'] as const).map((end) => (
        <NumberField
          key={end}
          compact
          label={`${title} ${end === 'low' ? 'from' : 'to'}`}
          info={fieldInfo(rangesShape[input].shape[end])}
          value={shown[end]}
          onCommit={(value) => (value === null ? null : commit(end, value))}
        />
      ))}
      <Choice
        className="px-1!"
        name={`${title}: how likely within`}
        value={range.shape}
        options={SHAPES}
        onChange={(shape) => set({ shape })}
      />
      {measured && range.use && (
        <p className="caption col-span-4">{say.measuredInstead(calibration?.date ?? '')}</p>
      )}
      {draft.error && (
        <p role="alert" className="col-span-4 text-[12.5px] text-over">
          {draft.error}
        </p>
      )}
    </li>
  );
}

function Runs({ setup, editing }: { setup: Setup; editing: Editing<'plans'> }) {
  const cores = useBackground().crew.size;
  const [workers, setWorkers] = useState(cores);
  const { uncertain } = setup.plan;
  const { shape } = planSchema.shape.uncertain;
  const field = (key: 'runs' | 'seed') => (
    <NumberField
      info={fieldInfo(shape[key])}
      value={uncertain[key]}
      onCommit={(value) => editing.set(['uncertain', key], value, key === 'runs' ? 'Runs' : 'Seed')}
    />
  );
  return (
    <RunsMade setup={setup} workers={workers}>
      <div className="grid gap-x-5 gap-y-2 sm:grid-cols-3">
        {field('runs')}
        {field('seed')}
        <SelectField
          label="Cores used"
          value={String(workers)}
          options={Array.from({ length: cores }, (_, i) => [String(i + 1), String(i + 1)] as const)}
          onChange={(value) => setWorkers(Number(value))}
          note={say.fewerSpareLaptopBattery}
        />
      </div>
    </RunsMade>
  );
}

/** The runs as they are made. What stands over them is handed in, so that it is not drawn anew with each step on the way. */
function RunsMade({ setup, workers, children }: { setup: Setup; workers: number; children: ReactNode }) {
  const { state, pieces, run, cancel, forget } = useUncertain(setup);
  useWarmCrew(setup, state.kind);
  const { uncertain } = setup.plan;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3">
      <section className="panel px-4 py-3" aria-label="Runs">
        {children}
        <div className="mt-2.5 flex flex-wrap items-center gap-3" data-testid="runs-state">
          <Status
            state={state}
            pieces={pieces}
            runs={uncertain.runs}
            nothing={uncertainRanges(uncertain).length === 0}
            onRun={() => void run(workers)}
            onCancel={cancel}
            onForget={() => void forget()}
          />
        </div>
      </section>
      {state.kind === 'done' && <SureResults statistics={state.statistics} setup={state.setup} />}
    </div>
  );
}

function Status({
  state,
  pieces,
  runs,
  nothing,
  onRun,
  onCancel,
  onForget,
}: {
  state: UncertainState;
  pieces: number;
  runs: number;
  nothing: boolean;
  onRun: () => void;
  onCancel: () => void;
  onForget: () => void;
}) {
  const of = (kept: number) => Math.min(runs, kept * RUNS_A_PIECE);
  if (nothing) return <p role="alert">{say.nothingUncertainChooseLeast}</p>;
  switch (state.kind) {
    case 'looking':
      return (
        <p className="text-dim" role="status">
          Looking for runs made before …
        </p>
      );
    case 'running':
      return (
        <>
          <button type="button" className="btn" onClick={onCancel}>
            Cancel
          </button>
          <ProgressBar label="Runs done" max={pieces} value={state.done} className="w-[220px]" />
          <p role="status">
            {of(state.done)} of {runs} simulation runs
          </p>
        </>
      );
    case 'failed':
    case 'idle':
      return (
        <>
          <button type="button" className="btn btn-main" onClick={onRun}>
            {state.kept > 0 ? `Go on from ${of(state.kept)}` : `Start ${runs} simulation runs`}
          </button>
          {state.kept > 0 && (
            <button type="button" className="btn" onClick={onForget}>
              Run again
            </button>
          )}
          <p
            role={state.kind === 'failed' ? 'alert' : 'status'}
            className={state.kind === 'failed' ? '' : 'text-dim'}
          >
            {state.kind === 'failed'
              ? say.stoppedDaysKept(state.message, of(state.kept), runs)
              : state.cancelled
                ? say.cancelledDaysKept(of(state.kept), runs)
                : state.kept > 0
                  ? say.daysKeptBefore(of(state.kept), runs)
                  : say.notDrivenYetThese}
          </p>
        </>
      );
    case 'done':
      return (
        <>
          <p role="status">
            {say.simulationRuns(state.statistics.runs)}
            {state.seconds !== null && ` in ${state.seconds.toFixed(1)} s`}
            {say.seed(state.setup.plan.uncertain.seed)}
          </p>
          <button type="button" className="btn" onClick={onForget}>
            Run again
          </button>
        </>
      );
  }
}
