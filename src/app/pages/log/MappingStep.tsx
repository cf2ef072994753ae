import { useState } from 'react';
import {
  type CsvLayout,
  LOG_COLUMN_NAMES,
  LOG_COLUMNS,
  LOG_UNITS,
  type LogColumn,
  type LogMapping,
  mappingProblems,
  mappingQuestions,
} from '../../../io';
import { say } from '../../../text/en/say/log';
import { NumberField } from '../../shared/NumberField';
import { Choice, type Options } from '../../ui/Choice';
import { Tip } from '../../ui/Tip';

const COLUMN_CHOICES: Options<LogColumn | ''> = [
  ['', 'left out'],
  ...LOG_COLUMNS.filter((c) => c !== 'east' && c !== 'north').map((c) => [c, LOG_COLUMN_NAMES[c]] as const),
];

const RATE = {
  title: 'Samples a second',
  quantity: 'count',
  min: 0.1,
  max: 2000,
  usual: [10, 100],
  description: say.neededWhereNoColumn,
  step: 1,
} as const;
const SEPARATORS: Readonly<Record<string, string>> = {
  ',': 'comma',
  ';': 'semicolon',
  '\t': 'tab',
  '|': 'bar',
};

/** What each column of a table is: recognised, shown with its first values, and confirmed. */
export function MappingStep({
  name,
  layout,
  rows,
  start,
  known,
  onRead,
  onCancel,
}: {
  name: string;
  layout: CsvLayout;
  /** Of values, from all over the file */
  rows: readonly (readonly string[])[];
  start: LogMapping;
  /** Confirmed before for a file of this layout */
  known: boolean;
  onRead: (mapping: LogMapping) => void;
  onCancel: () => void;
}) {
  const { mapping, setMapping, pickedFor, set, setUnit } = useMapping(start);
  const problems = mappingProblems(mapping, layout);
  const questions = mappingQuestions(mapping, rows);
  const timed = mapping.uses.some((use) => use.as === 'time');
  return (
    <section className="panel px-4 py-3" aria-label="What the columns are">
      <h2 className="text-[15px] break-words">{say.whatColumns(name)}</h2>
      <p className="caption mt-0.5 max-w-[90ch]">
        {say.separatedDecimalValuesBegin(
          known ? say.youConfirmedFileLike : say.recognisedNamesUnitsPut,
          SEPARATORS[layout.delimiter] ?? layout.delimiter,
          mapping.decimal === ',' ? 'comma' : 'point',
          layout.firstLine,
        )}
      </p>
      <div className="mt-2 overflow-x-auto">
        <ColumnTable layout={layout} pickedFor={pickedFor} set={set} setUnit={setUnit} />
      </div>
      {!timed && (
        <div className="mt-2 w-[220px]">
          <NumberField
            info={RATE}
            nullable
            value={mapping.rate}
            onCommit={(rate) => {
              setMapping({ ...mapping, rate });
              return null;
            }}
          />
        </div>
      )}
      {problems.length > 0 && (
        <ul className="mt-2 text-over" role="alert">
          {problems.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
      {questions.length > 0 && (
        <ul className="mt-2 grid gap-1" aria-label="Questions" data-testid="mapping-questions">
          {questions.map(({ column, as, value, why, likely }) => (
            <li key={column} className="flex flex-wrap items-center gap-2 text-close">
              {why === 'high'
                ? say.tooHigh(LOG_COLUMN_NAMES[as], value)
                : say.tooLow(LOG_COLUMN_NAMES[as], value)}
              {likely.map((unit) => (
                <button
                  key={unit}
                  type="button"
                  className="btn min-h-[26px]"
                  onClick={() => setUnit(column, unit)}
                >
                  It is {unit}
                </button>
              ))}
            </li>
          ))}
        </ul>
      )}
      <div className="mt-3 flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={problems.length > 0}
          onClick={() => onRead(mapping)}
        >
          {questions.length > 0 ? 'Read it all the same' : 'Read the log'}
        </button>
        <button type="button" className="btn" onClick={onCancel}>
          Not now
        </button>
      </div>
    </section>
  );
}

/** The columns of the file: what each is, in which unit. */
function ColumnTable({
  layout,
  pickedFor,
  set,
  setUnit,
}: {
  layout: CsvLayout;
  pickedFor: (column: number) => LogMapping['uses'][number] | undefined;
  set: (column: number, as: LogColumn | '') => void;
  setUnit: (column: number, unit: string) => void;
}) {
  return (
    <table className="w-full min-w-[640px] text-left">
      <thead>
        <tr className="caption">
          <th className="py-1 font-normal">Column</th>
          <th className="px-2 font-normal">Is</th>
          <th className="px-2 font-normal">In</th>
          <th className="px-2 font-normal">First values</th>
        </tr>
      </thead>
      <tbody>
        {layout.columns.map((column, i) => {
          const use = pickedFor(i);
          const label = column.unit ? `${column.name} (${column.unit})` : column.name;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place
            <tr key={i} className={`border-t border-rule/60 ${use ? '' : 'text-dim'}`}>
              <Tip text={label}>
                <td className="max-w-[220px] truncate py-1">{label}</td>
              </Tip>
              <td className="px-2 py-1">
                <Choice<LogColumn | ''>
                  className="w-[200px]!"
                  name={`What ${label} is`}
                  value={use?.as ?? ''}
                  options={COLUMN_CHOICES}
                  onChange={(as) => set(i, as)}
                />
              </td>
              <td className="px-2 py-1">
                {use && LOG_UNITS[use.as].length > 1 && (
                  <Choice
                    className="w-[86px]!"
                    name={`Unit of ${label}`}
                    value={use.unit}
                    options={LOG_UNITS[use.as].map((unit) => [unit.label, unit.label])}
                    onChange={(unit) => setUnit(i, unit)}
                  />
                )}
              </td>
              <td className="max-w-[300px] truncate px-2 py-1 tabular-nums">
                {layout.preview
                  .slice(0, 4)
                  .map((row) => (row[i] ?? '').trim() || '–')
                  .join(' · ')}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What each column is; a use belongs to one column. */
function useMapping(start: LogMapping) {
  const [mapping, setMapping] = useState(start);
  const pickedFor = (column: number) => mapping.uses.find((use) => use.column === column);
  const set = (column: number, as: LogColumn | '') => {
    const uses = mapping.uses.filter((use) => use.column !== column && use.as !== as);
    const unit =
      as === ''
        ? ''
        : ((pickedFor(column)?.as === as ? pickedFor(column)?.unit : undefined) ?? LOG_UNITS[as][0].label);
    setMapping({ ...mapping, uses: as === '' ? uses : [...uses, { column, as, unit }] });
  };
  const setUnit = (column: number, unit: string) =>
    setMapping({
      ...mapping,
      uses: mapping.uses.map((use) => (use.column === column ? { ...use, unit } : use)),
    });
  return { mapping, setMapping, pickedFor, set, setUnit };
}
