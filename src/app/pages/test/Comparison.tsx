import { useState } from 'react';
import { compareRuns, type RunReport, setupsOf, TEST_VALUES, type TestValue } from '../../../services';
import { comparisonText, TEST_VALUE_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { useUnits } from '../../state/preferences';
import { SelectField } from '../../ui/SelectField';
import type { TestTabProps } from './tabProps';

/** Two setups against each other, with what the figures can carry. */
export function Comparison({ tested, reports }: TestTabProps & { readonly reports: readonly RunReport[] }) {
  const units = useUnits();
  const setups = setupsOf(tested.test);
  const [before, setBefore] = useState(setups[0] ?? '');
  const [after, setAfter] = useState(setups[1] ?? '');
  const [value, setValue] = useState<TestValue>(
    tested.test.design.kind === 'endurance' ? 'lasted' : 'distance',
  );
  if (setups.length < 2) return <p className="panel px-4 py-3">{say.oneSetup}</p>;
  const compared = before === after ? null : compareRuns(reports, before, after, value);
  const lines = compared ? comparisonText(compared, before, after, units) : [];
  const options = setups.map((own) => [own, own] as const);
  return (
    <section className="panel px-4 py-3" aria-label="Before and after" data-testid="comparison">
      <h2 className="text-[15px]">Before and after</h2>
      <div className="mt-1 grid gap-x-4 gap-y-2 sm:grid-cols-3">
        <SelectField label="Before" value={before} options={options} onChange={setBefore} />
        <SelectField label="After" value={after} options={options} onChange={setAfter} />
        <SelectField
          label="By"
          value={value}
          options={TEST_VALUES.map((own) => [own, TEST_VALUE_TEXT[own].name] as const)}
          onChange={setValue}
        />
      </div>
      {lines.length > 0 ? (
        <div className="mt-2 max-w-[92ch]">
          <p className="text-[16px] leading-snug">{lines[0]}</p>
          {lines.slice(1).map((line) => (
            <p key={line} className="mt-1">
              {line}
            </p>
          ))}
        </div>
      ) : (
        <p className="mt-2" role="status">
          {before === after ? say.sameSetup : say.valueMissing}
        </p>
      )}
    </section>
  );
}
