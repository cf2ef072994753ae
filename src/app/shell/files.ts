import type { EngineClient } from '../../compute';
import { FORMATS, type FormatId } from '../../io';
import { type DocumentResult, LARGEST_FILE, type Problem, type Refused } from '../../model';
import { say } from '../../text/en/say/shell';
import { toast } from '../ui/toast';

/**
 * Offers text or a picture as a file of a kind.
 * @param name what it is of
 * @param suffix after the name and before the ending
 */
export function download(format: FormatId, name: string, content: string | Blob, suffix = ''): void {
  const { endings, mime } = FORMATS[format];
  const url = URL.createObjectURL(new Blob([content], { type: mime }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${plainName(name)}${suffix}.${endings[0]}`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A name as part of a file name. */
export function plainName(name: string): string {
  const plain = name
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase();
  return plain || 'fervent-kettle';
}

const failed = (message: string): Refused => ({
  ok: false,
  problems: [{ path: '', message, severity: 'error' }],
});

/** Reads a dropped or chosen file as a project or parts; parsing and checking happen in the worker. */
async function readFile(file: File, engine: EngineClient): Promise<DocumentResult> {
  if (file.size > LARGEST_FILE) {
    return failed(say.fileHasMbProject(Math.round(file.size / 1e6), Math.round(LARGEST_FILE / 1e6)));
  }
  let text: string;
  try {
    text = await file.text();
  } catch {
    return failed(say.fileCouldNotRead);
  }
  // Comlink spreads a union of promises; it is one promise of a union.
  return engine.call((remote) => remote.readDocument(text) as Promise<DocumentResult>);
}

/** Problems as the few lines a message has room for. */
export function problemLines(problems: readonly Problem[]): string[] {
  const shown = problems.slice(0, 5).map((p) => (p.path ? `${p.path}: ${p.message}` : p.message));
  return problems.length > 5 ? [...shown, say.moreKettleCheckLists(problems.length - 5)] : shown;
}

/** Imports a file: takes the project over when it is whole, otherwise says why and changes nothing. */
export async function importFile(
  file: File,
  engine: EngineClient,
  take: (found: Extract<DocumentResult, { ok: true }>) => void,
  refuse: (name: string, problems: readonly Problem[]) => void,
): Promise<void> {
  try {
    const read = await readFile(file, engine);
    if (read.ok) take(read);
    else refuse(file.name, read.problems);
  } catch (error) {
    toast.error((error as Error).message);
  }
}
