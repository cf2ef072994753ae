import type { ComponentType } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { LogEntry } from '../../../storage';
import { say } from '../../../text/en/say/log';
import { tabsWith } from '../../shared/pageTabs';
import { VerdictStrip } from '../../shared/VerdictStrip';
import { useSetup } from '../../state/context';
import { useAnalysis, useOpenLog } from '../../state/useLogs';
import { PageTitle } from '../../ui/PageTitle';
import { TabNav } from '../../ui/TabNav';
import { Tip } from '../../ui/Tip';
import { HeatTab } from './HeatTab';
import { LapsTab } from './LapsTab';
import { LiveTab } from './LiveTab';
import { LogsTab } from './LogsTab';
import type { LogViewProps } from './logView';

const TABS = tabsWith('log', { logs: null, laps: LapsTab, heat: HeatTab, live: null });

/** What was measured: logs from files and live, laid over what is predicted. */
export function LogPage() {
  const { car, circuit } = useSetup();
  const { tab = 'logs' } = useParams();
  const [search] = useSearchParams();
  const found = TABS.find((t) => t.path === tab);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <PageTitle names={[found?.name ?? 'Log']} />
      <header className="flex flex-wrap items-end justify-between gap-x-4 gap-y-1">
        <div className="min-w-0">
          <p className="caption">Log</p>
          <Tip text={`${car.name} at ${circuit.name}`}>
            <h1 className="truncate text-[22px] leading-tight">
              {car.name} at {circuit.name}
            </h1>
          </Tip>
        </div>
        <VerdictStrip />
      </header>
      <TabNav
        label="Log"
        tabs={TABS.map(({ path, name }) => ({
          to: { pathname: `/log/${path}`, search: search.toString() },
          name,
          open: path === tab,
        }))}
      />
      {!found && (
        <p className="panel px-4 py-6" role="alert">
          {say.thereNoViewLog(tab.slice(0, 40))}
        </p>
      )}
      {tab === 'logs' && <LogsTab />}
      {tab === 'live' && <LiveTab />}
      {found?.view && <WithLog view={found.view} />}
    </div>
  );
}

function WithLog({ view: View }: { view: ComponentType<LogViewProps> }) {
  const { entry, pending, missing } = useOpenLog();
  if (pending) return <div className="panel h-64" role="status" aria-label="Looking for logs" />;
  if (!entry) {
    return (
      <p className="panel px-4 py-6" role={missing ? 'alert' : undefined}>
        {missing ? say.browserKeepsNoSuch : say.noLogYet}
        <Link className="underline" to="/log/logs">
          Open a file
        </Link>{' '}
        or{' '}
        <Link className="underline" to="/log/live">
          connect the logger
        </Link>
        .
      </p>
    );
  }
  return <Analysed key={entry.id} entry={entry} view={View} />;
}

function Analysed({ entry, view: View }: { entry: LogEntry; view: ComponentType<LogViewProps> }) {
  const query = useAnalysis(entry.id);
  if (query.isPending) {
    return (
      <p className="panel px-4 py-5 text-dim" role="status">
        Laying “{entry.name}” over the plan …
      </p>
    );
  }
  if (query.error) {
    return (
      <p className="panel px-4 py-5" role="alert">
        {say.couldNotLaidOver(entry.name, query.error.message)}
        <button type="button" className="underline" onClick={() => void query.refetch()}>
          Try again
        </button>
      </p>
    );
  }
  return <View entry={entry} analysis={query.data} />;
}
