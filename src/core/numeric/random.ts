import { cos, log } from './elementary';

/** Repeatable random numbers (mulberry32): even from 0 to 1, and normal by Box and Muller's method. */
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
