import { randomNumbers } from '../numeric';

/**
 * A Latin hypercube: each input's range is cut into as many equal slices as there are runs, and each slice is used
 * once, in an order of its own (McKay, Beckman and Conover 1979).
 * @param runs 1 or more
 * @param inputs 1 or more
 * @param seed whole number; the same gives the same design
 * @returns runs × inputs values over 0 and under 1, run by run
 * @throws RangeError for less than one run or input
 */
export function latinHypercube(runs: number, inputs: number, seed: number): Float64Array {
  if (!(Number.isInteger(runs) && runs >= 1 && Number.isInteger(inputs) && inputs >= 1)) {
    throw new RangeError(`latinHypercube: needs at least one run and one input, got ${runs} and ${inputs}`);
  }
  const random = randomNumbers(seed);
  const design = new Float64Array(runs * inputs);
  const order = new Int32Array(runs);
  for (let input = 0; input < inputs; input++) {
    for (let i = 0; i < runs; i++) order[i] = i;
    for (let i = runs - 1; i > 0; i--) {
      const j = Math.floor(random.next() * (i + 1));
      [order[i], order[j]] = [order[j], order[i]];
    }
    for (let run = 0; run < runs; run++) {
      // A place within the slice that is never its edge, so that no value is 0 or 1.
      const within = Math.min(0.999999, Math.max(1e-6, random.next()));
      design[run * inputs + input] = (order[run] + within) / runs;
    }
  }
  return design;
}
