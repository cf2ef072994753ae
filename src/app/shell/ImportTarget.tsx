import {
  createContext,
  lazy,
  type ReactNode,
  useCallback,
  useContext,
  useEffect,
  useRef,
  useState,
} from 'react';
import { useLocation, useNavigate } from 'react-router';
import { acceptedBy, doorOf } from '../../io';
import { addParts, type Problem } from '../../model';
import { say } from '../../text/en/say/shell';
import { useEngine } from '../state/context';
import { useEdit } from '../state/useEdit';
import { Come } from '../ui/Come';
import { toast } from '../ui/toast';
import { useReturnFocus } from '../ui/useReturnFocus';
import { importFile, problemLines } from './files';
import { handOver } from './handedFile';
import { useReplaceProject } from './ReplaceProject';

const RefusedDialog = lazy(async () => ({ default: (await import('./RefusedDialog')).RefusedDialog }));

const ImportContext = createContext<() => void>(() => {});

/** Opens the file chooser for an import. */
export const useImport = () => useContext(ImportContext);

/** Takes project files that are chosen or dropped anywhere on the window. */
export function ImportTarget({ children }: { children: ReactNode }) {
  const edit = useEdit();
  const replace = useReplaceProject();
  const { remember, onCloseAutoFocus } = useReturnFocus();
  const engine = useEngine();
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<{ name: string; problems: readonly Problem[] } | null>(null);

  const take = useCallback(
    (file: File) =>
      importFile(
        file,
        engine,
        (found) => {
          if ('parts' in found) {
            const { parts } = found;
            edit(`Imported ${file.name}`, (p) => addParts(p, parts, () => crypto.randomUUID()), {
              done: `Added ${parts.length} part${parts.length === 1 ? '' : 's'} to the shelf`,
            });
            return;
          }
          const { project } = found;
          replace({
            project,
            label: `Imported ${file.name}`,
            done: say.importedPlaceProjectBefore(project.name),
          });
        },
        (name, problems) => {
          remember();
          setRefused({ name, problems });
        },
      ),
    [engine, edit, replace, remember],
  );

  const toItsPage = useToItsPage(take);
  const over = useDropped(toItsPage);
  useOpened(toItsPage);

  return (
    <ImportContext value={useCallback(() => input.current?.click(), [])}>
      {children}
      <input
        ref={input}
        type="file"
        accept={acceptedBy('project')}
        className="hidden"
        data-testid="import"
        aria-label="Project file to import"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      {over && (
        <div className="fixed inset-3 z-50 grid place-items-center rounded-xl border-2 border-dashed border-act bg-panel/90 text-[20px]">
          {say.dropProjectPartsCircuit}
        </div>
      )}
      {refused && (
        <Come
          onMissed={() => {
            toast.error(`${refused.name}: ${problemLines(refused.problems)[0]}`);
            setRefused(null);
          }}
        >
          <RefusedDialog
            {...refused}
            onClose={() => setRefused(null)}
            onAgain={() => input.current?.click()}
            onCloseAutoFocus={onCloseAutoFocus}
          />
        </Come>
      )}
    </ImportContext>
  );
}

/** Hands a file to where its kind is read: a project's here, a circuit's or a log's on its own page. */
function useToItsPage(take: (file: File) => Promise<void>): (file: File) => void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return useCallback(
    (file: File) => {
      const kind = doorOf(file.name);
      if (kind === 'project') {
        void take(file);
        return;
      }
      // A table on the page of circuits is one of points.
      const onCircuits = pathname.startsWith('/circuit');
      handOver(kind === 'log' && onCircuits ? 'tracks' : kind, file);
      navigate(kind === 'tracks' || onCircuits ? '/circuits/import' : '/log/logs');
    },
    [take, navigate, pathname],
  );
}

/** What the system hands over when a file is opened with the installed program. */
interface LaunchQueue {
  setConsumer(consumer: (opened: { readonly files: readonly FileSystemFileHandle[] }) => void): void;
}

/** Takes files that are opened by a double click, where the program is installed. */
function useOpened(toItsPage: (file: File) => void): void {
  useEffect(() => {
    const queue = (window as { launchQueue?: LaunchQueue }).launchQueue;
    queue?.setConsumer(({ files }) => {
      void files[0]?.getFile().then(toItsPage);
    });
  }, [toItsPage]);
}

/** Takes what is dropped on the window to where it belongs; answers whether a file hangs over it. */
function useDropped(toItsPage: (file: File) => void): boolean {
  const [over, setOver] = useState(false);
  useEffect(() => {
    let depth = 0;
    const carriesFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;
    const enter = (event: DragEvent) => {
      if (!carriesFile(event)) return;
      event.preventDefault();
      depth += 1;
      setOver(true);
    };
    const leave = () => {
      depth = Math.max(0, depth - 1);
      if (depth === 0) setOver(false);
    };
    const move = (event: DragEvent) => carriesFile(event) && event.preventDefault();
    const drop = (event: DragEvent) => {
      if (!carriesFile(event)) return;
      event.preventDefault();
      depth = 0;
      setOver(false);
      const file = event.dataTransfer?.files[0];
      if (file) toItsPage(file);
    };
    window.addEventListener('dragenter', enter);
    window.addEventListener('dragleave', leave);
    window.addEventListener('dragover', move);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragenter', enter);
      window.removeEventListener('dragleave', leave);
      window.removeEventListener('dragover', move);
      window.removeEventListener('drop', drop);
    };
  }, [toItsPage]);
  return over;
}
