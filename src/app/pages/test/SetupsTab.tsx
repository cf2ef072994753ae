import { useMemo } from 'react';
import { Link } from 'react-router';
import { QUESTION } from '../../../compute';
import { siText, USUAL_CONDITIONS } from '../../../model';
import { pricedSetups, type SetupTest, type TestQuestion } from '../../../services';
import { bothBasesText, ENOUGH_TEXT, FAILURE_TEXT, HELD_BY_TEXT, moneyText } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useAnswer } from '../../state/useAnswer';
import { useSettled } from '../../state/useSettled';
import { ForceTable } from '../../ui/WideTable';
import { SetupCharts } from './SetupCharts';
import type { TestTabProps } from './tabProps';
import type { TestedSetup } from './testedSetup';
import { UsualSetups } from './UsualSetups';

const QUIET = 300;

/** The same test with several setups: first and last stop, force, price, and what each is enough for. */
export function SetupsTab({ tested }: TestTabProps) {
  const { test, setup } = tested;
  const project = useProject();
  const { crew } = useBackground();
  const wanted = useMemo(
    () =>
      pricedSetups(project, setup).map((own) => ({
        ...own,
        name: own.name ?? say.currentSetup,
        question: {
          setup: own.setup,
          design: test.design,
          conditions: USUAL_CONDITIONS,
        } satisfies TestQuestion,
      })),
    [project, setup, test.design],
  );
  const settled = useSettled(wanted, QUIET);
  const answer = useAnswer<readonly SetupTest[]>(
    settled && QUESTION.testSetups(settled.map(({ question }) => question)),
    async (signal, report) =>
      crew.run(settled ?? [], (remote, own) => remote.testSetup(own.question) as Promise<SetupTest>, {
        signal,
        onDone: (_result, _index, progress) => report(progress),
      }),
  );
  const { data } = answer;
  const rows = useMemo(
    (): TestedSetup[] =>
      data?.length === wanted.length ? wanted.map((own, i) => ({ ...own, result: data[i] })) : [],
    [data, wanted],
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel px-4 py-3" aria-label="Setups" data-testid="setups">
        <div className="flex flex-wrap items-baseline gap-x-4">
          <h2 className="text-[15px]">The same test, several setups</h2>
          <Link className="underline" to="/decide/compare">
            Choose setups
          </Link>
        </div>
        {wanted.length < 2 && <UsualSetups tested={tested} />}
        <AnswerState answer={answer} doing="Driving the setups" />
        {rows.length > 0 && (
          <div className={answer.behind ? 'opacity-60' : ''}>
            <SetupTable rows={rows} />
            <SetupCharts rows={rows} />
          </div>
        )}
        <p className="caption mt-1.5">{say.enoughMeans}</p>
      </section>
    </div>
  );
}

/** What each setup makes of the test, and what it is enough for. */
function SetupTable({ rows }: { readonly rows: readonly TestedSetup[] }) {
  const units = useUnits();
  const { currency } = useProject();
  const counted = ({ result }: TestedSetup) => result.answer.stops.filter(({ phase }) => phase !== 'heating');
  const first = (row: TestedSetup) => counted(row)[0];
  const last = (row: TestedSetup) => counted(row)[counted(row).length - 1];
  const metres = (value: number) => siText(value, 'distance', units, 1);
  const newton = (value: number) => siText(value, 'force', units);
  return (
    <>
      <ForceTable<TestedSetup>
        caption="Setups in this test"
        first="Setup"
        rows={rows}
        nameOf={({ name }) => name}
        columns={[
          {
            head: 'first stop',
            means: 'Distance of the first stop',
            cell: (row) => metres(first(row).distance),
          },
          {
            head: 'last stop',
            means: 'Distance of the last stop',
            cell: (row) => metres(last(row).distance),
          },
          {
            head: 'pedal, first',
            means: 'Pedal force of the first stop',
            cell: (row) => newton(first(row).pedal),
          },
          {
            head: 'pedal, last',
            means: 'Pedal force of the last stop',
            cell: (row) => newton(last(row).pedal),
          },
          {
            head: 'stops',
            means: say.means.stopsUntilSomethingFailedOr,
            cell: (row) =>
              row.result.answer.failure
                ? `${row.result.answer.failure.stop}: ${FAILURE_TEXT[row.result.answer.failure.by]}`
                : counted(row).length,
          },
          {
            head: 'limited by',
            means: 'What limited the first stop',
            cell: (row) => HELD_BY_TEXT[first(row).heldBy],
          },
          {
            head: 'price',
            means: 'Of what is different about it',
            cell: (row) => (row.priced ? moneyText(row.price, currency) : '—'),
          },
          {
            head: 'enough for',
            means: say.means.byThisTestAndThe,
            cell: (row) => <strong className="font-[620]">{ENOUGH_TEXT[row.result.enough].name}</strong>,
          },
        ]}
      />
      <ul className="mt-2 grid gap-1">
        {rows.map((row) => (
          <li key={row.name}>
            <strong className="font-[620]">{row.name}:</strong> {ENOUGH_TEXT[row.result.enough].means}{' '}
            {row !== rows[0] &&
              say.lessForce(
                bothBasesText(last(rows[0]).pedal, last(row).pedal, `“${rows[0].name}”`, `“${row.name}”`),
              )}
          </li>
        ))}
      </ul>
    </>
  );
}
