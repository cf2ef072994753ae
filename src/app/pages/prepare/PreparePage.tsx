import { lazy, Suspense } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { say } from '../../../text/en/say/prepare';
import { tabsWith } from '../../shared/pageTabs';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { NoWork } from './NoWork';
import { PrepareHead } from './PrepareHead';
import { usePrepared } from './usePrepared';

const JobsTab = lazy(() => import('./JobsTab').then((m) => ({ default: m.JobsTab })));
const ChecksTab = lazy(() => import('./ChecksTab').then((m) => ({ default: m.ChecksTab })));
const BleedTab = lazy(() => import('./BleedTab').then((m) => ({ default: m.BleedTab })));
const BedTab = lazy(() => import('./BedTab').then((m) => ({ default: m.BedTab })));
const HeatTab = lazy(() => import('./HeatTab').then((m) => ({ default: m.HeatTab })));
const WorkshopTab = lazy(() => import('./WorkshopTab').then((m) => ({ default: m.WorkshopTab })));

const TABS = tabsWith('prepare', {
  jobs: JobsTab,
  checks: ChecksTab,
  bleed: BleedTab,
  bed: BedTab,
  heat: HeatTab,
  workshop: WorkshopTab,
});

/** Between choosing parts and driving: fit, bleed, bed. */
export function PreparePage() {
  const { car } = useSetup();
  const { tab = 'jobs' } = useParams();
  const [search] = useSearchParams();
  const prepared = usePrepared();
  const found = TABS.find((t) => t.path === tab);
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Prepare', car.name]} />
      <PrepareHead prepared={prepared} />
      {prepared && (
        <TabNav
          label="Prepare"
          tabs={TABS.map(({ path, name }) => ({
            to: { pathname: `/prepare/${path}`, search: search.toString() },
            name,
            open: path === tab,
          }))}
        />
      )}
      {!prepared ? (
        <NoWork />
      ) : View ? (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View key={prepared.preparation.id} prepared={prepared} />
        </Suspense>
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.noView(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
