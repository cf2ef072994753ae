import {
  Activity,
  CarFront,
  ClipboardList,
  FileClock,
  LibraryBig,
  Route,
  Scale,
  ScanLine,
  Wrench,
} from 'lucide-react';
import type { RouteObject } from 'react-router';
import { WorkbenchPage } from './pages/workbench/WorkbenchPage';
import type { NamedPage } from './shell/Shell';

/** A page: its route, and, where it stands in the navigation, its name and sign there. */
type Page = Pick<RouteObject, 'element' | 'lazy'> & { readonly path: string; readonly shown?: NamedPage };

/** Every page, in the order of the navigation; all but the first one are loaded when they are gone to. */
export const PAGES: readonly Page[] = [
  { path: '/', element: <WorkbenchPage />, shown: { to: '/', name: 'Workbench', icon: Activity } },
  {
    path: '/inside',
    lazy: async () => ({ Component: (await import('./pages/inside/InsidePage')).InsidePage }),
    shown: { to: '/inside', name: 'Inside', icon: ScanLine },
  },
  {
    path: '/garage/:tab?',
    lazy: async () => ({ Component: (await import('./pages/garage/GaragePage')).GaragePage }),
    shown: { to: '/garage', name: 'Garage', icon: Wrench },
  },
  {
    path: '/car/:id?',
    lazy: async () => ({ Component: (await import('./pages/editors/CarPage')).CarPage }),
    shown: { to: '/car', name: 'Car', icon: CarFront },
  },
  {
    path: '/circuit/:id?',
    lazy: async () => ({ Component: (await import('./pages/editors/CircuitPage')).CircuitPage }),
    shown: { to: '/circuit', name: 'Circuit', icon: Route },
  },
  {
    path: '/circuits/:tab?',
    lazy: async () => ({ Component: (await import('./pages/circuits/CircuitsPage')).CircuitsPage }),
  },
  {
    path: '/plan/:id?',
    lazy: async () => ({ Component: (await import('./pages/editors/PlanPage')).PlanPage }),
    shown: { to: '/plan', name: 'Plan', icon: ClipboardList },
  },
  {
    path: '/decide/:tab?',
    lazy: async () => ({ Component: (await import('./pages/decide/DecidePage')).DecidePage }),
    shown: { to: '/decide', name: 'Decide', icon: Scale },
  },
  {
    path: '/log/:tab?',
    lazy: async () => ({ Component: (await import('./pages/log/LogPage')).LogPage }),
    shown: { to: '/log', name: 'Log', icon: FileClock },
  },
  {
    path: '/new/:step?',
    lazy: async () => ({ Component: (await import('./pages/start/StartPage')).StartPage }),
  },
  {
    path: '/library',
    lazy: async () => ({ Component: (await import('./pages/library/LibraryPage')).LibraryPage }),
    shown: { to: '/library', name: 'Library', icon: LibraryBig },
  },
];
