import { format } from 'date-fns';
import { FlaskConical } from 'lucide-react';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { type BenchResultRow, benchFileOf, readBenchResult, writeBenchProgramme } from '../../../io';
import { addCalibration, dayInput, siShown, siText, unitOf, writeProject } from '../../../model';
import { type BenchFit, type BenchPlan, benchCalibration } from '../../../services';
import { say } from '../../../text/en/say/test';
import { FileDoor } from '../../shared/FileDoor';
import { problemLines } from '../../shell/files';
import { useBackground, useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { Keys } from '../../ui/charts/Keys';
import { LineChart } from '../../ui/charts/LineChart';
import { stopPlaces } from './stopTicks';
import type { TestTabProps } from './tabProps';

/** What a bench measured, laid over the prediction; it can calibrate the axle's cooling. */
export function BenchResults({
  tested,
  plan,
  name,
}: TestTabProps & { readonly plan: BenchPlan; readonly name: string }) {
  const { setup, test } = tested;
  const units = useUnits();
  const project = useProject();
  const edit = useEdit();
  const { decide } = useBackground();
  const [rows, setRows] = useState<readonly BenchResultRow[]>([]);
  const [fit, setFit] = useState<BenchFit | 'running' | null>(null);
  const [running, setRunning] = useState(false);
  const take = (text: string, source: string) => {
    const read = readBenchResult(text);
    if (!read.ok) {
      toast.error(say.benchRefused(source), { description: problemLines(read.problems).join('\n') });
      return;
    }
    const known = read.rows.filter(({ stop }) => stop >= 1 && stop <= plan.programme.stops.length);
    if (known.length < read.rows.length) toast.error(say.benchOtherStops(read.rows.length - known.length));
    setRows(known);
    setFit(null);
  };
  const simulate = async () => {
    setRunning(true);
    try {
      const file = benchFileOf(plan.programme, test.bench, name, plan.ambient);
      const answer = await fetch('/stand-in/bench', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({
          project: writeProject(project),
          plan: setup.plan.id,
          programme: writeBenchProgramme(file),
        }),
      });
      if (!answer.ok) throw new Error(await answer.text());
      take(await answer.text(), say.simulatedBench);
    } catch (error) {
      toast.error(say.benchNotThere((error as Error).message));
    } finally {
      setRunning(false);
    }
  };
  const calibrate = async () => {
    setFit('running');
    const measured = rows.map(({ stop, before, after }) => ({ stop: stop - 1, before, after }));
    const input = dayInput({ ...setup, calibration: null });
    try {
      setFit(await decide.call((remote) => remote.fitBench(input, plan.programme, measured)));
    } catch (error) {
      setFit(null);
      toast.error((error as Error).message);
    }
  };
  const keep = (found: BenchFit) => {
    const record = benchCalibration(setup.car, test.bench.wheel, found, {
      id: crypto.randomUUID(),
      name: say.benchCalibration(format(new Date(), 'd MMM yyyy')),
      date: format(new Date(), 'yyyy-MM-dd'),
    });
    edit('Calibrated by a bench', (p) => addCalibration(p, record), { done: say.benchKept });
  };
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
        <button type="button" className="btn" disabled={running} onClick={() => void simulate()}>
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
              label="Rotor core after each stop, measured over predicted"
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
