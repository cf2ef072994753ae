import { Activity, BookOpenText, CarFront, FileClock, Route, Scale, Wrench } from 'lucide-react';
import type { ReactElement } from 'react';
import { WorkbenchPage } from './pages/workbench/WorkbenchPage';
import { later } from './shell/later';
import type { PageGroup } from './shell/PageNav';

interface Page {
  readonly path: string;
  readonly element: ReactElement;
}

/** The navigation, in the order of the work. */
export const PAGE_GROUPS: readonly PageGroup[] = [
  {
    name: 'Workbench',
    icon: Activity,
    pages: [
      { to: '/', name: 'Verdict' },
      { to: '/inside', name: 'Inside' },
    ],
  },
  {
    name: 'Car',
    icon: CarFront,
    pages: [
      { to: '/car', name: 'Values' },
      { to: '/garage', name: 'Garage' },
    ],
  },
  { name: 'Circuit', icon: Route, pages: [{ to: '/circuit', name: 'Circuit', also: '/circuits' }] },
  {
    name: 'Plan and decide',
    icon: Scale,
    pages: [
      { to: '/plan', name: 'Plan' },
      { to: '/decide', name: 'Decide' },
    ],
  },
  { name: 'Prepare', icon: Wrench, pages: [{ to: '/prepare', name: 'Prepare' }] },
  {
    name: 'Track',
    icon: FileClock,
    pages: [
      { to: '/test', name: 'Test' },
      { to: '/log', name: 'Log' },
      { to: '/calibrate', name: 'Calibrate' },
      { to: '/happened', name: 'What happened?' },
    ],
  },
  { name: 'Logbook', icon: BookOpenText, pages: [{ to: '/logbook', name: 'Logbook' }] },
];

/** Every page; all but the first one are loaded when they are gone to. */
export const PAGES: readonly Page[] = [
  { path: '/', element: <WorkbenchPage /> },
  {
    path: '/inside',
    element: later(async () => (await import('./pages/inside/InsidePage')).InsidePage),
  },
  {
    path: '/garage/:tab?',
    element: later(async () => (await import('./pages/garage/GaragePage')).GaragePage),
  },
  {
    path: '/car/:id?',
    element: later(async () => (await import('./pages/editors/CarPage')).CarPage),
  },
  {
    path: '/circuit/:id?',
    element: later(async () => (await import('./pages/editors/CircuitPage')).CircuitPage),
  },
  {
    path: '/circuits/:tab?',
    element: later(async () => (await import('./pages/circuits/CircuitsPage')).CircuitsPage),
  },
  {
    path: '/plan/:id?',
    element: later(async () => (await import('./pages/editors/PlanPage')).PlanPage),
  },
  {
    path: '/decide/:tab?',
    element: later(async () => (await import('./pages/decide/DecidePage')).DecidePage),
  },
  {
    path: '/prepare/:tab?',
    element: later(async () => (await import('./pages/prepare/PreparePage')).PreparePage),
  },
  {
    path: '/test/:tab?',
    element: later(async () => (await import('./pages/test/TestPage')).TestPage),
  },
  {
    path: '/log/:tab?',
    element: later(async () => (await import('./pages/log/LogPage')).LogPage),
  },
  {
    path: '/calibrate/:tab?',
    element: later(async () => (await import('./pages/calibrate/CalibratePage')).CalibratePage),
  },
  {
    path: '/happened',
    element: later(async () => (await import('./pages/happened/HappenedPage')).HappenedPage),
  },
  {
    path: '/logbook/:tab?',
    element: later(async () => (await import('./pages/keep/KeepPage')).KeepPage),
  },
  {
    path: '/new/:step?',
    element: later(async () => (await import('./pages/start/StartPage')).StartPage),
  },
  {
    path: '/help',
    element: later(async () => (await import('./pages/help/HelpPage')).HelpPage),
  },
  {
    path: '/library',
    element: later(async () => (await import('./pages/library/LibraryPage')).LibraryPage),
  },
];
