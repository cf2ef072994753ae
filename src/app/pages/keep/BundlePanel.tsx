import { FolderDown, Sheet } from 'lucide-react';
import { useState } from 'react';
import { type Bundle, LARGEST_BUNDLE, readBundle, readLogbook, writeBundle, writeLogbook } from '../../../io';
import {
  joinLogbook,
  type Problem,
  type Project,
  putEntries,
  type Refused,
  readProject,
} from '../../../model';
import { browserPhotoStore, keepPhoto, openPhoto } from '../../../storage';
import { say } from '../../../text/en/say/keep';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { download } from '../../shell/files';
import { useReplaceProject } from '../../shell/ReplaceProject';
import { useProject, useSetup } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { toast } from '../../ui/toast';
import type { KeepTabProps } from './tabProps';

/** A project from another device, with its pictures where it has some. */
async function opened(file: File): Promise<Bundle | Refused> {
  if (file.name.toLowerCase().endsWith('.zip')) return readBundle(new Uint8Array(await file.arrayBuffer()));
  const read = readProject(await file.text());
  return read.ok ? { ...read, photos: new Map(), missing: [] } : read;
}

/** Everything that is written down, with its pictures, as one file; and what another device wrote. */
export function BundlePanel({ kept }: KeepTabProps) {
  const project = useProject();
  const edit = useEdit();
  const replace = useReplaceProject();
  const { plan } = useSetup();
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
  const [read, setRead] = useState<{ name: string; project: Project; missing: readonly string[] } | null>(
    null,
  );
  const [differ, setDiffer] = useState<readonly string[]>([]);

  const send = async () => {
    const store = browserPhotoStore();
    const photos = new Map<string, Uint8Array>();
    for (const { id } of project.entries.flatMap((entry) => entry.photos)) {
      const bytes = await openPhoto(store, id);
      if (bytes) photos.set(id, bytes);
    }
    const bytes = writeBundle(project, photos);
    download('bundle', project.name, new Blob([bytes as Uint8Array<ArrayBuffer>]), '-logbook');
  };
  const takeTable = (name: string, text: string) => {
    const newId = () => crypto.randomUUID();
    const { id: planId, circuitId } = plan;
    const table = readLogbook(text, project, { carId: kept.car.id, planId, circuitId, newId });
    if (!table.ok) return setRefused({ name, problems: table.problems });
    setRefused(null);
    edit('Read a table of the logbook', (p) => putEntries(p, table.entries), {
      done: say.tableRead(table.entries.length, name),
    });
  };
  const take = async (file: File) => {
    setRead(null);
    setDiffer([]);
    if (/\.(csv|txt)$/i.test(file.name)) return takeTable(file.name, await file.text());
    const problem = (message: string) =>
      setRefused({ name: file.name, problems: [{ path: '', message, severity: 'error' }] });
    if (file.size > LARGEST_BUNDLE) return problem(say.bundleTooLarge(LARGEST_BUNDLE / 1e6));
    const found = await opened(file);
    if (!found.ok) return setRefused({ name: file.name, problems: found.problems });
    const { photos, missing } = found;
    setRefused(null);
    try {
      for (const [id, bytes] of photos) await keepPhoto(browserPhotoStore(), id, bytes);
    } catch (error) {
      toast.error((error as Error).message, { duration: 10_000 });
    }
    setRead({ name: file.name, project: found.project, missing });
  };
  const join = (from: NonNullable<typeof read>) => {
    const preview = joinLogbook(project, from.project);
    const made = edit('Joined another logbook', (p) => joinLogbook(p, from.project).project, {
      done: say.joined(preview.added, from.name),
    });
    if (made) {
      setDiffer(preview.differ);
      setRead(null);
    }
  };
  return (
    <section className="panel px-4 py-3 print:hidden" aria-label={say.bundle}>
      <h2 className="text-[15px]">{say.bundle}</h2>
      <p className="caption mt-0.5 max-w-[140ch]">{say.bundleMeans}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => void send()}>
          <FolderDown size={15} aria-hidden="true" /> Everything with pictures (ZIP)
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => download('logbook', `${kept.car.name} logbook`, writeLogbook(project, kept.entries))}
        >
          <Sheet size={15} aria-hidden="true" /> Logbook as a table (CSV)
        </button>
        <FileDoor
          kind="logbook"
          label="From another device"
          testId="logbook-file"
          samples={[]}
          quiet
          onFile={(file) => void take(file)}
        />
      </div>
      {refused && <Refusal {...refused} />}
      {read && (
        <div className="mt-2 border-t border-rule/60 pt-2" role="status">
          <p>{say.bundleRead(read.name, read.project.entries.length)}</p>
          {read.missing.length > 0 && <p className="text-close">{say.picturesMissing(read.missing)}</p>}
          <div className="mt-1.5 flex flex-wrap gap-2">
            <button type="button" className="btn btn-main" onClick={() => join(read)}>
              Add what is new
            </button>
            <button
              type="button"
              className="btn"
              onClick={() => {
                replace({
                  project: read.project,
                  label: `Replaced by ${read.name}`,
                  done: say.tookOver(read.name),
                });
                setRead(null);
              }}
            >
              Take its place
            </button>
            <button type="button" className="btn btn-bare" onClick={() => setRead(null)}>
              Leave it
            </button>
          </div>
        </div>
      )}
      {differ.length > 0 && <p className="mt-2 text-close">{say.differ(differ)}</p>}
    </section>
  );
}
