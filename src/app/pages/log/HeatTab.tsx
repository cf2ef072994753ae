import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { LOG_COLUMN_NAMES } from '../../../io';
import { addDrive, driveOf, formatQuantity, type Observation, siText, toShown, unitOf } from '../../../model';
import type { LogAnalysis, MeasuredSeries } from '../../../services';
import { celsius, clockText, doubtNote, PART_NAMES, verdictText } from '../../../text/en';
import { say } from '../../../text/en/say/log';
import { StateMark } from '../../shared/StateMark';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { useEdit } from '../../state/useEdit';
import { AXIS, TOOLTIP } from '../../ui/charts/chartStyle';
import { Key } from '../../ui/charts/Key';
import { SelectField } from '../../ui/SelectField';
import type { LogViewProps } from './logView';
import { MeasuredZones } from './MeasuredZones';

/** The heat computed with the logged trace itself, and what was measured over it. */
export function HeatTab({ entry, analysis }: LogViewProps) {
  const units = useUnits();
  const text = verdictText(analysis.day, units);
  const [channel, setChannel] = useState<string | null>(null);
  const series = analysis.measured.find((s) => s.channel === channel) ?? analysis.measured[0];
  return (
    <>
      <section className="panel px-4 py-3" aria-label="Verdict on the logged drive">
        <p className="flex items-start gap-2.5 text-[16px]" data-testid="logged-verdict">
          <StateMark kind={analysis.day.verdict.kind} className="mt-[3px]" />
          <span>
            As it was driven: <strong className="font-[640]">{text.state}.</strong> {text.sentence}
          </span>
        </p>
        <p className="caption mt-1">
          {say.computedLoggedSpeedsAir(
            begins(analysis),
            siText(analysis.ambient, 'temperature', units),
            analysis.ambientLogged ? 'as logged' : 'from the plan',
            doubtNote(analysis.day.doubt),
          )}
        </p>
      </section>
      {series ? (
        <>
          <Residuals analysis={analysis} />
          <ToCalibration entry={entry} />
          <section className="panel px-3 py-2" aria-label="Measured over predicted">
            <div className="w-[240px]">
              <SelectField
                label="Sensor"
                value={series.channel}
                options={analysis.measured.map((s) => [s.channel, LOG_COLUMN_NAMES[s.channel]] as const)}
                onChange={setChannel}
              />
            </div>
            <Overlay series={series} />
          </section>
        </>
      ) : (
        <section className="panel px-4 py-5">
          <p>{say.logHasNoTemperatures}</p>
          <Predicted analysis={analysis} />
        </section>
      )}
      <MeasuredZones analysis={analysis} />
    </>
  );
}

/** How the brakes began, in words. */
function begins({ begun, setup }: LogAnalysis): string {
  if (begun === 'sensed') return say.brakesWarmLogS;
  return setup.plan.start.kind === 'cold' ? say.brakesColdAir : say.brakesWarmPlanBegins;
}

/** Takes a log's sensors to the calibration of the car. */
function ToCalibration({ entry }: Pick<LogViewProps, 'entry'>) {
  const setup = useSetup();
  const { files } = useBackground();
  const edit = useEdit();
  const navigate = useNavigate();
  const taken = useMutation({
    mutationFn: async () => {
      const as = { ...setup, calibration: null };
      const sensors = await files.call((remote) => remote.sensorReadings(entry.id, as));
      const id = crypto.randomUUID();
      const drive = driveOf(setup, {
        id,
        name: entry.name,
        date: setup.plan.date ?? entry.added.slice(0, 10),
        log: { id: entry.id, name: entry.name },
      });
      const observations = sensors.map(
        ({ channel, wheel, place, samples }): Observation => ({
          kind: 'sensor',
          id: crypto.randomUUID(),
          excluded: null,
          note: '',
          wheel,
          place,
          channel: LOG_COLUMN_NAMES[channel],
          errorK: SENSOR_ERROR,
          samples: [...samples],
        }),
      );
      return { ...drive, observations };
    },
    onSuccess: (drive) => {
      if (edit('New drive', (p) => addDrive(p, drive))) navigate(`/calibrate/readings?drive=${drive.id}`);
    },
  });
  return (
    <section className="panel flex flex-wrap items-center gap-3 px-4 py-3" aria-label="Calibrate">
      <button type="button" className="btn" disabled={taken.isPending} onClick={() => taken.mutate()}>
        Take to the calibration
      </button>
      <p className="max-w-[80ch] text-dim" role={taken.error ? 'alert' : undefined}>
        {taken.error ? say.couldNotLaidOver(entry.name, taken.error.message) : say.takeMeans}
      </p>
    </section>
  );
}

/** Usual error of a logged thermocouple's sample, K (from memory); offset and lag are found besides. */
const SENSOR_ERROR = 12;

function Residuals({ analysis }: { analysis: LogAnalysis }) {
  const units = useUnits();
  const signed = (k: number) => `${k >= 0 ? '+' : '−'}${formatQuantity(Math.abs(k), 'difference', units)}`;
  return (
    <section className="panel overflow-x-auto px-4 py-3" aria-label="Measured less predicted">
      <table className="w-full min-w-[560px] text-left" data-testid="residuals">
        <thead>
          <tr className="caption">
            <th className="py-1 font-normal">Sensor</th>
            <th className="px-2 font-normal">Compared with</th>
            <th className="px-2 text-right font-normal">Mean difference</th>
            <th className="px-2 text-right font-normal">RMS error</th>
            <th className="px-2 text-right font-normal">Highest measured over highest predicted</th>
          </tr>
        </thead>
        <tbody>
          {analysis.measured.map((s) => (
            <tr key={s.channel} className="border-t border-rule/60">
              <td className="py-1">{LOG_COLUMN_NAMES[s.channel]}</td>
              <td className="px-2 text-dim">{PART_NAMES[s.part].name}</td>
              <td className="px-2 text-right">{signed(s.mean)}</td>
              <td className="px-2 text-right">{formatQuantity(s.rms, 'difference', units)}</td>
              <td className="px-2 text-right">{signed(s.peak)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="caption mt-1">{say.measuredLessPredictedRubbing}</p>
    </section>
  );
}

function Overlay({ series }: { series: MeasuredSeries }) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const every = Math.max(1, Math.ceil(series.time.length / 900));
  const data = Array.from(series.time, (t, i) => ({
    t,
    measured: Number(toShown(celsius(series.measured[i]), degree).toFixed(1)),
    predicted: Number(toShown(celsius(series.predicted[i]), degree).toFixed(1)),
  })).filter((_, i) => i % every === 0);
  return <TimeChart data={data} label={degree.label} measured />;
}

function Predicted({ analysis }: { analysis: LogAnalysis }) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const { record } = analysis.day;
  const every = Math.max(1, Math.ceil(record.time.length / 900));
  const values = record.wheels.frontLeft.rotorBulk;
  const data = Array.from(record.time, (t, i) => ({
    t,
    predicted: Number(toShown(celsius(values[i]), degree).toFixed(1)),
  })).filter((_, i) => i % every === 0);
  return <TimeChart data={data} label={degree.label} measured={false} />;
}

function TimeChart({ data, label, measured }: { data: readonly object[]; label: string; measured: boolean }) {
  return (
    <>
      <div className="mt-2 h-[330px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={data as object[]} margin={{ top: 6, right: 12, bottom: 0, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" strokeWidth={0.6} />
            <XAxis
              dataKey="t"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={(v) => `${clockText(v)} min`}
              {...AXIS}
            />
            <YAxis width={62} tickFormatter={(v) => `${v} ${label}`} {...AXIS} />
            <Tooltip
              {...TOOLTIP}
              labelFormatter={(v) => `${clockText(Number(v))} min`}
              formatter={(v) => `${v} ${label}`}
            />
            <Line
              dataKey="predicted"
              name="Predicted"
              stroke="var(--ink)"
              strokeWidth={1.4}
              strokeDasharray={measured ? '5 3' : '0'}
              dot={false}
              isAnimationActive={false}
            />
            {measured && (
              <Line
                dataKey="measured"
                name="Measured"
                stroke="var(--front)"
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            )}
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p className="caption flex flex-wrap gap-4">
        {measured && <Key color="var(--front)">measured</Key>}
        <Key color="var(--ink)" dashed={measured}>
          predicted with the logged trace
        </Key>
      </p>
    </>
  );
}
