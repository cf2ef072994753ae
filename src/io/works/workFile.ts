import * as z from 'zod/mini';
import {
  issueProblem,
  type Preparation,
  preparationSchema,
  type Refused,
  readJson,
  survey,
  type WorkProgress,
} from '../../model';
import { say } from '../../text/en/say/io';
import { refuse } from '../refusal';

const WORK_FORMAT = 'fervent-kettle-work';
const VERSION = 1;
/** Longest text that is read, characters. */
const LONGEST = 1_000_000;

const { id, name, ticks, found, bleed } = preparationSchema.shape;
const fileSchema = z.strictObject({
  format: z.literal(WORK_FORMAT),
  version: z.literal(VERSION),
  id,
  name,
  ticks,
  drawn: bleed.shape.drawn,
  found,
});

/** What was done of a work, for another device that has the same one; to be read back by `readWork`. */
export const writeWork = (preparation: Preparation): string =>
  `${JSON.stringify(
    {
      format: WORK_FORMAT,
      version: VERSION,
      id: preparation.id,
      name: preparation.name,
      ticks: preparation.ticks,
      drawn: preparation.bleed.drawn,
      found: preparation.found,
    },
    null,
    2,
  )}\n`;

/** What was done of a work on another device; everything wrong is said with its place, and nothing is half taken. */
export function readWork(text: string): { readonly ok: true; readonly progress: WorkProgress } | Refused {
  if (text.length > LONGEST) return refuse(say.workTooLong(LONGEST));
  const json = readJson(text, say.workExpected);
  if (!('value' in json)) return refuse(json.message, json.place);
  const { value } = json;
  const wrong = survey(value);
  if (wrong) return { ok: false, problems: [wrong] };
  const format = (value as { format?: unknown } | null)?.format;
  if (typeof value !== 'object' || format !== WORK_FORMAT) {
    return refuse(say.readingsOtherFormat(WORK_FORMAT), 'format');
  }
  const read = fileSchema.safeParse(value, { reportInput: true });
  if (!read.success) return { ok: false, problems: read.error.issues.map(issueProblem) };
  const { format: _format, version: _version, ...progress } = read.data;
  return { ok: true, progress };
}
