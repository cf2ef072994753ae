import { lazy, Suspense } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { say } from '../../../text/en/say/calibrate';
import { CalibrationLine } from '../../shared/CalibrationLine';
import { tabsWith } from '../../shared/pageTabs';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { Tip } from '../../ui/Tip';
import { ReadingsTab } from './ReadingsTab';

const FitTab = lazy(() => import('./FitTab').then((m) => ({ default: m.FitTab })));
const NextTab = lazy(() => import('./NextTab').then((m) => ({ default: m.NextTab })));
const KeptTab = lazy(() => import('./KeptTab').then((m) => ({ default: m.KeptTab })));

const TABS = tabsWith('calibrate', { readings: ReadingsTab, fit: FitTab, next: NextTab, kept: KeptTab });

/** From what was measured at the track to a prediction that has learned from it. */
export function CalibratePage() {
  const { car } = useSetup();
  const { tab = 'readings' } = useParams();
  const [search] = useSearchParams();
  const found = TABS.find((t) => t.path === tab);
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Calibrate', car.name]} />
      <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Calibrate</p>
          <Tip text={car.name}>
            <h1 className="truncate text-[22px] leading-tight">{car.name}</h1>
          </Tip>
        </div>
        <CalibrationLine />
      </header>
      <TabNav
        label="Calibrate"
        tabs={TABS.map(({ path, name }) => ({
          to: { pathname: `/calibrate/${path}`, search: search.toString() },
          name,
          open: path === tab,
        }))}
      />
      {View ? (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View />
        </Suspense>
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.thereNoView(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
