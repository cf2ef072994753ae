import { log } from '../numeric';

/**
 * Points through a cheek, and a pad's cells by the size of the first one, m: what a braking reaches into a pad does not
 * follow its thickness. Where the pad takes much heat (carbon) both are finer.
 */
export const resolutionOf = (padHeatShare: number) =>
  padHeatShare > 0.05
    ? { cheek: 21, padFirst: 0.3e-3, padGrowth: 1.134 }
    : { cheek: 10, padFirst: 0.64e-3, padGrowth: 1.26 };

/**
 * Points through a pad whose first cell is at most as given and whose cells grow by a ratio; 6 or more. They come in threes,
 * so that front and rear mostly have as many: brakes of one topology are stepped beside each other.
 */
export function padPointsOf(thickness: number, first: number, growth: number): number {
  const cells = log(1 + (thickness * (growth - 1)) / first) / log(growth);
  return 3 * Math.ceil(Math.max(5, Math.ceil(cells - 1e-9) + 1) / 3);
}
