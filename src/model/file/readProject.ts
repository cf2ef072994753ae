import type * as z from 'zod/mini';
import { say } from '../../text/en/say/model';
import { type Problem, pathText } from '../check/problem';
import { survey } from '../check/survey';
import { migrate } from '../migrate/migrate';
import { migrateParts } from '../migrate/parts';
import { PARTS_FORMAT, PARTS_VERSION, type Part, partsFileSchema } from '../schema/part';
import { PROJECT_FORMAT, PROJECT_VERSION, type Project, projectSchema } from '../schema/project';
import { readJson } from './json';

export interface Refused {
  readonly ok: false;
  readonly problems: readonly Problem[];
}
export type ReadResult = { readonly ok: true; readonly project: Project } | Refused;
/** A file that is either a project or parts. */
export type DocumentResult = ReadResult | { readonly ok: true; readonly parts: readonly Part[] };

/** Largest project file that is read, bytes. */
export const LARGEST_FILE = 25 * 1024 * 1024;

const failure = (message: string, path = ''): Refused => ({
  ok: false,
  problems: [{ path, message, severity: 'error' }],
});

/** JSON text as a value that is safe to read on, or what is wrong with it. */
function parsed(text: string, expected: string): { readonly value: unknown } | Refused {
  const json = readJson(text, expected);
  if ('value' in json) {
    const wrong = survey(json.value);
    return wrong ? { ok: false, problems: [wrong] } : json;
  }
  return failure(json.message, json.place);
}

/** Reads a project from JSON text: everything wrong is said with its path, and nothing is half applied. */
export function readProject(text: string): ReadResult {
  const json = parsed(text, 'A project exported from here');
  return 'value' in json ? readSurveyed(json.value) : json;
}

/** Reads a project or a file of parts, whichever the text is. */
export function readDocument(text: string): DocumentResult {
  const json = parsed(text, 'A project or parts exported from here');
  if (!('value' in json)) return json;
  const format = (json.value as { format?: unknown } | null)?.format;
  if (format !== PARTS_FORMAT) return readSurveyed(json.value);
  const read = partsFileSchema.safeParse(migrateParts(json.value as Record<string, unknown>), {
    reportInput: true,
  });
  if (!read.success) return { ok: false, problems: read.error.issues.map(issueProblem) };
  return { ok: true, parts: read.data.parts };
}

/** Parts as a file's text, to be read back by `readDocument`. */
export function writeParts(parts: readonly Part[]): string {
  return `${JSON.stringify({ format: PARTS_FORMAT, version: PARTS_VERSION, parts }, null, 2)}\n`;
}

/** The same for parsed data. */
export function readProjectValue(value: unknown): ReadResult {
  const wrong = survey(value);
  return wrong ? { ok: false, problems: [wrong] } : readSurveyed(value);
}

function readSurveyed(value: unknown): ReadResult {
  const format = (value as { format?: unknown } | null)?.format;
  if (typeof value !== 'object' || value === null || format !== PROJECT_FORMAT) {
    return failure(
      say.jsonAnotherKindFormat(
        PROJECT_FORMAT,
        typeof format === 'string' ? `, and is "${format.slice(0, 60)}"` : '',
      ),
      'format',
    );
  }
  const version = (value as { version?: unknown }).version;
  if (typeof version === 'number' && version > PROJECT_VERSION) {
    return failure(say.projectVersionProgramReads(version, PROJECT_VERSION), 'version');
  }
  const read = projectSchema.safeParse(migrate(value as Record<string, unknown>), { reportInput: true });
  if (read.success) return { ok: true, project: read.data };
  return { ok: false, problems: read.error.issues.map(issueProblem) };
}

/** A schema's complaint as a problem in the words used everywhere. */
export function issueProblem({ path, message }: z.core.$ZodIssue): Problem {
  return { path: pathText(path), message, severity: 'error' };
}

/** The project as JSON text, to be read back by `readProject`. */
export function writeProject(project: Project): string {
  return `${JSON.stringify(project, null, 2)}\n`;
}
