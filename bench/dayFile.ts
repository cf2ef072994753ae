/** A log of a day at 100 Hz, 100 MB, written by bench/files.ts. */
export const DAY_FILE = '.cache/bench-day.csv';
