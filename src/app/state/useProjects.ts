import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type Project, writeProject } from '../../model';
import {
  addProject,
  browserStore,
  chooseSlot,
  currentSlot,
  type ListedProject,
  listProjects,
  removeProject,
} from '../../storage';
import { say } from '../../text/en/say/state';
import { toast } from '../ui/toast';
import { useStore } from './context';

const KEY = ['projects'];

/** The projects of this browser, and ways to open, add and delete one. */
export function useProjects() {
  const store = useStore();
  const client = useQueryClient();
  const listed = useQuery({ queryKey: KEY, queryFn: () => listProjects(browserStore()), staleTime: 0 });
  /** Saves what is open and loads another in its place. */
  const open = async (slot: string, path = '/') => {
    await store.saveNow();
    if (store.unsaved) {
      toast.error(say.notSavedYet);
      return;
    }
    chooseSlot(slot);
    window.location.assign(path);
  };
  const add = async (project: Project, path = '/') => {
    const slot = crypto.randomUUID();
    try {
      await addProject(browserStore(), writeProject(project), slot);
    } catch (error) {
      toast.error(say.projectNotAdded((error as Error).message));
      return;
    }
    await open(slot, path);
  };
  const remove = useMutation({
    mutationFn: (slot: string) => removeProject(browserStore(), slot),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
    onError: (error) => toast.error(say.projectNotDeleted(error.message)),
  });
  return {
    list: listed.data ?? [],
    current: currentSlot(),
    open,
    /** A project of one's own, begun with the first of its three forms */
    begin: async (list: readonly ListedProject[]) => {
      const { blankProject } = await import('./newProject');
      await add(blankProject(freshName(list)), '/new/car');
    },
    /** Opens a project beside this one */
    beside: (project: Project) => add(project),
    remove: remove.mutate,
  };
}

function freshName(list: readonly ListedProject[]): string {
  for (let n = 1; ; n++) {
    const name = n === 1 ? 'My season' : `My season ${n}`;
    if (!list.some((project) => project.name === name)) return name;
  }
}
