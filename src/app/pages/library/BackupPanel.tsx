import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { ArchiveRestore, FolderDown } from 'lucide-react';
import { useState } from 'react';
import type { OpenedBackup } from '../../../compute';
import type { Problem } from '../../../model';
import { type BackupMode, type BackupPreview, chooseSlot } from '../../../storage';
import { say } from '../../../text/en/say/library';
import { FileDoor } from '../../shared/FileDoor';
import { Refusal } from '../../shared/Refusal';
import { download } from '../../shell/files';
import { backupMade, lastBackup } from '../../state/backup';
import { useBackground, useStore } from '../../state/context';
import { givenPreferences, preferencesText } from '../../state/preferences';
import { ConfirmButton } from '../../ui/ConfirmButton';
import { toast } from '../../ui/toast';

const megabytes = (bytes: number) => (bytes / 1e6).toFixed(bytes < 1e8 ? 1 : 0);

/** Room that the browser gives, and whether it may take it back. */
function useRoom() {
  return useQuery({
    queryKey: ['storage room'],
    queryFn: async () => {
      const { storage } = navigator;
      const { usage = 0, quota = 0 } = (await storage?.estimate?.()) ?? {};
      return { usage, quota, persisted: (await storage?.persisted?.()) ?? false };
    },
    staleTime: 0,
  });
}

/** Everything this browser keeps as one file, and back. */
export function BackupPanel() {
  const { files } = useBackground();
  const store = useStore();
  const room = useRoom();
  const [made, setMade] = useState(lastBackup);
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);
  const [opened, setOpened] = useState<{ name: string; preview: BackupPreview } | null>(null);

  const during = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
    } catch (error) {
      toast.error((error as Error).message, { duration: 10_000 });
    } finally {
      setBusy(false);
    }
  };
  const keep = async () => {
    const answered = await navigator.storage?.persist?.();
    await room.refetch();
    if (answered === false) toast(say.notPersisted);
  };
  const send = () =>
    during(async () => {
      await store.saveNow();
      const blob = await files.call((remote) => remote.backup(preferencesText()));
      download('backup', say.backupName, blob, `-${format(new Date(), 'yyyy-MM-dd')}`);
      backupMade();
      setMade(Date.now());
      void navigator.storage?.persist?.().then(() => room.refetch());
    });
  const open = (file: File) =>
    during(async () => {
      setOpened(null);
      setRefused(null);
      // The thread spreads a union of promises; it is one promise of a union.
      const found = await files.call((remote) => remote.openBackup(file) as Promise<OpenedBackup>);
      if (found.ok) setOpened({ name: file.name, preview: found });
      else setRefused({ name: file.name, problems: found.problems });
    });
  const take = (mode: BackupMode) =>
    during(async () => {
      await store.saveNow();
      if (store.unsaved) throw new Error(say.notSavedBefore);
      const { slot, preferences } = await files.call((remote) => remote.restoreBackup(mode));
      if (mode === 'replace') givenPreferences(preferences);
      if (slot !== null && mode === 'replace') chooseSlot(slot);
      window.location.reload();
    });
  return (
    <section className="panel px-3 py-2.5" aria-label="Backup" id="backup">
      <h2 className="text-[16px]">Backup</h2>
      <p className="caption max-w-[110ch]">{say.backupMeans}</p>
      <p className="mt-1" data-testid="backup-state">
        {made === null ? say.neverBackedUp : say.backedUp(format(made, 'd MMM yyyy, HH:mm'))}{' '}
        {room.data && say.room(megabytes(room.data.usage), megabytes(room.data.quota))}{' '}
        {room.data && (room.data.persisted ? say.persisted : say.mayBeTaken)}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-main" disabled={busy} onClick={() => void send()}>
          <FolderDown size={15} aria-hidden="true" /> Back up everything (ZIP)
        </button>
        <FileDoor
          kind="backup"
          label="Take in a backup"
          testId="backup-file"
          samples={[]}
          quiet
          onFile={(file) => void open(file)}
        />
        {room.data && !room.data.persisted && (
          <button type="button" className="btn" onClick={() => void keep()}>
            Ask the browser to keep it
          </button>
        )}
      </div>
      {refused && <Refusal {...refused} />}
      {opened && <Opened {...opened} busy={busy} take={take} leave={() => setOpened(null)} />}
    </section>
  );
}

/** What a backup has, and what would become of it here. */
function Opened({
  name,
  preview,
  busy,
  take,
  leave,
}: {
  readonly name: string;
  readonly preview: BackupPreview;
  readonly busy: boolean;
  readonly take: (mode: BackupMode) => Promise<void>;
  readonly leave: () => void;
}) {
  const { made, projects, logs, photos, newPhotos, aside, bytes } = preview;
  const newLogs = logs.filter(({ there }) => !there);
  return (
    <div className="mt-2 border-t border-rule/60 pt-2" role="status" data-testid="backup-preview">
      <p>
        <span className="font-[600]">{name}</span>:{' '}
        {say.backupOf(format(new Date(made), 'd MMM yyyy, HH:mm'), megabytes(bytes))}
      </p>
      {projects.length === 0 && <p>{say.backupWithoutProject}</p>}
      <ul className="mt-1 grid gap-0.5">
        {projects.map((project, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two projects may have one name
          <li key={i}>
            {project.name}: {say.stateOfProject[project.state]}
            {project.unreadable && <span className="text-close"> {say.keptAsItIs(project.unreadable)}</span>}
          </li>
        ))}
      </ul>
      <p className="caption">{say.alsoHas(newLogs.length, logs.length, newPhotos, photos, aside)}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" disabled={busy} onClick={() => void take('add')}>
          <ArchiveRestore size={15} aria-hidden="true" /> Add what is new
        </button>
        <ConfirmButton
          label="Replace everything here"
          title={say.replaceTitle}
          warning={say.replaceWarning}
          confirm="Replace it"
          onConfirm={() => void take('replace')}
        >
          Replace everything here
        </ConfirmButton>
        <button type="button" className="btn btn-bare" onClick={leave}>
          Leave it
        </button>
      </div>
    </div>
  );
}
