import { useQueries } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { QUESTION } from '../../../compute';
import type { Severity } from '../../../core';
import {
  applyWhatIf,
  assignToPlan,
  type Circuit,
  circuitProblems,
  dayInput,
  formatQuantity,
  fromSi,
  type Quantity,
  type Setup,
} from '../../../model';
import { say } from '../../../text/en/say/circuits';
import { useBackground, useProject, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { SelectField } from '../../ui/SelectField';
import { Tip } from '../../ui/Tip';

/** A measure of how hard a circuit is: its words, its value in the stored unit, and whether more of it is harder. */
interface Measure {
  readonly title: string;
  readonly quantity: Quantity;
  readonly decimals?: number;
  readonly of: (s: Severity) => number;
  readonly per?: string;
  readonly harder: 'more' | 'less' | null;
}
const MEASURES = {
  power: {
    title: 'Brake power over the lap',
    quantity: 'power',
    decimals: 1,
    of: (s) => fromSi(s.meanPower, 'power'),
    harder: 'more',
  },
  energy: {
    title: 'Energy a kilometre',
    quantity: 'energy',
    of: (s) => s.energyPerLength,
    per: '/km',
    harder: 'more',
  },
  share: { title: 'Time braking', quantity: 'percent', of: (s) => 100 * s.brakingShare, harder: 'more' },
  air: {
    title: 'Air speed between braking zones',
    quantity: 'speed',
    of: (s) => fromSi(s.airSpeed, 'speed'),
    harder: 'less',
  },
  straight: { title: 'Longest straight', quantity: 'distance', of: (s) => s.longestStraight, harder: null },
  free: {
    title: 'Longest way without braking',
    quantity: 'distance',
    of: (s) => s.longestFree,
    harder: null,
  },
  lap: { title: 'Length', quantity: 'distance', of: (s) => s.length, harder: null },
  time: { title: 'Lap time', quantity: 'seconds', of: (s) => s.time, harder: null },
} as const satisfies Record<string, Measure>;
type MeasureKey = keyof typeof MEASURES;
const KEYS = Object.keys(MEASURES) as MeasureKey[];

/** A circuit with what it asks, as far as it was computed. */
interface Ranked {
  readonly circuit: Circuit;
  readonly severity: Severity | null;
  readonly error: Error | null;
}

/** All circuits of the project, ranked by what they ask of the selected plan's car. */
export function SeverityTab() {
  const project = useProject();
  const setup = useSetup();
  const edit = useEdit();
  const units = useUnits();
  const { outlook } = useBackground();
  const [key, setKey] = useState<MeasureKey>('power');
  const results = useQueries({
    queries: project.circuits.map((circuit) => ({
      queryKey: QUESTION.severity({ ...setup, circuit }),
      queryFn: () => severityOf(circuit),
    })),
  });
  const severityOf = (circuit: Circuit): Promise<Severity> => {
    const wrong = circuitProblems(circuit).find((p) => p.severity === 'error');
    if (wrong) return Promise.reject(new Error(say.cannotDriven(wrong.message)));
    return outlook.call((remote) => remote.severity(dayInput(applyWhatIf({ ...setup, circuit }, {}))));
  };
  const measure: Measure = MEASURES[key];
  const rows = project.circuits
    .map((circuit, i) => ({ circuit, severity: results[i].data ?? null, error: results[i].error }))
    .sort((a, b) => (b.severity ? measure.of(b.severity) : -1) - (a.severity ? measure.of(a.severity) : -1));
  const most = Math.max(1e-9, ...rows.map((r) => (r.severity ? measure.of(r.severity) : 0)));
  const text = (m: Measure, s: Severity) => {
    const value = formatQuantity(m.of(s), m.quantity, units, m.decimals);
    return `${value}${m.per ?? ''}`;
  };
  return (
    <section className="panel px-4 py-3" aria-label="Circuits by severity">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <p className="max-w-[80ch]">
          {say.whatEachCircuitAsks}
          <strong className="font-[640]">{setup.car.name}</strong>
          {say.drivenRepeatedStopsLittle(setup.plan.name)}
        </p>
        <div className="w-[240px]">
          <SelectField
            label="Ranked by"
            value={key}
            options={KEYS.map((k) => [k, MEASURES[k].title] as const)}
            onChange={setKey}
          />
        </div>
      </div>
      <Ranking measure={measure} rows={rows} most={most} text={text} />
      {measure.harder === 'less' && <p className="caption mt-1">{say.lessAirBetweenBraking}</p>}
      <div className="relative mt-4 overflow-x-auto">
        <AllMeasures rows={rows} text={text} setup={setup} edit={edit} />
      </div>
      <p className="caption mt-2 max-w-[90ch]">{say.harderSideDiffersOnly}</p>
    </section>
  );
}

/** The circuits in their order, one bar each. */
function Ranking({
  measure,
  rows,
  most,
  text,
}: {
  measure: Measure;
  rows: readonly Ranked[];
  most: number;
  text: (m: Measure, s: Severity) => string;
}) {
  return (
    <ol className="mt-3 grid gap-1.5" aria-label={`Ranking by ${measure.title.toLowerCase()}`}>
      {rows.map(({ circuit, severity, error }) => (
        <li key={circuit.id} className="grid grid-cols-[minmax(90px,190px)_1fr_auto] items-center gap-3">
          <Tip text={circuit.name}>
            <Link className="truncate underline-offset-2 hover:underline" to={`/circuit/${circuit.id}`}>
              {circuit.name}
            </Link>
          </Tip>
          <span className="h-4 rounded-sm bg-sunk" aria-hidden="true">
            {severity && (
              <span
                className="block h-full rounded-sm bg-front"
                style={{ width: `${(100 * measure.of(severity)) / most}%` }}
              />
            )}
          </span>
          <span className="min-w-[86px] text-right font-[600]">
            {severity ? text(measure, severity) : error ? <span className="text-over">not driven</span> : '…'}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** All measures of all circuits. */
function AllMeasures({
  rows,
  text,
  setup,
  edit,
}: {
  rows: readonly Ranked[];
  text: (m: Measure, s: Severity) => string;
  setup: Setup;
  edit: ReturnType<typeof useEdit>;
}) {
  return (
    <table className="w-full min-w-[900px] text-left">
      <thead>
        <tr className="caption align-bottom">
          <th className="py-1 font-normal">Circuit</th>
          {KEYS.map((k) => (
            <th key={k} className="px-2 text-right font-normal">
              {MEASURES[k].title}
            </th>
          ))}
          <th className="px-2 text-right font-normal">Braking zones</th>
          <th className="px-2 text-right font-normal">Harder side</th>
          <th className="font-normal">
            <span className="sr-only">Use</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ circuit, severity, error }) => (
          <tr key={circuit.id} className="border-t border-rule/60">
            <Tip text={circuit.name}>
              <td className="max-w-[180px] truncate py-1.5">{circuit.name}</td>
            </Tip>
            {severity ? (
              <>
                {KEYS.map((k) => (
                  <td key={k} className="px-2 text-right whitespace-nowrap">
                    {text(MEASURES[k], severity)}
                  </td>
                ))}
                <td className="px-2 text-right">{severity.zones}</td>
                <td className="px-2 text-right whitespace-nowrap">{sideText(severity)}</td>
              </>
            ) : (
              <td colSpan={KEYS.length + 2} className="px-2 text-dim" role={error ? 'alert' : undefined}>
                {error ? error.message : 'Driving a lap …'}
              </td>
            )}
            <td className="text-right">
              {circuit.id === setup.circuit.id ? (
                <span className="caption">in the plan</span>
              ) : (
                <button
                  type="button"
                  className="btn px-2 py-0.5"
                  aria-label={`Use ${circuit.name} in the plan`}
                  onClick={() => edit('Circuit of the plan', (p) => assignToPlan(p, 'circuitId', circuit.id))}
                >
                  Use
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function sideText({ leftShare, rightTurns }: Severity): string {
  const percent = 100 * Math.abs(leftShare - 0.5) * 2;
  if (percent >= 0.5) return `${leftShare > 0.5 ? 'left' : 'right'}, by ${percent.toFixed(0)} %`;
  if (rightTurns === null || Math.abs(rightTurns - 0.5) < 0.02) return 'both alike';
  const more = Math.max(rightTurns, 1 - rightTurns);
  return `both alike; turns ${(100 * more).toFixed(0)} % ${rightTurns > 0.5 ? 'right' : 'left'}`;
}
