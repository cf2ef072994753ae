import { useState } from 'react';
import { Link } from 'react-router';
import { CALIBRATED, type ParameterId } from '../../../core';
import { parameterInfo, type StoredDrive } from '../../../model';
import { say } from '../../../text/en/say/calibrate';
import { CheckField } from '../../ui/CheckField';
import { Disclosure } from '../../ui/Disclosure';
import { Tip } from '../../ui/Tip';
import { FitResults } from './FitResults';
import { useDrives } from './useDrives';
import { type EstimateAsked, useEstimate } from './useEstimate';

const usable = (drive: StoredDrive) => drive.observations.some(({ excluded }) => excluded === null);

/** What the drives of a car say of it together. */
export function FitTab() {
  const { own, others } = useDrives();
  const drives = own.filter(usable);
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [parameters, setParameters] = useState<readonly ParameterId[] | null>(null);
  if (drives.length === 0) {
    return (
      <p className="panel max-w-[80ch] px-4 py-5">
        {own.length > 0 ? say.nothingObserved : say.noDriveYet}{' '}
        <Link className="underline" to="/calibrate/readings">
          Readings
        </Link>
        {others > 0 && ` ${say.drivesOfOthers(others)}`}
      </p>
    );
  }
  const asked: EstimateAsked = {
    fitted: drives.filter(({ id }) => !out.has(id)),
    heldOut: drives.filter(({ id }) => out.has(id)),
    parameters,
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel grid gap-3 px-4 py-3 lg:grid-cols-2" aria-label="What is fitted">
        <div>
          <h2 className="text-[15px]">Drives</h2>
          <p className="caption">{say.heldOutAre}</p>
          <ul className="mt-1 grid gap-2.5">
            {drives.map(({ id, name, date }) => (
              <li key={id}>
                <CheckField
                  checked={!out.has(id)}
                  onChange={(fitted) =>
                    setOut(new Set(fitted ? [...out].filter((o) => o !== id) : [...out, id]))
                  }
                >
                  {name}, {date}
                </CheckField>
              </li>
            ))}
          </ul>
        </div>
        <Disclosure
          open={parameters !== null}
          summary={
            <>
              What is free:{' '}
              {parameters === null ? 'what the readings can tell' : `${parameters.length} chosen`}
            </>
          }
        >
          <ul className="mt-1.5 grid gap-2.5 sm:grid-cols-2">
            {CALIBRATED.map((id) => {
              const { title, description } = parameterInfo(id);
              return (
                <li key={id}>
                  <CheckField
                    checked={parameters?.includes(id) ?? false}
                    onChange={(free) => {
                      const rest = (parameters ?? []).filter((own_) => own_ !== id);
                      const next = CALIBRATED.filter((own_) => rest.includes(own_) || (free && own_ === id));
                      setParameters(next.length === 0 ? null : next);
                    }}
                  >
                    <Tip text={description}>
                      <span>{title}</span>
                    </Tip>
                  </CheckField>
                </li>
              );
            })}
          </ul>
          <p className="caption mt-1">{say.noneChosen}</p>
        </Disclosure>
      </section>
      <Estimating asked={asked} />
    </div>
  );
}

function Estimating({ asked }: { readonly asked: EstimateAsked }) {
  const estimate = useEstimate(asked);
  const { done, progress } = estimate;
  const none = asked.fitted.length === 0;
  return (
    <>
      <section className="panel px-4 py-3" data-testid="estimate-state">
        {estimate.running ? (
          <div className="flex flex-wrap items-center gap-3" role="status">
            <button type="button" className="btn" onClick={estimate.cancel}>
              Cancel
            </button>
            <span>
              {progress?.state
                ? say.searching(progress.state.steps, progress.runs)
                : say.looking(progress?.runs ?? 0)}
            </span>
          </div>
        ) : (
          <div className="flex flex-wrap items-center gap-3">
            <button
              type="button"
              className="btn btn-main"
              onClick={estimate.run}
              disabled={none || estimate.waiting}
            >
              {estimate.canGoOn ? 'Go on' : done ? 'Calibrate again' : 'Calibrate'}
            </button>
            <p role={estimate.error || estimate.logError ? 'alert' : 'status'} className="text-dim">
              {none ? say.chooseADrive : statusOf(estimate)}
            </p>
          </div>
        )}
      </section>
      {done && <FitResults done={done} />}
    </>
  );
}

function statusOf(estimate: ReturnType<typeof useEstimate>): string {
  const { logError, error, waiting, cancelled, done, progress } = estimate;
  if (logError) return say.logIsGone(logError);
  if (error) return say.couldNotEstimate(error.message);
  if (waiting) return 'Reading the log …';
  if (cancelled) return say.cancelledAt(progress?.runs ?? 0);
  return done ? say.took(done.answer.fit.runs, done.seconds.toFixed(1)) : say.whatItDoes;
}
