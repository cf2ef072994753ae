import { METRIC, siText } from '../../../model';
import type { BleedPlan, BleedStep } from '../../../services';
import { WHEEL_NAMES } from '../observations';

const cm3 = (volume: number) => siText(volume, 'volume', METRIC, 0);

/** `Rear left, outer screw` */
export function screwName({ wheel, screw }: Pick<BleedStep, 'wheel' | 'screw'>): string {
  if (!wheel) return 'Clutch';
  return screw ? `${WHEEL_NAMES[wheel]}, ${screw} screw` : WHEEL_NAMES[wheel];
}

/** What is drawn at a screw. */
export const drawText = ({ arrives, draw }: BleedStep): string =>
  arrives > 0
    ? `new fluid shows after ${cm3(arrives)}; draw ${cm3(draw)}`
    : `new fluid is before it; draw ${cm3(draw)}`;

/** The fluid it takes. */
export const fluidText = ({ through, needed, bottles, onShelf }: BleedPlan): string =>
  `${cm3(through)} goes through; ${cm3(needed)} with a reserve of a quarter: ${bottles} ${bottles === 1 ? 'bottle' : 'bottles'} of half a litre. On the shelf and fit for use: ${cm3(onShelf)}.`;
