import { TEST_PLACES, TEST_SURFACES } from '../../../model';
import { TEST_PLACE_TEXT, WHEEL_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { Field } from '../../shared/Section';
import { Disclosure } from '../../ui/Disclosure';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import type { TestTabProps } from './tabProps';
import type { OpenRun } from './useRun';

const NUMBERS = ['slopePercent', 'windKmh', 'frontTyreBar', 'rearTyreBar', 'massKg', 'airC'] as const;
const WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;

/** What a run was driven in, and where its temperatures are read. */
export function Conditions({ tested, open }: TestTabProps & { readonly open: OpenRun }) {
  const { editing } = tested;
  const { id, run } = open;
  const at = (key: string) => ['runs', id, 'conditions', key];
  return (
    <Disclosure
      className="panel px-4 py-3"
      open={Object.keys(run.stops).length === 0}
      summary={
        <>
          <span className="text-[15px] font-[560]">Conditions</span>{' '}
          <span className="text-dim">{say.conditionsOf(run.setup, run.conditions.surface)}</span>
        </>
      }
    >
      <div className="mt-2 grid gap-x-4 gap-y-2.5 sm:grid-cols-3 lg:grid-cols-6">
        <SelectField
          label="Surface"
          value={run.conditions.surface}
          options={TEST_SURFACES.map((own) => [own, own] as const)}
          onChange={(own) => editing.set(at('surface'), own, 'Surface')}
        />
        {NUMBERS.map((key) => (
          <Field key={key} shelf="tests" editing={editing} path={at(key)} />
        ))}
        <TextField
          label="Tyres and grade"
          value={run.conditions.tyres}
          longest={80}
          required={false}
          onCommit={(next) => editing.set(at('tyres'), next, 'Tyres')}
        />
        <SelectField
          label="Temperatures at"
          value={run.wheel}
          options={WHEELS.map((own) => [own, WHEEL_NAMES[own]] as const)}
          onChange={(own) => editing.set(['runs', id, 'wheel'], own, 'Wheel')}
        />
        <SelectField
          label="Read on"
          value={run.place}
          options={TEST_PLACES.map((own) => [own, TEST_PLACE_TEXT[own]] as const)}
          onChange={(own) => editing.set(['runs', id, 'place'], own, 'Where')}
        />
      </div>
    </Disclosure>
  );
}
