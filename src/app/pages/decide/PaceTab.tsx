import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import type { FastestPlan, PlanOption } from '../../../core';
import { formatQuantity, setLegs, siText, toShown, type UnitChoice, unitOf } from '../../../model';
import { celsius, clockText, explainPlan, LIMIT_TEXT, limitText, momentText } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AnswerState } from '../../shared/AnswerState';
import { How } from '../../shared/How';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { useItem } from '../../state/useItem';
import { useSettled } from '../../state/useSettled';
import { Key } from '../../ui/charts/Key';
import { LineChart } from '../../ui/charts/LineChart';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';

const QUIET = 500;

/** The fastest way through a session of some minutes with every margin kept. */
export function PaceTab() {
  const setup = useSetup();
  const { decide } = useBackground();
  const editing = useItem('plans', setup.plan.id);
  const [picked, setPicked] = useState(0);
  const { sessions } = setup.plan;
  const session = Math.min(picked, sessions.length - 1);
  const settled = useSettled(setup, QUIET);
  const answer = useAnswer<FastestPlan>(settled && QUESTION.pace(settled, session), (signal) =>
    decide.call((remote) => remote.fastestPlan(settled ?? setup, session), signal),
  );
  const { data } = answer;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel grid gap-x-6 gap-y-3 px-4 py-3 sm:grid-cols-2 lg:grid-cols-[210px_210px_210px_minmax(0,1fr)]">
        {editing && <Field shelf="plans" editing={editing} path={['minutes']} />}
        {editing && <Field shelf="plans" editing={editing} path={['targetMarginK']} />}
        {sessions.length > 1 && (
          <SelectField
            label="Session"
            value={String(session)}
            options={sessions.map((s, i) => [String(i), `${i + 1} ${s.name}`] as const)}
            onChange={(value) => setPicked(Number(value))}
          />
        )}
        <div className={sessions.length > 1 ? '' : 'lg:col-span-2'}>
          <p className="text-dim">{say.outLapHotLaps}</p>
          <div className="mt-2">
            <AnswerState answer={answer} doing="Trying paces and cool-down laps" />
          </div>
        </div>
      </section>
      {data && (
        <div className={`grid grid-cols-[minmax(0,1fr)] gap-3 ${answer.behind ? 'opacity-60' : ''}`}>
          <Verdict plan={data} />
          <Options plan={data} session={session} />
          <Traces plan={data} />
        </div>
      )}
    </div>
  );
}

/** A way of some kilometres. */
const wayText = (metres: number, units: UnitChoice) => siText(metres, 'longDistance', units);
const percent = (share: number) => `${(100 * share).toFixed(share > 0.995 ? 0 : 1)} %`;

/** A way through the session, in a sentence. */
function planWords(option: PlanOption): string {
  const hot = `${option.hotLaps} hot lap${option.hotLaps === 1 ? '' : 's'}`;
  const pace = `at ${percent(option.pace)} of the forces (${clockText(option.lapTime)} a lap)`;
  if (option.coolLaps === 0) return `${hot} in a row ${pace}`;
  const each = option.cool === 1 ? 'a cool-down lap' : `${option.cool} cool-down laps`;
  return `${hot} ${pace}, ${each} after hot lap ${option.coolAfter.join(', ')}`;
}

function Verdict({ plan }: { plan: FastestPlan }) {
  const units = useUnits();
  const { flatOut, options, leastPaddock } = plan;
  const [best] = options;
  const flat =
    flatOut.lapsBefore === null
      ? flatOut.keeps
        ? say.flatOutAllTime
        : say.flatOutPassesNo(tightWords(flatOut, units))
      : say.flatOutLimitPassed(
          flatOut.lapsBefore,
          flatOut.lapsBefore === 1 ? '' : 's',
          tightWords(flatOut, units),
        );
  return (
    <section className="panel px-4 py-3" aria-label="Fastest plan" aria-live="polite">
      {best ? (
        <p className="text-[16px] leading-snug">
          <strong className="font-[660]">Fastest with every margin kept:</strong>
          {say.minClosest(
            planWords(best),
            wayText(best.distance, units),
            clockText(best.time),
            tightWords(best, units),
          )}
        </p>
      ) : (
        <p className="text-[16px] leading-snug">
          <strong className="font-[660]">{say.noPaceKeepsEvery}</strong>
          {say.notEvenHalfForces}
        </p>
      )}
      <p className="mt-1 text-dim">
        {flat}{' '}
        {best &&
          (leastPaddock === null
            ? say.fourHoursPaddockNot
            : say.beforeSameAgainLeast(Math.ceil(leastPaddock / 60)))}
      </p>
      <p className="caption mt-1">
        {say.predictionNoProofBrakesWill}
        <How name="the fastest plan" told={() => explainPlan(plan, units)} />
      </p>
    </section>
  );
}

function tightWords({ tightest, laps, dayLegs }: PlanOption, units: UnitChoice): string {
  const { part } = tightest;
  const axle = 'axle' in tightest ? `${tightest.axle} ` : '';
  const where = momentText(tightest.at, { laps, legs: dayLegs });
  const left =
    part === 'pedal' || part === 'travel'
      ? limitText(part, Math.abs(tightest.margin), units)
      : formatQuantity(Math.abs(tightest.margin), 'difference', units);
  return `${axle}${LIMIT_TEXT[part].name}, ${left} ${tightest.margin < 0 ? 'over' : 'left'}, ${where}`;
}

function Options({ plan, session }: { plan: FastestPlan; session: number }) {
  const units = useUnits();
  const edit = useEdit();
  const setup = useSetup();
  const rows = [...plan.options, ...(plan.options.includes(plan.flatOut) ? [] : [plan.flatOut])];
  const take = (option: PlanOption) => {
    edit('Session as planned here', (p) => setLegs(p, setup.plan.id, session, option.legs), {
      done: 'Written into the plan',
    });
  };
  return (
    <ScrollPanel label="Ways through the session">
      <h2 className="text-[15px]">{say.waysThroughSessionFurthest}</h2>
      <table className="mt-1.5 w-full min-w-[860px] text-left">
        <thead>
          <tr className="caption">
            <th className="font-normal">Way</th>
            <th className="px-2 text-right font-normal">laps, all</th>
            <th className="px-2 text-right font-normal">way driven</th>
            <th className="px-2 text-right font-normal">time</th>
            <th className="px-2 text-right font-normal">hot lap</th>
            <th className="px-2 font-normal">closest limit</th>
            <th>
              <span className="sr-only">Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((option, i) => {
            const words = `${option.kind === 'flat-out' ? 'Flat out: ' : ''}${planWords(option)}`;
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: rows are ranked anew as a whole
              <tr key={i} className="border-t border-rule/60 align-top">
                <th className="py-1 font-[540]">
                  <span className="flex items-start gap-1.5">
                    <StateMark
                      kind={
                        option.keeps ? 'within-limits' : option.lapsBefore === null ? 'close' : 'over-limit'
                      }
                      className="mt-[2px] h-[13px] w-[13px]"
                    />
                    {words}
                  </span>
                </th>
                <td className="px-2 py-1 text-right">
                  {option.laps.filter((l) => l.session === session).length}
                </td>
                <td className="px-2 py-1 text-right">{wayText(option.distance, units)}</td>
                <td className="px-2 py-1 text-right">{clockText(option.time)}</td>
                <td className="px-2 py-1 text-right">{option.lapTime.toFixed(1)} s</td>
                <td className="px-2 py-1">{tightWords(option, units)}</td>
                <td className="py-1 text-right">
                  <button
                    type="button"
                    className="btn"
                    aria-label={`Plan ${words}`}
                    onClick={() => take(option)}
                  >
                    Plan this
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </ScrollPanel>
  );
}

function Traces({ plan }: { plan: FastestPlan }) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const of = plan.flatOut.trace;
  const { lines, rules } = useMemo(() => {
    const [best] = plan.options;
    const shown = (kelvin: number) => toShown(celsius(kelvin), degree);
    const line = (name: string, { trace }: PlanOption, color: string, dash?: string) => ({
      name,
      color,
      ...(dash && { dash }),
      x: trace.minutes,
      y: Float64Array.from(trace.kelvin, shown),
    });
    return {
      lines: [
        ...(best && best !== plan.flatOut ? [line('fastest with every margin', best, 'var(--act)')] : []),
        line('flat out', plan.flatOut, 'var(--front)', '6 3'),
      ],
      rules: [
        {
          at: 'y' as const,
          value: shown(of.limit),
          color: 'var(--over)',
          text: `limit of the ${of.axle} ${LIMIT_TEXT[of.part].name}`,
        },
      ],
    };
  }, [plan, degree, of]);
  return (
    <section className="panel px-4 py-3" aria-label="Over the session">
      <h2 className="text-[15px]">
        {say.overSessionWhatClosest(of.axle === 'front' ? 'Front' : 'Rear', LIMIT_TEXT[of.part].name)}
      </h2>
      <LineChart
        label={say.partClosestFlatOut}
        height={240}
        unit={degree.label}
        lines={lines}
        rules={rules}
        placeText={(v) => `${Math.round(v)} min`}
        valueText={(v) => v.toFixed(0)}
      />
      <p className="caption flex gap-4">
        {lines.map(({ name, color, dash }) => (
          <Key key={name} color={color} dashed={dash !== undefined}>
            {name}
          </Key>
        ))}
      </p>
    </section>
  );
}
