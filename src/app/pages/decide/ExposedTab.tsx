import { Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { QUESTION } from '../../../compute';
import {
  type Car,
  EXPOSED_KIND_IDS,
  EXPOSED_KINDS,
  type Exposed,
  type ExposedKind,
  formatQuantity,
  siText,
  starterExposed,
  toShown,
  unitOf,
} from '../../../model';
import type { ExposedReport, ExposedReports, ProtectionKind } from '../../../services';
import { celsius, clockText, explainExposed } from '../../../text/en';
import { AxleField } from '../../shared/AxleField';
import { How } from '../../shared/How';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useBackground, useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import { type Editing, useItem } from '../../state/useItem';
import { useSettled } from '../../state/useSettled';
import { Key } from '../../ui/charts/Key';
import { LineChart } from '../../ui/charts/LineChart';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { AnswerState } from './AnswerState';
import { useAnswer } from './useAnswer';

const QUIET = 400;
const WAYS: Readonly<Record<ProtectionKind, { name: string; color: string; dash: string }>> = {
  none: { name: 'as it is', color: 'var(--front)', dash: '' },
  shield: { name: 'behind a bright shield', color: 'var(--act)', dash: '8 3' },
  sleeve: { name: 'in a bright sleeve', color: 'var(--rear)', dash: '4 3' },
  moved: { name: 'moved away', color: 'var(--close)', dash: '2 3' },
};

/** Leads, hoses, boots and seals near brakes and exhaust: how hot they get, and what would help. */
export function ExposedTab() {
  const setup = useSetup();
  const { decide } = useBackground();
  const editing = useItem('cars', setup.car.id);
  const settled = useSettled(setup, QUIET);
  const [kind, setKind] = useState<ExposedKind>('lead');
  const { exposed, driverSide } = setup.car;
  const answer = useAnswer<ExposedReports>(
    settled && settled.car.exposed.length > 0 ? QUESTION.exposed(settled) : null,
    (signal) => decide.call((remote) => remote.exposed(settled ?? setup), signal),
  );
  if (!editing) return null;
  const reports = answer.data;
  const fresh = (): Exposed => {
    const part = starterExposed(kind, crypto.randomUUID());
    const taken = exposed.map((e) => e.name);
    for (let n = 2; taken.includes(part.name); n++) part.name = `${EXPOSED_KINDS[kind].name} ${n}`;
    return part;
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <section className="panel grid items-end gap-x-5 gap-y-3 px-4 py-3 sm:grid-cols-[160px_230px_auto_minmax(0,1fr)]">
        <SelectField
          label="Driver sits"
          value={driverSide}
          options={[
            ['left', 'Left'],
            ['right', 'Right'],
          ]}
          onChange={(side) => editing.set(['driverSide'], side, 'Driver’s side')}
        />
        <SelectField
          label="What is near something hot"
          value={kind}
          options={EXPOSED_KIND_IDS.map((id) => [id, EXPOSED_KINDS[id].name] as const)}
          onChange={setKind}
        />
        <button
          type="button"
          className="btn btn-main"
          disabled={exposed.length >= 20}
          onClick={() =>
            editing.replace({ ...editing.item, exposed: [...exposed, fresh()] }, 'Part near something hot')
          }
        >
          Add it
        </button>
        <p className="caption">
          Radiation by the part of its view that the hot face fills, r²/(r² + x²), warmed air, what it is
          fixed to, and the air that passes. Materials and surfaces are typical ones, from memory.
        </p>
      </section>
      {exposed.length === 0 ? (
        <p className="panel px-4 py-6 text-dim">
          Nothing is listed for this car. Sensor leads, hoses and boots near a disc are what melts first: add
          what you can see from the wheel.
        </p>
      ) : (
        <>
          {(!reports || answer.behind || answer.error) && (
            <section className="panel px-4 py-3">
              <AnswerState answer={answer} doing="Driving the day past them" />
            </section>
          )}
          {exposed.map((part, i) => {
            const report = reports?.parts.find((p) => p.id === part.id) ?? null;
            return (
              <PartPanel
                key={part.id}
                part={part}
                index={i}
                editing={editing}
                report={report}
                minutes={reports?.minutes ?? null}
                behind={answer.behind}
              />
            );
          })}
          <p className="caption px-1">
            Shields and sleeves must not rub, come loose or keep water in; nothing may touch wheel or tyre at
            full lock and full travel. Hot parts burn for half an hour. Ratings are the maker’s to give.
          </p>
        </>
      )}
    </div>
  );
}

function PartPanel({
  part,
  index,
  editing,
  report,
  minutes,
  behind,
}: {
  part: Exposed;
  index: number;
  editing: Editing<'cars'>;
  report: ExposedReport | null;
  minutes: Float32Array | null;
  behind: boolean;
}) {
  const units = useUnits();
  const car: Car = editing.item;
  const setup = useSetup();
  const at = (key: keyof Exposed) => ['exposed', index, key] as const;
  const field = (key: keyof Exposed) => <Field key={key} shelf="cars" editing={editing} path={at(key)} />;
  const near = EXPOSED_KINDS[part.kind].source;
  const temperature = (kelvin: number) => siText(kelvin, 'temperature', units);
  const side = (which: Exposed['side']) =>
    (which === 'driver') === (car.driverSide === 'left') ? 'left' : 'right';
  const bare = report?.ways.find((way) => way.kind === 'none');
  return (
    <section className={`panel px-4 py-3 ${behind ? 'opacity-70' : ''}`} aria-label={part.name}>
      <div className="flex flex-wrap items-center gap-3">
        <div className="w-[min(280px,100%)]">
          <TextField
            compact
            required
            longest={80}
            label={`Name of part ${index + 1}`}
            value={part.name}
            onCommit={(name) => editing.set(at('name'), name, 'Name of a part')}
          />
        </div>
        {bare && report && (
          <p className="flex items-center gap-1.5">
            <StateMark
              kind={
                bare.peak > report.rating
                  ? 'over-limit'
                  : bare.peak > report.rating - 20
                    ? 'close'
                    : 'within-limits'
              }
              className="h-[15px] w-[15px]"
            />
            <span>
              <strong className="font-[640]">{temperature(bare.peak)}</strong> of {temperature(report.rating)}
              , hottest {bare.standing ? 'standing' : 'driving'} at {clockText(bare.minutes * 60)} min
              {bare.over > 0 && `; over its rating for ${Math.round(100 * bare.over)} % of the day`}. On the{' '}
              {part.side === 'driver' ? 'passenger’s' : 'driver’s'} side {temperature(report.otherSide)}.{' '}
              <How
                name={`the temperature of ${part.name}`}
                told={() => explainExposed(part, report, setup, units)}
              />
            </span>
          </p>
        )}
        <span className="ml-auto">
          <IconButton
            icon={Trash2}
            name={`Remove ${part.name}`}
            title="Remove"
            onClick={() =>
              editing.replace(
                { ...car, exposed: car.exposed.filter((e) => e.id !== part.id) },
                'Part removed',
              )
            }
          />
        </span>
      </div>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-5 gap-y-3 lg:grid-cols-[minmax(0,1fr)_420px]">
        <div className="grid content-start gap-x-5 gap-y-3 sm:grid-cols-2 xl:grid-cols-3">
          <SelectField
            label="Kind"
            value={part.kind}
            options={EXPOSED_KIND_IDS.map((id) => [id, EXPOSED_KINDS[id].name] as const)}
            onChange={(kind) => editing.set(at('kind'), kind, 'Kind of a part')}
            note={`Faces ${near === 'rotor' ? 'the rotor' : 'the exhaust'}${EXPOSED_KINDS[part.kind].contact === 'none' ? '' : `, fixed to the ${EXPOSED_KINDS[part.kind].contact}`}.`}
          />
          {near === 'rotor' && (
            <AxleField
              value={part.axle}
              onChange={(axle) => editing.set(at('axle'), axle, 'Axle of a part')}
            />
          )}
          <SelectField
            label="Side"
            value={part.side}
            options={[
              ['driver', `Driver’s (${side('driver')})`],
              ['passenger', `Passenger’s (${side('passenger')})`],
            ]}
            onChange={(value) => editing.set(at('side'), value, 'Side of a part')}
          />
          {(['distanceMm', 'viewPercent', 'airPercent', 'ratingC', 'movedMm'] as const).map(field)}
          {near === 'exhaust' && (['exhaustC', 'exhaustMm'] as const).map(field)}
        </div>
        {report && minutes && <Ways report={report} minutes={minutes} />}
      </div>
    </section>
  );
}

function Ways({ report, minutes }: { report: ExposedReport; minutes: Float32Array }) {
  const units = useUnits();
  const degree = unitOf('temperature', units);
  const { lines, rules } = useMemo(() => {
    const shown = (kelvin: number) => toShown(celsius(kelvin), degree);
    return {
      lines: report.ways.map(({ kind, curve }) => ({
        name: WAYS[kind].name,
        color: WAYS[kind].color,
        ...(WAYS[kind].dash && { dash: WAYS[kind].dash }),
        x: minutes,
        y: Float64Array.from(curve, shown),
      })),
      rules: [{ at: 'y' as const, value: shown(report.rating), color: 'var(--over)', text: 'rating' }],
    };
  }, [report, minutes, degree]);
  return (
    <div>
      <LineChart
        label="Temperature over the day, as it is and with each protection"
        height={200}
        unit={degree.label}
        lines={lines}
        rules={rules}
        placeText={(v) => `${Math.round(v)} min`}
        valueText={(v) => v.toFixed(0)}
      />
      <table className="mt-1 w-full text-[13px]">
        <caption className="sr-only">Highest temperature as it is and with each protection</caption>
        <tbody>
          {report.ways.map(({ kind, peak }) => {
            const left = report.rating - peak;
            return (
              <tr key={kind} className="border-t border-rule/60">
                <th className="py-0.5 text-left font-[520]">
                  <Key color={WAYS[kind].color} dashed={WAYS[kind].dash !== ''}>
                    {WAYS[kind].name}
                  </Key>
                </th>
                <td className="text-right">{siText(peak, 'temperature', units)}</td>
                <td className={`w-[96px] text-right ${left < 0 ? 'font-[620] text-over' : ''}`}>
                  {formatQuantity(Math.abs(left), 'difference', units)} {left < 0 ? 'over' : 'left'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
