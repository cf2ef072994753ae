import { Gauge } from 'lucide-react';
import { useNavigate } from 'react-router';
import { addDrive, runsOf, siText } from '../../../model';
import {
  driveOfRun,
  type RunReport,
  runLog,
  type StopRow,
  setupOfRun,
  type TestAnswer,
} from '../../../services';
import { runSummary, STOP_LIMIT_TEXT } from '../../../text/en';
import { say } from '../../../text/en/say/test';
import { AnswerState } from '../../shared/AnswerState';
import { useBackground, useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Answer } from '../../state/useAnswer';
import { useEdit } from '../../state/useEdit';
import { ForceTable } from '../../ui/WideTable';
import { MeasuredCharts } from './MeasuredCharts';
import { RunChoice } from './RunChoice';
import type { TestTabProps } from './tabProps';

/** One run: every stop put right and named, the prediction beside it. */
export function RunResult({
  tested,
  report,
  reports,
  answer,
}: TestTabProps & {
  readonly report: RunReport;
  readonly reports: readonly RunReport[];
  readonly answer: Answer<TestAnswer>;
}) {
  const units = useUnits();
  const runs = runsOf(tested.test);
  const predicted = answer.data?.stops.filter(({ phase }) => phase !== 'heating') ?? [];
  const metres = (value: number | undefined, signed = false) =>
    value === undefined
      ? ''
      : `${signed && value > 0 ? '+' : ''}${siText(value, 'distance', units, signed ? 2 : 1)}`;
  const at = (row: StopRow) => predicted[row.stop.n - 1];
  return (
    <section className="panel px-4 py-3" aria-label="The run" data-testid="run-result">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        {runs.length > 1 ? (
          <RunChoice runs={runs} id={report.id} />
        ) : (
          <h2 className="text-[15px]">{report.run.name}</h2>
        )}
        <ToCalibration tested={tested} report={report} />
      </div>
      <p className="mt-1.5 max-w-[100ch]">{runSummary(report, units)}</p>
      <AnswerState answer={answer} doing="Driving the same with the engine" />
      <MeasuredCharts reports={reports} open={report.id} predicted={predicted} />
      {report.rows.length > 0 && (
        <ForceTable<StopRow>
          caption="Stops, put right"
          first="Stop"
          rows={report.rows}
          nameOf={({ stop, odd }) => `${stop.n}${odd ? ' (marked)' : ''}`}
          columns={[
            {
              head: 'measured',
              means: say.means.asWrittenDownOrThe,
              cell: (row) => metres(row.corrected?.measured),
            },
            {
              head: 'slope',
              means: say.means.whatTheSlopeTookOff,
              cell: (row) => metres(row.corrected?.bySlope, true),
            },
            {
              head: 'speed',
              means: say.means.byTheSpeedItWas,
              cell: (row) => (
                <span className={row.corrected?.farOff ? 'text-over' : ''}>
                  {metres(row.corrected?.bySpeed, true)}
                </span>
              ),
            },
            {
              head: 'corrected',
              means: say.means.onLevelGroundFromThe,
              cell: (row) => <strong className="font-[620]">{metres(row.corrected?.distance)}</strong>,
            },
            {
              head: 'predicted',
              means: say.means.distanceThatTheEngineHas,
              cell: (row) => metres(at(row)?.distance),
            },
            {
              head: 'mean deceleration',
              means: say.means.meanFullyDevelopedWhereIt,
              cell: (row) =>
                row.deceleration === null ? '' : siText(row.deceleration, 'deceleration', units, 2),
            },
            {
              head: 'pedal',
              means: 'Greatest pedal force',
              cell: (row) => (row.stop.pedalN === null ? '' : siText(row.stop.pedalN, 'force', units)),
            },
            {
              head: 'predicted pedal',
              means: say.means.pedalForceThatTheEngine,
              cell: (row) => (at(row) ? siText(at(row).pedal, 'force', units) : ''),
            },
            {
              head: 'held by',
              means: say.means.whatHeldTheStopBy,
              cell: (row) => STOP_LIMIT_TEXT[row.limit],
            },
          ]}
        />
      )}
      {report.rows.some(({ corrected }) => corrected?.farOff) && <p className="mt-1">{say.farOff}</p>}
      {report.rows.some(({ odd }) => odd) && <p className="mt-1">{say.markedMeans}</p>}
    </section>
  );
}

/** Hands a run's readings to the calibration, as a drive with its speeds as a log. */
function ToCalibration({ tested, report }: TestTabProps & { readonly report: RunReport }) {
  const edit = useEdit();
  const navigate = useNavigate();
  const project = useProject();
  const { files } = useBackground();
  const { run } = report;
  const { design } = tested.test;
  const useful = run.ended?.axle != null || report.rows.some(({ stop }) => stop.temperatureC !== null);
  const raw = useful ? runLog(run, design) : null;
  if (!raw) return null;
  const hand = async () => {
    const ids = { drive: crypto.randomUUID(), log: crypto.randomUUID() };
    await files.call((remote) => remote.keepRecording(ids.log, run.name, raw));
    const setup = setupOfRun(tested.setup, project, run);
    const drive = driveOfRun(setup, run, design, ids, () => crypto.randomUUID());
    if (edit('A test as a drive', (p) => addDrive(p, drive)))
      navigate(`/calibrate/readings?drive=${drive.id}`);
  };
  return (
    <button type="button" className="btn" onClick={() => void hand()}>
      <Gauge size={15} aria-hidden="true" /> Use for calibration
    </button>
  );
}
