import { format } from 'date-fns';
import { useState } from 'react';
import { type BenchResultRow, benchFileOf, readBenchResult, writeBenchProgramme } from '../../../io';
import { addCalibration, dayInput, writeProject } from '../../../model';
import { type BenchFit, type BenchPlan, benchCalibration } from '../../../services';
import { say } from '../../../text/en/say/test';
import { problemLines } from '../../shell/files';
import { useBackground, useProject } from '../../state/context';
import { useEdit } from '../../state/useEdit';
import { ownAddress } from '../../ui/ownAddress';
import { toast } from '../../ui/toast';
import type { Tested } from './useTested';

/** What a bench measured: read from a file or from the simulated bench, fitted, kept. */
export function useBenchResults(tested: Tested, plan: BenchPlan, name: string) {
  const { setup, test } = tested;
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
      const answer = await fetch(ownAddress('stand-in/bench'), {
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
  return { rows, fit, running, take, simulate, calibrate, keep };
}
