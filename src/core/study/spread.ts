/** Values in rising order; the given ones stay as they are. */
export function sorted(values: ArrayLike<number>): Float64Array {
  return Float64Array.from(values).sort();
}

/**
 * The value under which a share of a sample lies, linear between the sample's values (Hyndman and Fan 1996, type 7).
 * @param rising at least one value, in rising order
 * @param share 0 to 1
 */
export function quantile(rising: ArrayLike<number>, share: number): number {
  const at = share * (rising.length - 1);
  const i = Math.min(rising.length - 1, Math.floor(at));
  const j = Math.min(rising.length - 1, i + 1);
  return rising[i] + (at - i) * (rising[j] - rising[i]);
}

/**
 * How much of an output's variance each input explains by itself (first-order index, Sobol), from runs already made: the
 * variance between the means of slices of the input over all variance, less what chance would leave there (ε², Kelley
 * 1935). Needs no line and no order in the answer.
 * @param design runs × inputs values from 0 to 1, as of a Latin hypercube
 * @param output one value a run
 * @returns one share an input, 0 to 1; all 0 where the output does not vary
 */
export function firstOrderShares(
  design: ArrayLike<number>,
  inputs: number,
  output: ArrayLike<number>,
): number[] {
  const runs = output.length;
  const slices = Math.max(2, Math.min(24, Math.floor(Math.sqrt(runs / 2))));
  let mean = 0;
  for (let i = 0; i < runs; i++) mean += output[i] / runs;
  let all = 0;
  for (let i = 0; i < runs; i++) all += (output[i] - mean) ** 2;
  if (!(all > 1e-12 * runs * Math.max(1, mean * mean)) || runs <= slices) return Array(inputs).fill(0);
  const count = new Float64Array(slices);
  const sum = new Float64Array(slices);
  return Array.from({ length: inputs }, (_, input) => {
    count.fill(0);
    sum.fill(0);
    for (let run = 0; run < runs; run++) {
      const slice = Math.min(slices - 1, Math.floor(design[run * inputs + input] * slices));
      count[slice] += 1;
      sum[slice] += output[run] - mean;
    }
    let between = 0;
    let used = 0;
    for (let s = 0; s < slices; s++) {
      if (count[s] === 0) continue;
      used += 1;
      between += (sum[s] * sum[s]) / count[s];
    }
    const chance = ((used - 1) * (all - between)) / (runs - used);
    return Math.min(1, Math.max(0, (between - chance) / all));
  });
}
