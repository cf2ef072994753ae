import { FlaskConical } from 'lucide-react';
import { useMemo } from 'react';
import { siShown, siText, unitOf } from '../../../model';
import type { BenchPlan } from '../../../services';
import { say } from '../../../text/en/say/test';
import { FileDoor } from '../../shared/FileDoor';
import { useUnits } from '../../state/preferences';
import { useStandIns } from '../../state/useStandIns';
import { Keys } from '../../ui/charts/Keys';
import { LineChart } from '../../ui/charts/LineChart';
import { stopPlaces } from './stopTicks';
import type { TestTabProps } from './tabProps';
import { useBenchResults } from './useBenchResults';

/** What a bench measured, laid over the prediction; it can calibrate the axle's cooling. */
export function BenchResults({
  tested,
  plan,
  name,
}: TestTabProps & { readonly plan: BenchPlan; readonly name: string }) {
  const { test } = tested;
  const units = useUnits();
  const served = useStandIns();
  const { rows, fit, running, take, simulate, calibrate, keep } = useBenchResults(tested, plan, name);
  const lines = useMemo(() => {
    const shown = (kelvin: number) => siShown(kelvin, 'temperature', units);
    return [
      {
        name: 'measured',
        color: 'var(--over)',
        x: rows.map(({ stop }) => stop),
        y: rows.map(({ after }) => shown(after)),
      },
      {
        name: 'predicted',
        color: 'var(--ink)',
        dash: '5 3',
        x: rows.map(({ stop }) => stop),
        y: rows.map(({ stop }) => shown(plan.predicted.stops[stop - 1].after)),
      },
    ];
  }, [rows, plan, units]);
  const difference = (kelvin: number) => siText(kelvin, 'difference', units);
  return (
    <section className="panel px-4 py-3" aria-label="Results of the bench" data-testid="bench-results">
      <h2 className="text-[15px]">Results of the bench</h2>
      <div className="mt-1.5 flex flex-wrap gap-2">
        <FileDoor
          kind="bench"
          label="Results as CSV"
          testId="bench-file"
          samples={[]}
          quiet
          onFile={(file) => void file.text().then((text) => take(text, file.name))}
        />
        <button type="button" className="btn" disabled={running || !served} onClick={() => void simulate()}>
          <FlaskConical size={15} aria-hidden="true" /> {running ? 'Running …' : 'Simulated bench'}
        </button>
        {rows.length > 0 && (
          <button type="button" className="btn" disabled={fit === 'running'} onClick={() => void calibrate()}>
            {fit === 'running' ? 'Fitting …' : 'Fit the cooling'}
          </button>
        )}
      </div>
      {rows.length === 0 ? (
        <p className="caption mt-1.5">{say.noBenchResults}</p>
      ) : (
        <>
          <div className="mt-2">
            <LineChart
              label={say.means.rotorCoreAfterEachStop}
              height={200}
              unit={`${unitOf('temperature', units).label}, rotor core after the stop`}
              lines={lines}
              {...stopPlaces}
            />
            <Keys lines={lines} />
          </div>
          {fit !== null && fit !== 'running' && (
            <div className="mt-1.5 flex flex-wrap items-center gap-3" data-testid="bench-fit">
              <p>
                {say.benchFit(
                  test.bench.wheel.startsWith('front') ? 'front' : 'rear',
                  fit.cooling.toFixed(2),
                  Math.round(100 * 1.96 * fit.spread),
                  difference(fit.before),
                  difference(fit.after),
                )}
              </p>
              <button type="button" className="btn btn-main" onClick={() => keep(fit)}>
                Keep as calibration
              </button>
            </div>
          )}
          <p className="caption mt-1">{say.benchCooling}</p>
        </>
      )}
    </section>
  );
}
