import type { Car } from '../schema/car';
import type { Bottle } from '../schema/preparation';

const MONTH_DAYS = 365.25 / 12;
const DAY = 86_400_000;

/** Bottles after something was taken from them, from that day on open. @param used cm³, by the bottle's id */
export const drawn = (
  bottles: readonly Bottle[],
  used: Readonly<Record<string, number>>,
  date: string,
): Bottle[] =>
  bottles.map((bottle) => ({
    ...bottle,
    leftCm3: Math.max(0, bottle.leftCm3 - (used[bottle.id] ?? 0)),
    openedOn: bottle.id in used ? (bottle.openedOn ?? date) : bottle.openedOn,
  }));

/** A car whose whole system was filled with new fluid on some day. @param today as 2027-05-01 */
export function withNewFluid(car: Car, date: string, today: string): Car {
  const days = Math.max(0, (Date.parse(today) - Date.parse(date)) / DAY);
  return {
    ...car,
    fluid: {
      ...car.fluid,
      ageMonths: Number((days / MONTH_DAYS).toFixed(1)),
      measuredBoilingC: null,
      freeWater: false,
    },
    fitted: { ...car.fitted, fluid: date },
  };
}
