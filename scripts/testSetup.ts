import fc from 'fast-check';

/**
 * Properties are tried on the same examples every time, so that a change is judged by what it changes.
 * `PROPERTY_SEED=7 npx vitest run` tries others; `PROPERTY_SEED=random`, new ones each time.
 */
const asked = process.env.PROPERTY_SEED ?? '20261125';
if (asked !== 'random') {
  const seed = Number(asked);
  if (!Number.isInteger(seed))
    throw new RangeError(`PROPERTY_SEED: “${asked}”; a whole number or “random” was expected`);
  fc.configureGlobal({ seed });
}
