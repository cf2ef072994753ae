import { QUANTITIES, type Quantity, toStored, type Unit } from '../../model';

/** A heading as its name and the unit it says, '' where it says none: "Distance (ft)". */
export function headingOf(cell: string): { readonly name: string; readonly unit: string } {
  const match = /^(.*?)\s*[([]([^)\]]*)[)\]]\s*$/.exec(cell.trim());
  return match ? { name: match[1].trim(), unit: match[2].trim() } : { name: cell.trim(), unit: '' };
}

const plain = (label: string) =>
  label
    .toLowerCase()
    .replace(/[°·\s]/g, '')
    .replace('²', '2');

/** The unit of a quantity that a heading names: the stored one where it names none; null for one that nobody knows. */
export function unitNamed(quantity: Quantity, label: string): Unit | null {
  const units: readonly Unit[] = QUANTITIES[quantity];
  if (label === '') return units[0];
  return units.find((unit) => plain(unit.label) === plain(label)) ?? null;
}

/** A value of a cell as it is stored. */
export const storedCell = (value: number, unit: Unit): number =>
  Math.round(toStored(value, unit) * 1e6) / 1e6;
