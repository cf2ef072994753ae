import { useSearchParams } from 'react-router';
import type { TestRun } from '../../../model';
import { SelectField } from '../../ui/SelectField';

/** Which of a test's runs is looked at; the address keeps it. */
export function RunChoice({
  runs,
  id,
}: {
  readonly runs: readonly { readonly id: string; readonly run: TestRun }[];
  readonly id: string;
}) {
  const [search, setSearch] = useSearchParams();
  return (
    <div className="w-[260px] max-w-full">
      <SelectField
        label="Run"
        value={id}
        options={runs.map((own) => [own.id, own.run.name] as const)}
        onChange={(next) => {
          const params = new URLSearchParams(search);
          params.set('run', next);
          setSearch(params);
        }}
      />
    </div>
  );
}
