import loadHighs from 'highs';
import { allocate } from '../src/services';
import { madeSeason } from '../tests/support/madeSeason';

/** What spreading sets over a season costs, by its size, ms; and how far from the cheapest it may be. Prints JSON. */
const highs = await loadHighs();
const sizes = [
  { events: 7, perEvent: 1, owned: 3, buys: 1 },
  { events: 7, perEvent: 3, owned: 3, buys: 3 },
  { events: 20, perEvent: 2, owned: 4, buys: 6 },
  { events: 50, perEvent: 1, owned: 4, buys: 9 },
];
const rows = sizes.map((size) => {
  const own = madeSeason(11, size);
  const start = performance.now();
  const { cost, within, proven } = allocate(highs, own);
  return { ...size, ms: performance.now() - start, cost: cost.total, within, proven };
});
console.log(JSON.stringify(rows));
