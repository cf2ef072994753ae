import { useParams } from 'react-router';
import { say } from '../../../text/en/say/circuits';
import { CircuitTabs } from '../../shared/CircuitTabs';
import { tabsWith } from '../../shared/pageTabs';
import { VerdictStrip } from '../../shared/VerdictStrip';
import { useSetup } from '../../state/context';
import { PageTitle } from '../../ui/PageTitle';
import { Tip } from '../../ui/Tip';
import { ImportTab } from './ImportTab';
import { MapTab } from './MapTab';
import { SeverityTab } from './SeverityTab';

const TABS = tabsWith('circuits', { map: MapTab, severity: SeverityTab, import: ImportTab });

/** Circuits as maps, as demands on brakes, and from files. */
export function CircuitsPage() {
  const { circuit } = useSetup();
  const { tab = 'map' } = useParams();
  const found = TABS.find(({ path }) => path === tab);
  const View = found?.view;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Circuits', circuit.name]} />
      <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Circuit</p>
          <Tip text={circuit.name}>
            <h1 className="truncate text-[22px] leading-tight">{circuit.name}</h1>
          </Tip>
        </div>
        <VerdictStrip />
      </header>
      <CircuitTabs />
      {View ? (
        <View />
      ) : (
        <p className="panel px-4 py-6" role="alert">
          {say.thereNoViewCircuits(tab.slice(0, 40))}
        </p>
      )}
    </div>
  );
}
