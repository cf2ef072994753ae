import { Timer } from 'lucide-react';
import { lazy, Suspense } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { say } from '../../../text/en/say/test';
import { tabsWith } from '../../shared/pageTabs';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { TestHead } from './TestHead';
import { useBeginTest } from './useBeginTest';
import { useTested } from './useTested';

const DesignTab = lazy(() => import('./DesignTab').then((m) => ({ default: m.DesignTab })));
const RecordTab = lazy(() => import('./RecordTab').then((m) => ({ default: m.RecordTab })));
const EvaluateTab = lazy(() => import('./EvaluateTab').then((m) => ({ default: m.EvaluateTab })));
const SetupsTab = lazy(() => import('./SetupsTab').then((m) => ({ default: m.SetupsTab })));
const TechniqueTab = lazy(() => import('./TechniqueTab').then((m) => ({ default: m.TechniqueTab })));
const BenchTab = lazy(() => import('./BenchTab').then((m) => ({ default: m.BenchTab })));

const TABS = tabsWith('test', {
  design: DesignTab,
  record: RecordTab,
  evaluate: EvaluateTab,
  setups: SetupsTab,
  technique: TechniqueTab,
  bench: BenchTab,
});

/** Tests: what should come out, what came out, and what the figures can carry. */
export function TestPage() {
  const { car } = useSetup();
  const { tab = 'design' } = useParams();
  const [search] = useSearchParams();
  const tested = useTested();
  const begin = useBeginTest();
  const found = TABS.find((t) => t.path === tab);
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Test', car.name]} />
      <TestHead tested={tested} />
      {tested && (
        <TabNav
          label="Test"
          tabs={TABS.map(({ path, name }) => ({
            to: { pathname: `/test/${path}`, search: search.toString() },
            name,
            open: path === tab,
          }))}
        />
      )}
      {!tested ? (
        <section className="panel max-w-[86ch] px-4 py-5">
          <p>{say.nothingTested(car.name)}</p>
          <button type="button" className="btn btn-main mt-3" onClick={() => begin(car)}>
            <Timer size={15} aria-hidden="true" /> Design a test
          </button>
        </section>
      ) : View ? (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View key={tested.test.id} tested={tested} />
        </Suspense>
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.noView(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
