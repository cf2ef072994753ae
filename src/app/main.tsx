import './styles/index.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { demoProject } from '../../demo/project';
import { browserStore, openProject } from '../storage';
import { download } from './shell/files';
import { NotFound } from './shell/PageError';
import { Shell } from './shell/Shell';
import { Unreadable } from './shell/Unreadable';
import { Providers } from './state/context';
import { applyTheme } from './state/preferences';
import { ProjectStore } from './state/projectStore';
import { WorkbenchPage } from './workbench/WorkbenchPage';

applyTheme();

const car = async () => ({ Component: (await import('./editors/CarPage')).CarPage });
const circuit = async () => ({ Component: (await import('./editors/CircuitPage')).CircuitPage });
const circuits = async () => ({ Component: (await import('./circuits/CircuitsPage')).CircuitsPage });
const log = async () => ({ Component: (await import('./log/LogPage')).LogPage });
const plan = async () => ({ Component: (await import('./editors/PlanPage')).PlanPage });
const decide = async () => ({ Component: (await import('./decide/DecidePage')).DecidePage });
const garage = async () => ({ Component: (await import('./garage/GaragePage')).GaragePage });
const inside = async () => ({ Component: (await import('./inside/InsidePage')).InsidePage });
const library = async () => ({ Component: (await import('./library/LibraryPage')).LibraryPage });

async function start(root: HTMLElement): Promise<void> {
  const storage = browserStore();
  const found = await openProject(storage);
  const project = found.kind === 'project' ? found.project : demoProject;
  const store = new ProjectStore(
    project,
    storage,
    found.kind === 'blocked' ? { kind: 'failed', reason: found.reason } : { kind: 'saved' },
    'BroadcastChannel' in window ? new BroadcastChannel('fervent-kettle') : null,
  );
  const router = createBrowserRouter([
    {
      element: <Shell />,
      hydrateFallbackElement: <div />,
      children: [
        { path: '/', element: <WorkbenchPage /> },
        { path: '/garage/:tab?', lazy: garage },
        { path: '/car/:id?', lazy: car },
        { path: '/circuit/:id?', lazy: circuit },
        { path: '/circuits/:tab?', lazy: circuits },
        { path: '/plan/:id?', lazy: plan },
        { path: '/log/:tab?', lazy: log },
        { path: '/decide/:tab?', lazy: decide },
        { path: '/inside', lazy: inside },
        { path: '/library', lazy: library },
        { path: '*', element: <NotFound /> },
      ],
    },
  ]);
  const page = (
    <Providers store={store}>
      <RouterProvider router={router} />
    </Providers>
  );
  createRoot(root).render(
    <StrictMode>
      {found.kind === 'unreadable' ? (
        <Unreadable
          problems={found.problems}
          keptAs={found.keptAs}
          onExport={() => download('unreadable-project.json', found.text, 'application/json')}
        >
          {page}
        </Unreadable>
      ) : (
        page
      )}
    </StrictMode>,
  );
}

const root = document.getElementById('root');
if (root) void start(root);
