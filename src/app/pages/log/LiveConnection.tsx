import { say } from '../../../text/en/say/log';
import { useLogs } from '../../state/useLogs';
import { useStandIns } from '../../state/useStandIns';
import { SelectField } from '../../ui/SelectField';
import type { LiveState, LiveView } from './liveRecorder';

/** Where live data come from, and what begins and ends it. */
export interface LiveSource {
  /** The simulated logger, or the id of a kept log */
  readonly from: string;
  readonly setFrom: (from: string) => void;
  /** How many times as fast as driven, as text */
  readonly speed: string;
  readonly setSpeed: (speed: string) => void;
  readonly start: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** Where the data come from, and how it goes. */
export function Connection({
  view,
  connection: { from, setFrom, speed, setSpeed, start, stop },
}: {
  view: LiveView;
  connection: LiveSource;
}) {
  const logs = useLogs();
  const served = useStandIns();
  const running = isRunning(view.state);
  return (
    <section className="panel flex flex-wrap items-end gap-3 px-4 py-3" aria-label="Connection">
      <div className="w-[260px]">
        <SelectField
          label="From"
          value={from}
          options={[
            ['simulated', served ? say.simulatedLogger : say.noSimulatedLogger],
            ...(logs.data ?? []).map((e) => [e.id, `Replay “${e.name}”`] as const),
          ]}
          onChange={setFrom}
        />
      </div>
      <div className="w-[130px]">
        <SelectField
          label="Speed"
          value={speed}
          options={['1', '2', '5', '10', '20', '50'].map(
            (s) => [s, s === '1' ? 'as driven' : `${s} times`] as const,
          )}
          onChange={setSpeed}
        />
      </div>
      {running ? (
        <button type="button" className="btn" onClick={() => void stop()}>
          Stop and keep
        </button>
      ) : (
        <button
          type="button"
          className="btn btn-main"
          disabled={from === 'simulated' && !served}
          onClick={() => void start()}
        >
          {from === 'simulated' ? 'Connect' : 'Replay'}
        </button>
      )}
      <p className="pb-1.5" role="status" data-testid="live-state">
        <strong className={`font-[640] ${view.state === 'lost' ? 'text-close' : ''}`}>
          {STATES[view.state]}
        </strong>
        {view.samples > 0 && ` · ${view.samples} samples, ${view.kept} of them kept`}
        {view.losses > 0 && ` · lost ${view.losses} time${view.losses === 1 ? '' : 's'}`}
        {view.share !== null && ` · ${Math.round(100 * view.share)} %`}
      </p>
    </section>
  );
}

export const isRunning = (state: LiveState) => state === 'live' || state === 'lost' || state === 'connecting';

export const STATES: Readonly<Record<LiveState, string>> = {
  idle: 'Not connected',
  connecting: 'Connecting …',
  live: 'Live',
  lost: say.connectionLostTryingAgain,
  ended: 'Ended',
};
