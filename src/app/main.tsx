import './styles/index.css';
import { StrictMode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { demoProject } from '../../demo/project';
import {
  browserJournal,
  browserStore,
  currentSlot,
  type Found,
  openHistory,
  openProject,
  PROJECTS,
  pageOf,
  readJournals,
  slotJournal,
  slotStore,
  whenGone,
} from '../storage';
import { PAGE_GROUPS, PAGES } from './pageList';
import { download } from './shell/files';
import { NotFound } from './shell/PageError';
import { RouteError } from './shell/RouteError';
import { Shell } from './shell/Shell';
import { Unreadable } from './shell/Unreadable';
import { Waiting } from './shell/Waiting';
import { Providers } from './state/context';
import { applyTheme } from './state/preferences';
import { ProjectStore } from './state/projectStore';
import { TipProvider } from './ui/Tip';

applyTheme();

/** When, after the page was asked for, it is said that the browser's storage does not answer, ms. */
const SAID_AT = 1700;
/** What the storage has at least, however slow the page came, ms. */
const LEAST_PATIENCE = 400;

/** What is stored; while the storage keeps silent, the reader is told, and may go on without it. */
async function patiently(opening: Promise<Found>, page: Root): Promise<Found> {
  let goOn: (found: Found) => void = () => {};
  const given = new Promise<Found>((resolve) => {
    goOn = resolve;
  });
  const timer = setTimeout(
    () =>
      page.render(
        <Waiting onGoOn={() => goOn({ kind: 'blocked', reason: 'the browser’s storage does not answer' })} />,
      ),
    Math.max(LEAST_PATIENCE, SAID_AT - performance.now()),
  );
  const found = await Promise.race([opening, given]);
  clearTimeout(timer);
  return found;
}

async function start(root: HTMLElement): Promise<void> {
  const page = createRoot(root);
  const slot = currentSlot();
  const storage = slotStore(browserStore(), slot);
  const journal = slotJournal(browserJournal(), slot);
  const found = await patiently(openProject(storage), page);
  const past = found.kind === 'project' ? await openHistory(storage, found.revision, found.project) : [];
  const store = new ProjectStore({
    past,
    project: found.kind === 'project' ? found.project : demoProject,
    storage,
    journal,
    page: pageOf(crypto.randomUUID(), slot),
    neighbours:
      'BroadcastChannel' in window ? new BroadcastChannel(`fervent-kettle${slot && `/${slot}`}`) : null,
    ...(found.kind === 'project' && { revision: found.revision }),
    ...(found.kind === 'blocked' && { save: { kind: 'failed', reason: found.reason } }),
  });
  if (found.kind === 'project' || found.kind === 'nothing') store.restore(readJournals(journal));
  // Never while it is blocked: there is nothing that could go.
  if (found.kind !== 'blocked') whenGone(PROJECTS, () => void store.storeIfGone());
  // The titles of the pages take its place.
  document.querySelector('title')?.remove();
  const routes = [
    {
      element: <Shell groups={PAGE_GROUPS} />,
      hydrateFallbackElement: <div />,
      children: [
        {
          errorElement: <RouteError />,
          children: [...PAGES, { path: '*', element: <NotFound /> }],
        },
      ],
    },
  ];
  const router = createBrowserRouter(routes, { basename: import.meta.env.BASE_URL });
  const application = (
    <Providers store={store}>
      <TipProvider>
        <RouterProvider router={router} />
      </TipProvider>
    </Providers>
  );
  page.render(
    <StrictMode>
      {found.kind === 'unreadable' ? (
        <Unreadable
          problems={found.problems}
          kept={found.keptAs !== null}
          onExport={() => download('project', 'unreadable project', found.text)}
        >
          {application}
        </Unreadable>
      ) : (
        application
      )}
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root) void start(root);
