import { Download } from 'lucide-react';
import { useMemo } from 'react';
import { QUESTION } from '../../../compute';
import { benchFileOf, benchProgrammeCsv, writeBenchProgramme } from '../../../io';
import { BENCH_CONTROLS, BENCH_STARTS, type StoredBench } from '../../../model';
import type { BenchPlan } from '../../../services';
import { benchSummary, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AnswerState } from '../../shared/AnswerState';
import { Field } from '../../shared/Section';
import { download } from '../../shell/files';
import { useBackground } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { CheckField } from '../../ui/CheckField';
import { SelectField } from '../../ui/SelectField';
import { BenchResults } from './BenchResults';
import { BenchStops } from './BenchStops';
import type { TestTabProps } from './tabProps';

const QUIET = 350;
const WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
const LIMITS = [
  'leastInertia',
  'mostInertia',
  'inertiaStep',
  'torqueNm',
  'speedRpm',
  'airKmh',
  'areaPercent',
  'radiusPercent',
] as const satisfies readonly (keyof StoredBench)[];

/** The plan's session for an inertia bench: one wheel, stop by stop. */
export function BenchTab({ tested }: TestTabProps) {
  const { test, editing, setup } = tested;
  const { bench } = test;
  const units = useUnits();
  const { decide } = useBackground();
  const wanted = useMemo(() => ({ setup, bench }), [setup, bench]);
  const settled = useSettled(wanted, QUIET);
  const answer = useAnswer<BenchPlan>(
    settled && QUESTION.bench(settled.setup, settled.bench),
    async (signal) => {
      if (!settled) throw new RangeError('BenchTab: asked before it had settled');
      return decide.call((remote) => remote.bench(settled.setup, settled.bench), signal);
    },
  );
  const plan = answer.data;
  const choose = (key: keyof StoredBench, label: string) => (value: string) =>
    editing.set(['bench', key], value, label);
  const name = say.benchName(setup.car.name, setup.plan.name, WHEEL_NAMES[bench.wheel]);
  const file = () => (plan ? benchFileOf(plan.programme, bench, name, plan.ambient) : null);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3" aria-label="The bench">
        <div className="grid gap-x-4 gap-y-2.5 sm:grid-cols-2 lg:grid-cols-4">
          <SelectField
            label="Wheel"
            value={bench.wheel}
            options={WHEELS.map((own) => [own, WHEEL_NAMES[own]] as const)}
            onChange={choose('wheel', 'Wheel')}
          />
          <SelectField
            label="Stops are held by"
            value={bench.control}
            options={BENCH_CONTROLS.map((own) => [own, say.controls[own]] as const)}
            onChange={choose('control', 'Stops are held by')}
          />
          <SelectField
            label="Stops are begun by"
            value={bench.start}
            options={BENCH_STARTS.map((own) => [own, say.starts[own]] as const)}
            onChange={choose('start', 'Stops are begun by')}
          />
          <CheckField
            className="self-end pb-1"
            checked={bench.bedding}
            onChange={(on) => editing.set(['bench', 'bedding'], on, 'Bedding first')}
          >
            Bedding first
          </CheckField>
        </div>
        <div className="mt-2.5 grid gap-x-4 gap-y-2.5 sm:grid-cols-4 lg:grid-cols-8">
          {LIMITS.map((key) => (
            <Field key={key} shelf="tests" editing={editing} path={['bench', key]} />
          ))}
        </div>
        <p className="caption mt-1.5">{say.benchMeans}</p>
      </section>
      <section className="panel px-4 py-3" aria-label="Programme" data-testid="programme">
        <AnswerState answer={answer} doing="Writing the programme" />
        {plan && (
          <div className={answer.behind ? 'opacity-60' : ''}>
            <p className="max-w-[100ch] text-[16px] leading-snug">{benchSummary(plan, units)}</p>
            <div className="mt-2 flex flex-wrap gap-2">
              <button
                type="button"
                className="btn"
                onClick={() => {
                  const written = file();
                  if (written) download('table', name, benchProgrammeCsv(written), '-bench');
                }}
              >
                <Download size={15} aria-hidden="true" /> Programme as CSV
              </button>
              <button
                type="button"
                className="btn"
                onClick={() => {
                  const written = file();
                  if (written) download('benchProgramme', name, writeBenchProgramme(written), '-bench');
                }}
              >
                <Download size={15} aria-hidden="true" /> Programme as JSON
              </button>
            </div>
            <BenchStops plan={plan} bench={bench} />
          </div>
        )}
      </section>
      {plan && !answer.behind && <BenchResults tested={tested} plan={plan} name={name} />}
    </div>
  );
}
