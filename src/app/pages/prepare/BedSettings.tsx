import { useState } from 'react';
import { BEDDING_VERSIONS, formatQuantity, type StoredBedding } from '../../../model';
import { beddingOf } from '../../../services';
import { VERSION_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/prepare';
import { Field } from '../../shared/Section';
import { useUnits } from '../../state/preferences';
import { Disclosure } from '../../ui/Disclosure';
import { SelectField } from '../../ui/SelectField';
import type { PrepareTabProps } from './tabProps';

const TYPED = [
  'bedLowC',
  'bedHighC',
  'fromKmh',
  'toKmh',
  'warmUps',
  'snubs',
] as const satisfies readonly (keyof StoredBedding)[];

/** Where it is bedded, and what came with the pads. */
export function BedSettings({ prepared }: PrepareTabProps) {
  const { preparation, editing, work } = prepared;
  const units = useUnits();
  const { bed } = preparation;
  // As it was when the page was opened: a field that is emptied must not fold itself away.
  const [typed] = useState(() => TYPED.some((key) => bed[key] !== null));
  const field = (key: (typeof TYPED)[number] | 'limitKmh') => (
    <Field key={key} shelf="preparations" editing={editing} path={['bed', key]} />
  );
  const data = (['front', 'rear'] as const).map((axle) => {
    const own = beddingOf(work.car, axle, work.parts, bed);
    const t = (celsius: number) => formatQuantity(celsius, 'temperature', units);
    return say.padBeds(axle, t(own.bed[0]), t(own.bed[1]), own.seconds, own.source);
  });
  return (
    <section className="panel px-4 py-3">
      <div className="grid gap-x-4 gap-y-2.5 sm:grid-cols-2 lg:grid-cols-4">
        <SelectField
          label="Where"
          value={bed.version}
          options={BEDDING_VERSIONS.map((version) => [version, VERSION_TEXT[version].name] as const)}
          onChange={(version) => editing.set(['bed', 'version'], version, 'Where it is bedded')}
        />
        {bed.version === 'road' && field('limitKmh')}
      </div>
      <p className="mt-1.5 max-w-[92ch]">{VERSION_TEXT[bed.version].note}</p>
      <Disclosure className="mt-1.5" open={typed} summary={say.whatCameWith}>
        <div className="mt-1.5 grid gap-x-4 gap-y-2.5 sm:grid-cols-3 lg:grid-cols-6">{TYPED.map(field)}</div>
        <p className="caption mt-1">{data.join(' ')}</p>
      </Disclosure>
    </section>
  );
}
