import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import { say } from '../../../text/en/say/garage';
import { tabsWith } from '../../shared/pageTabs';
import { useFieldOfHash } from '../../shared/useFieldOfHash';
import { VerdictStrip } from '../../shared/VerdictStrip';
import { useSetup } from '../../state/context';
import { useItem } from '../../state/useItem';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { Tip } from '../../ui/Tip';
import { ChainTab } from './ChainTab';

const BalanceTab = lazy(() => import('./BalanceTab').then((m) => ({ default: m.BalanceTab })));
const PedalTab = lazy(() => import('./PedalTab').then((m) => ({ default: m.PedalTab })));
const FailureTab = lazy(() => import('./FailureTab').then((m) => ({ default: m.FailureTab })));
const FitTab = lazy(() => import('./FitTab').then((m) => ({ default: m.FitTab })));
const PartsTab = lazy(() => import('./PartsTab').then((m) => ({ default: m.PartsTab })));

const TABS = tabsWith('garage', {
  chain: ChainTab,
  balance: BalanceTab,
  pedal: PedalTab,
  failure: FailureTab,
  fit: FitTab,
  parts: PartsTab,
});

/** The brake system of the selected plan's car: what it is made of and what it makes of a foot. */
export function GaragePage() {
  const setup = useSetup();
  const { tab = 'chain' } = useParams();
  const editing = useItem('cars', setup.car.id);
  useFieldOfHash();
  const found = TABS.find((t) => t.path === tab);
  if (!editing) return null;
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Garage', setup.car.name]} />
      <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Garage</p>
          <Tip text={setup.car.name}>
            <h1 className="truncate text-[22px] leading-tight">{setup.car.name}</h1>
          </Tip>
        </div>
        <VerdictStrip />
      </header>
      <TabNav
        label="Garage"
        tabs={TABS.map(({ path, name }) => ({ to: `/garage/${path}`, name, open: path === tab }))}
      />
      {View ? (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View key={setup.car.id} editing={editing} />
        </Suspense>
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.garageHasNoChoose(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
