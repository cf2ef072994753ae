import { bothBases } from '../../services';

/** A change in words that say of what: "55.6 % more than before". */
export function changeText(before: number, after: number, whatBefore: string): string {
  const { ofBefore } = bothBases(before, after);
  const percent = `${Math.abs(100 * ofBefore).toFixed(1)} %`;
  return Math.abs(ofBefore) < 5e-4
    ? `as ${whatBefore}`
    : `${percent} ${ofBefore > 0 ? 'more' : 'less'} than ${whatBefore}`;
}
