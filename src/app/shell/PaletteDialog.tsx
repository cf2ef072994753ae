import { Command } from 'cmdk';
import { Dialog } from 'radix-ui';
import { type ReactNode, useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { SWITCHABLE, selectPlan, writeProject } from '../../model';
import { say } from '../../text/en/say/shell';
import { fieldAddress, fieldName, fieldsOf } from '../shared/fieldPlace';
import { PAGE_TABS } from '../shared/pageTabs';
import { useProjectState, useSetup, useStore } from '../state/context';
import { setTheme, setUs } from '../state/preferences';
import { goToStop } from '../state/tour';
import { useEdit } from '../state/useEdit';
import { useReturnFocus } from '../ui/useReturnFocus';
import { download } from './files';
import { useImport } from './ImportTarget';
import type { PageGroup } from './PageNav';

/** Something that can be chosen. */
interface Entry {
  readonly id: string;
  readonly name: string;
  /** What stands beside it, and is looked through too */
  readonly of?: string;
  readonly run: () => void;
}

const tabsOf = (to: string) => PAGE_TABS[to.slice(1) as keyof typeof PAGE_TABS] ?? [];

/** How well an entry's name has what was typed: every word of it somewhere, best where the name begins with it. */
function matched(_id: string, typed: string, [name = '', of = '']: readonly string[] = []): number {
  const [own, whole] = [name, `${name} ${of}`].map((text) => text.toLowerCase());
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.every((word) => whole.includes(word))) return 0;
  if (own.startsWith(words.join(' '))) return 1;
  return words.every((word) => ` ${own}`.includes(` ${word}`)) ? 0.8 : 0.5;
}

/** Pages and their views, in the order of the work. */
function usePlaces(groups: readonly PageGroup[]): readonly Entry[] {
  const navigate = useNavigate();
  const pages = groups.flatMap(({ name: group, pages }) => pages.map((page) => ({ ...page, group })));
  const go = (to: string) => () => void navigate(to);
  return [
    ...pages.flatMap(({ to, name, also, group }) => {
      const at = also ?? to;
      const tabs = tabsOf(at).map((tab) => ({
        id: `${at}/${tab.path}`,
        name: tab.name,
        of: name,
        run: go(`${at}/${tab.path}`),
      }));
      return tabs.length > 0 && !also
        ? tabs
        : [{ id: to, name, ...(group !== name && { of: group }), run: go(to) }, ...tabs];
    }),
    { id: '/library', name: 'Library', run: go('/library') },
    { id: '/help', name: 'Help', run: go('/help') },
  ];
}

/** What can be done from anywhere. */
function useDeeds(): readonly Entry[] {
  const navigate = useNavigate();
  const store = useStore();
  const { history } = useProjectState();
  const openImport = useImport();
  const project = history.value;
  const last = history.past.at(-1);
  const [next] = history.future;
  return [
    ...(last ? [{ id: 'undo', name: 'Undo', of: last.label, run: () => store.undo() }] : []),
    ...(next ? [{ id: 'redo', name: 'Redo', of: next.label, run: () => store.redo() }] : []),
    { id: 'new-car', name: 'New car', run: () => void navigate('/new/car') },
    { id: 'new-circuit', name: 'New circuit', run: () => void navigate('/new/circuit') },
    { id: 'new-plan', name: 'New plan', run: () => void navigate('/new/plan') },
    {
      id: 'export-the-project',
      name: 'Export the project',
      of: 'JSON',
      run: () => download('project', project.name, writeProject(project)),
    },
    { id: 'import-a-file', name: 'Import a file', run: openImport },
    { id: 'all-metric', name: 'All metric', of: 'Units', run: () => setUs(SWITCHABLE, false) },
    { id: 'all-us', name: 'All US', of: 'Units', run: () => setUs(SWITCHABLE, true) },
    { id: 'light', name: 'Light', of: 'Look', run: () => setTheme('light') },
    { id: 'dark', name: 'Dark', of: 'Look', run: () => setTheme('dark') },
    { id: 'as-the-system', name: 'As the system', of: 'Look', run: () => setTheme('system') },
    { id: 'tour', name: 'Tour', run: () => goToStop(0) },
  ];
}

/** Plans to take to the workbench. */
function usePlans(): readonly Entry[] {
  const { plans, selectedPlanId } = useProjectState().history.value;
  const edit = useEdit();
  return plans
    .filter(({ id }) => id !== selectedPlanId)
    .map(({ id, name }) => ({ id, name, run: () => edit('Selected a plan', (p) => selectPlan(p, id)) }));
}

/** Numbers of the car and the plan that are selected; the cursor goes to the one that is chosen. */
function useFields(): readonly Entry[] {
  const setup = useSetup();
  const navigate = useNavigate();
  return (['cars', 'plans'] as const).flatMap((shelf) => {
    const item = shelf === 'cars' ? setup.car : setup.plan;
    return fieldsOf(shelf, item).map((place) => ({
      id: `${shelf} ${place.path.join('.')}`,
      name: fieldName(place),
      of: item.name,
      run: () => void navigate(fieldAddress(shelf, place, setup)),
    }));
  });
}

function Group({
  heading,
  entries,
  onDone,
}: {
  heading: string;
  entries: readonly Entry[];
  onDone: () => void;
}) {
  if (entries.length === 0) return null;
  return (
    <Command.Group heading={<span className="caption block px-2 pt-1.5 pb-0.5">{heading}</span>}>
      {entries.map(({ id, name, of = '', run }) => (
        <Command.Item
          key={id}
          // Names may be there twice: two plans, two fields of one title.
          value={`${heading} ${id}`}
          keywords={[name, of]}
          className="flex cursor-pointer items-baseline justify-between gap-3 rounded px-2 py-1.5 data-[selected=true]:bg-act data-[selected=true]:text-act-ink"
          onSelect={() => {
            onDone();
            run();
          }}
        >
          <span className="min-w-0 break-words">{name}</span>
          <span className="min-w-0 truncate text-[12.5px] opacity-75">{of}</span>
        </Command.Item>
      ))}
    </Command.Group>
  );
}

/** The palette itself, fetched when it is first opened. */
export function PaletteDialog({
  groups,
  open,
  onOpenChange,
}: {
  groups: readonly PageGroup[];
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const { remember, onCloseAutoFocus } = useReturnFocus();
  const [chosen, setChosen] = useState(false);
  useEffect(() => {
    if (!open) return;
    remember();
    setChosen(false);
  }, [open, remember]);
  const done = () => {
    setChosen(true);
    onOpenChange(false);
  };
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          className="panel fixed top-[12vh] left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 overflow-hidden p-0"
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            // Where something was chosen, the focus is where that leads.
            if (chosen) event.preventDefault();
            else onCloseAutoFocus(event);
          }}
        >
          <Dialog.Title className="sr-only">Find</Dialog.Title>
          <Content groups={groups} onDone={done} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Content({ groups, onDone }: { groups: readonly PageGroup[]; onDone: () => void }): ReactNode {
  const lists = [
    ['Go to', usePlaces(groups)],
    ['Do', useDeeds()],
    ['Plan to the workbench', usePlans()],
    ['Field', useFields()],
  ] as const;
  return (
    <Command label="Find" loop filter={matched}>
      <Command.Input
        placeholder={say.palettePlaceholder}
        aria-label="Find"
        className="w-full border-b border-rule bg-transparent px-3 py-2.5 text-[15px] outline-none"
      />
      <Command.List className="max-h-[56vh] overflow-auto p-1.5" aria-label="Found">
        <Command.Empty className="px-2 py-4 text-dim">{say.paletteNothing}</Command.Empty>
        {lists.map(([heading, entries]) => (
          <Group key={heading} heading={heading} entries={entries} onDone={onDone} />
        ))}
      </Command.List>
    </Command>
  );
}
