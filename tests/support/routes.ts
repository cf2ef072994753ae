import { PAGE_TABS } from '../../src/app/shared/pageTabs';

const tabs = (at: string, page: keyof typeof PAGE_TABS) => PAGE_TABS[page].map(({ path }) => `${at}/${path}`);

/** Every page of the application, each with its tabs. */
export const ROUTES = [
  '/',
  '/inside',
  ...tabs('/garage', 'garage'),
  '/car',
  '/circuit',
  ...tabs('/circuits', 'circuits'),
  '/plan',
  ...tabs('/prepare', 'prepare'),
  ...tabs('/test', 'test'),
  ...tabs('/log', 'log'),
  ...tabs('/calibrate', 'calibrate'),
  '/happened',
  ...tabs('/logbook', 'logbook'),
  ...tabs('/decide', 'decide'),
  '/library',
  '/help',
  ...['car', 'circuit', 'plan'].map((step) => `/new/${step}`),
  '/nowhere',
];
