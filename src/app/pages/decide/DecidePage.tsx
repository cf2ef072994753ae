import { lazy, Suspense } from 'react';
import { useParams } from 'react-router';
import { circuitProblems } from '../../../model';
import { say } from '../../../text/en/say/decide';
import { tabsWith } from '../../shared/pageTabs';
import { VerdictStrip } from '../../shared/VerdictStrip';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { Tip } from '../../ui/Tip';
import { CoolingTab } from './CoolingTab';

const CompareTab = lazy(() => import('./CompareTab').then((m) => ({ default: m.CompareTab })));
const LadderTab = lazy(() => import('./LadderTab').then((m) => ({ default: m.LadderTab })));
const FindOutTab = lazy(() => import('./FindOutTab').then((m) => ({ default: m.FindOutTab })));
const FirstTab = lazy(() => import('./FirstTab').then((m) => ({ default: m.FirstTab })));
const PaceTab = lazy(() => import('./PaceTab').then((m) => ({ default: m.PaceTab })));
const BiasTab = lazy(() => import('./BiasTab').then((m) => ({ default: m.BiasTab })));
const SureTab = lazy(() => import('./SureTab').then((m) => ({ default: m.SureTab })));
const ExposedTab = lazy(() => import('./ExposedTab').then((m) => ({ default: m.ExposedTab })));
const SheetTab = lazy(() => import('./SheetTab').then((m) => ({ default: m.SheetTab })));

const TABS = tabsWith('decide', {
  first: FirstTab,
  'find-out': FindOutTab,
  cooling: CoolingTab,
  compare: CompareTab,
  next: LadderTab,
  pace: PaceTab,
  balance: BiasTab,
  sure: SureTab,
  exposed: ExposedTab,
  sheet: SheetTab,
});

/** From temperatures to decisions: ducts, parts, pace, balance, and uncertainty. */
export function DecidePage() {
  const setup = useSetup();
  const { tab = 'cooling' } = useParams();
  const found = TABS.find((t) => t.path === tab);
  const obstacle = circuitProblems(setup.circuit).find((problem) => problem.severity === 'error');
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Decide', setup.plan.name]} />
      <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1 print:hidden">
        <div className="min-w-0">
          <p className="caption">Decide</p>
          <Tip text={setup.plan.name}>
            <h1 className="truncate text-[22px] leading-tight">{setup.plan.name}</h1>
          </Tip>
        </div>
        <VerdictStrip />
      </header>
      <TabNav
        label="Decide"
        tabs={TABS.map(({ path, name }) => ({ to: `/decide/${path}`, name, open: path === tab }))}
      />
      {!View ? (
        <p className="panel px-4 py-6" role="alert">
          {say.thereNothingCalledHere(tab.slice(0, 40))}
        </p>
      ) : obstacle ? (
        <p className="panel px-4 py-5" role="alert">
          {say.circuitCannotDrivenYet(obstacle.message)}
        </p>
      ) : (
        <Suspense fallback={<div className="panel h-64" role="status" aria-label="Loading" />}>
          <View key={setup.plan.id} />
        </Suspense>
      )}
    </div>
  );
}
