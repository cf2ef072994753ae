import type { AxleName } from '../../core';
import { SelectField } from '../ui/SelectField';

const AXLE_OPTIONS = [
  ['front', 'Front'],
  ['rear', 'Rear'],
] as const;

/** Front or rear. */
export function AxleField({
  label = 'Axle',
  value,
  onChange,
}: {
  label?: string;
  value: AxleName;
  onChange: (axle: AxleName) => void;
}) {
  return <SelectField label={label} value={value} options={AXLE_OPTIONS} onChange={onChange} />;
}
