import { appendFileSync, mkdirSync } from 'node:fs';

/** One outside check with its figure, for docs/validation.md. */
export interface CheckFigure {
  /** Number in the list of checks, or a word */
  readonly id: string;
  readonly what: string;
  /** Figure or range expected, with its unit */
  readonly expected: string;
  readonly computed: number;
  readonly unit: string;
  readonly source: string;
}

export const VALIDATION_FILE = '.cache/validation.jsonl';

/** Notes a check's figure when `npm run validation` asks for it. */
export function recordFigure(figure: CheckFigure): void {
  if (!process.env.VALIDATION) return;
  mkdirSync('.cache', { recursive: true });
  appendFileSync(VALIDATION_FILE, `${JSON.stringify(figure)}\n`);
}
