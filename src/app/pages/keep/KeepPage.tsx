import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import { say } from '../../../text/en/say/keep';
import { tabsWith } from '../../shared/pageTabs';
import { useKept } from '../../shared/useKept';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { Tip } from '../../ui/Tip';

const EntriesTab = lazy(() => import('./EntriesTab').then((m) => ({ default: m.EntriesTab })));
const AfterTab = lazy(() => import('./AfterTab').then((m) => ({ default: m.AfterTab })));
const InspectTab = lazy(() => import('./InspectTab').then((m) => ({ default: m.InspectTab })));
const FluidTab = lazy(() => import('./FluidTab').then((m) => ({ default: m.FluidTab })));
const WearTab = lazy(() => import('./WearTab').then((m) => ({ default: m.WearTab })));
const SeasonTab = lazy(() => import('./SeasonTab').then((m) => ({ default: m.SeasonTab })));

const TABS = tabsWith('logbook', {
  entries: EntriesTab,
  after: AfterTab,
  inspect: InspectTab,
  fluid: FluidTab,
  wear: WearTab,
  season: SeasonTab,
});

/** What is kept of a car: what was driven, found and done, what is left, and the year ahead. */
export function KeepPage() {
  const { car } = useSetup();
  const { tab = 'entries' } = useParams();
  const found = TABS.find(({ path }) => path === tab);
  const View = found?.view;
  const kept = useKept();
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Logbook', 'Logbook', car.name]} />
      <header className="min-w-0 print:hidden">
        <p className="caption">Logbook</p>
        <Tip text={car.name}>
          <h1 className="truncate text-[22px] leading-tight">{car.name}</h1>
        </Tip>
      </header>
      <TabNav
        label="Logbook"
        tabs={TABS.map(({ path, name }) => ({ to: `/logbook/${path}`, name, open: path === tab }))}
      />
      {View ? (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View key={car.id} kept={kept} />
        </Suspense>
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.noView(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
