import { type FieldInfo, formatQuantity } from '../../model';
import { useUnits } from '../state/preferences';

/** What the columns of a table mean and what is usual in them; the fields themselves have no room for it. */
export function FieldNotes({ fields }: { fields: readonly FieldInfo[] }) {
  const units = useUnits();
  return (
    <dl className="caption mt-3 grid gap-x-5 gap-y-1 border-t border-rule/60 pt-2 sm:grid-cols-2">
      {fields.map((info) => (
        <div key={info.title}>
          <dt className="inline font-[600] text-ink">{info.title}: </dt>
          <dd className="inline">
            {info.description} Usually {formatQuantity(info.usual[0], info.quantity, units)} to{' '}
            {formatQuantity(info.usual[1], info.quantity, units)}.
          </dd>
        </div>
      ))}
    </dl>
  );
}
