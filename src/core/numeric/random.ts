import { cos, log } from './elementary';

/**
 * Repeatable random numbers: even from 0 to 1 (mulberry32, from memory), and normal with mean 0 and deviation 1 (Box and
 * Muller 1958).
 * @param seed whole number; the same gives the same numbers
 */
export function randomNumbers(seed: number): { next(): number; normal(): number } {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    normal: () => Math.sqrt(-2 * log(1 - next())) * cos(2 * Math.PI * next()),
  };
}
