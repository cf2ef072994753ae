import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import { runsOf } from '../../../model';
import {
  type EnduranceForecast,
  FORECAST_PIECES,
  forecasts,
  GAVE_OUT,
  pricedSetups,
  type SeenEnd,
  setupOfRun,
  type TestQuestion,
} from '../../../services';
import { forecastText, minuteText } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useProject } from '../../state/context';
import { useAnswer } from '../../state/useAnswer';
import type { TestTabProps } from './tabProps';

interface Row {
  /** Of the run, or of the setup */
  readonly id: string;
  readonly name: string;
  readonly question: TestQuestion;
  readonly seen: SeenEnd | null;
}

/** What endurance runs that were driven say of the ones that were not. */
export function Forecast({ tested }: TestTabProps) {
  const { test, setup } = tested;
  const project = useProject();
  const { crew } = useBackground();
  const [asked, setAsked] = useState(false);
  const rows = useMemo((): Row[] => {
    const driven = runsOf(test).flatMap(({ id, run }): Row[] =>
      run.ended
        ? [
            {
              id,
              name: run.name,
              question: {
                setup: setupOfRun(setup, project, run),
                design: test.design,
                conditions: run.conditions,
              },
              seen: { time: run.ended.atS, gaveOut: GAVE_OUT.has(run.ended.by) },
            },
          ]
        : [],
    );
    const last = runsOf(test).at(-1);
    const setups = pricedSetups(project, setup).flatMap((own): Row[] => {
      const name = own.name ?? say.currentSetup;
      const known = runsOf(test).some(({ run }) => run.setup === name && run.ended);
      const conditions = last?.run.conditions;
      return known || !conditions
        ? []
        : [
            {
              id: own.id ?? 'plan',
              name,
              question: { setup: own.setup, design: test.design, conditions },
              seen: null,
            },
          ];
    });
    return driven.length > 0 ? [...driven, ...setups] : [];
  }, [test, setup, project]);
  const seen = rows.map((row) => row.seen);
  const answer = useAnswer<readonly EnduranceForecast[]>(
    asked && rows.length > 0
      ? QUESTION.forecast(
          rows.map((row) => row.question),
          seen,
        )
      : null,
    async (signal, report) => {
      const questions = rows.map((row) => row.question);
      const pieces = await crew.run(
        Array.from({ length: FORECAST_PIECES }, (_, i) => i),
        (remote, piece) => remote.forecastPiece(questions, piece) as Promise<number[][]>,
        { signal, onDone: (_result, _index, progress) => report(progress) },
      );
      return forecasts(
        questions.map((_, i) => pieces.flatMap((piece) => piece[i])),
        seen,
      );
    },
  );
  if (test.design.kind !== 'endurance' || rows.length === 0) return null;
  return (
    <section className="panel px-4 py-3" aria-label="Forecast" data-testid="forecast">
      <h2 className="text-[15px]">{say.means.whatTheRunsSayOf}</h2>
      <p className="mt-0.5 max-w-[92ch]">{say.forecastMeans}</p>
      {asked ? (
        <AnswerState answer={answer} doing="Driving the runs with likely cars" />
      ) : (
        <button type="button" className="btn mt-1.5" onClick={() => setAsked(true)}>
          Forecast
        </button>
      )}
      {asked && answer.data && (
        <ul className={`mt-1.5 grid gap-1 ${answer.behind ? 'opacity-60' : ''}`}>
          {rows.map((row, i) => {
            const forecast = answer.data?.[i];
            return (
              <li key={row.id}>
                <strong className="font-[620]">{row.name}:</strong>{' '}
                {row.seen && say.lasted(minuteText(row.seen.time))} {forecast && forecastText(forecast)}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
