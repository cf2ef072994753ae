import { type FieldPlace, fieldsIn, type Setup } from '../../model';

/**
 * What is not offered: what has pages of its own (uncertain ranges, the workshop's figures, what Decide asks), and what
 * a rotor has only when it is drilled, slotted or of one piece.
 */
const ELSEWHERE =
  /^(uncertain|workshop|targetMarginK|minutes)\b|\.(hole|slot|neck)[A-Z]\w*$|\.(effectiveRadiusMm|beddedPercent)$/;
/** What the garage asks of what must fit, and of the caliper. */
const FIT = /\.(rotor\.depthMm|caliper\.(bridge|outerBody|opening)Mm|wheel\.\w+)$/;
const CHAIN = /^pedal\.|\.caliper\.(stiffnessKnMm|clearanceMm|knockBackMm)$/;

/** Every number of a car or plan that has a field of its own. */
export const fieldsOf = (shelf: 'cars' | 'plans', item: object): readonly FieldPlace[] =>
  fieldsIn(shelf, item).filter(({ path }) => !ELSEWHERE.test(path.join('.')));

const AXLE = { front: 'Front', rear: 'Rear' } as const;

/** "Front thickness": the axle stands before what stands on each. */
export function fieldName({ path, title }: FieldPlace): string {
  const [first] = path;
  if (first !== 'front' && first !== 'rear') return title;
  return `${AXLE[first]} ${title.charAt(0).toLowerCase()}${title.slice(1)}`;
}

/** The address of a number of the selected car or plan: its page, with the field after the #. */
export function fieldAddress(shelf: 'cars' | 'plans', { path }: FieldPlace, setup: Setup): string {
  const place = path.join('.');
  if (shelf === 'plans') return `/plan/${setup.plan.id}#${place}`;
  if (FIT.test(place)) return `/garage/fit#${place}`;
  return CHAIN.test(place) ? `/garage/chain#${place}` : `/car/${setup.car.id}#${place}`;
}
