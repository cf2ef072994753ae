import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { type Change, changesProblem, changeWords, signObstacle, signOff, withOneMore } from '../../../model';
import { exchanged, fittedNow, protectionsOf } from '../../../services';
import { FITTED_TEXT, PROTECTION_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { AddChange } from '../../shared/AddChange';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { ConfirmButton } from '../../ui/ConfirmButton';
import { Disclosure } from '../../ui/Disclosure';
import { ScrollPanel } from '../../ui/ScrollPanel';
import type { PrepareTabProps } from './tabProps';
import { doneBy } from './worker';

/** What is on the car now, against what is wanted; and the signature under it. */
export function ChangeSet({ prepared }: PrepareTabProps) {
  const { preparation, editing, setup, list, car, work } = prepared;
  const project = useProject();
  const units = useUnits();
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  const { changes, signed } = preparation;
  const obstacle = signed ? null : signObstacle(preparation, car, project.parts);
  const save = (next: readonly Change[]) =>
    setProblem(editing.set(['changes'], [...next], 'Changes of a preparation'));
  const add = (change: Change) => {
    const next = withOneMore(changes, change, project.parts);
    const found = changesProblem(setup, next);
    if (found) setProblem(say.notAdded(found));
    else save(next);
  };
  return (
    <section className="panel px-4 py-3 print:hidden" aria-label="Change set" data-testid="change-set">
      <h2 className="text-[15px]">{signed ? 'What was changed' : 'What is to be changed'}</h2>
      <div className="mt-1.5 flex flex-wrap items-center gap-1.5">
        {changes.length + preparation.protections.length === 0 && (
          <span className="caption">{say.noChange}</span>
        )}
        {changes.map((change, i) => {
          const words = changeWords(change, project.parts, units);
          return (
            <span key={words} className="inline-flex items-center gap-1 rounded bg-sunk py-0.5 pl-2 pr-0.5">
              {words}
              {!signed && (
                <button
                  type="button"
                  className="btn btn-bare min-h-[24px] px-1.5"
                  aria-label={`Take out ${words}`}
                  onClick={() => save(changes.filter((_, k) => k !== i))}
                >
                  ×
                </button>
              )}
            </span>
          );
        })}
        {protectionsOf(work).map(({ part, kind }) => (
          <span key={part.id} className="rounded bg-sunk px-2 py-0.5">
            {part.name}: {PROTECTION_TEXT[kind]}
          </span>
        ))}
        {!signed && <AddChange carId={car.id} onAdd={add} />}
      </div>
      {(problem || obstacle) && (
        <p role="alert" className="mt-1.5 text-over">
          {problem ?? obstacle}
        </p>
      )}
      <FittedTable prepared={prepared} />
      {!signed && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <ConfirmButton
            label="Sign off this preparation"
            title={list.open > 0 ? say.signWithOpen(list.open) : 'Sign off?'}
            warning={say.signWarning}
            confirm="Sign off"
            onConfirm={() =>
              edit('Signed off', (p) => signOff(p, preparation.id, doneBy()), {
                done: say.signedNow(car.name),
              })
            }
          >
            Sign off
          </ConfirmButton>
          <p className="caption max-w-[72ch]">{say.signMeans}</p>
        </div>
      )}
    </section>
  );
}

function FittedTable({ prepared }: PrepareTabProps) {
  const { drives } = useProject();
  const units = useUnits();
  const { work, car } = prepared;
  const wanted = exchanged(work);
  const rows = fittedNow(car, drives);
  const wordsOf = (key: string) =>
    work.preparation.changes
      .map((change) => changeWords(change, work.parts, units))
      .filter((words) => words.startsWith(key))
      .join('; ');
  return (
    <Disclosure className="mt-2" summary={say.fittedSince}>
      <ScrollPanel label="What is on the car" className="mt-1 border-0! p-0!">
        <table className="w-full min-w-[520px] text-left">
          <thead>
            <tr className="caption border-b border-rule">
              <th className="py-0.5">Part</th>
              <th>On the car since</th>
              <th className="text-right">Drives since</th>
              <th className="text-right">Laps</th>
              <th className="pl-3">Wanted</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, since, drives: driven, laps }) => (
              <tr key={key} className="border-t border-rule/60">
                <th className="py-0.5 font-[520]">{FITTED_TEXT[key]}</th>
                <td>{since ? format(parseISO(since), 'd MMM yyyy') : 'not known'}</td>
                <td className="text-right">{since ? driven : '–'}</td>
                <td className="text-right">{since ? laps : '–'}</td>
                <td className="pl-3">{wanted.has(key) ? wordsOf(key) || 'exchanged' : 'stays'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollPanel>
    </Disclosure>
  );
}
