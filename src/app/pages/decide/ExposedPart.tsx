import { Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import {
  type Car,
  EXPOSED_KIND_IDS,
  EXPOSED_KINDS,
  type Exposed,
  formatQuantity,
  type Setup,
  siText,
  toShown,
  type UnitChoice,
  unitOf,
} from '../../../model';
import type { ExposedReport, ProtectionKind } from '../../../services';
import { celsius, clockText, explainExposed } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AxleField } from '../../shared/AxleField';
import { How } from '../../shared/How';
import { Field } from '../../shared/Section';
import { StateMark } from '../../shared/StateMark';
import { useSetup } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Editing } from '../../state/useItem';
import { Key } from '../../ui/charts/Key';
import { LineChart } from '../../ui/charts/LineChart';
import { IconButton } from '../../ui/IconButton';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

export function PartPanel({
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
      <PartHead
        index={index}
        part={part}
        editing={editing}
        at={at}
        bare={bare}
        report={report}
        temperature={temperature}
        setup={setup}
        units={units}
        car={car}
      />
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
          <SelectField
            label="On it already"
            value={part.protection}
            options={[
              ['none', 'nothing'],
              ['shield', 'heat shield'],
              ['sleeve', 'reflective sleeve'],
              ...(near === 'exhaust' ? ([['wrap', 'exhaust wrap']] as const) : []),
            ]}
            onChange={(value) => editing.set(at('protection'), value, 'Protection of a part')}
          />
          {(['distanceMm', 'viewPercent', 'airPercent', 'ratingC', 'movedMm'] as const).map(field)}
          {near === 'exhaust' && (['exhaustC', 'exhaustMm'] as const).map(field)}
        </div>
        {report && minutes && <Ways report={report} minutes={minutes} />}
      </div>
    </section>
  );
}

/** Its name, its verdict, and the way to remove it. */
export function PartHead({
  index,
  part,
  editing,
  at,
  bare,
  report,
  temperature,
  setup,
  units,
  car,
}: {
  index: number;
  part: Exposed;
  editing: Editing<'cars'>;
  at: (key: keyof Exposed) => readonly ['exposed', number, keyof Exposed];
  bare: ExposedReport['ways'][number] | undefined;
  report: ExposedReport | null;
  temperature: (kelvin: number) => string;
  setup: Setup;
  units: UnitChoice;
  car: Car;
}) {
  return (
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
            <strong className="font-[640]">{temperature(bare.peak)}</strong> of {temperature(report.rating)},
            hottest {bare.standing ? 'standing' : 'driving'} at {clockText(bare.minutes * 60)} min
            {bare.over > 0 && say.overRatingDay(Math.round(100 * bare.over))}. On the{' '}
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
            editing.replace({ ...car, exposed: car.exposed.filter((e) => e.id !== part.id) }, 'Part removed')
          }
        />
      </span>
    </div>
  );
}

export function Ways({ report, minutes }: { report: ExposedReport; minutes: Float32Array }) {
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
        label={say.temperatureOverDayEach}
        height={200}
        unit={degree.label}
        lines={lines}
        rules={rules}
        placeText={(v) => `${Math.round(v)} min`}
        valueText={(v) => v.toFixed(0)}
      />
      <table className="mt-1 w-full text-[13px]">
        <caption className="sr-only">{say.highestTemperatureEachProtection}</caption>
        <tbody>
          {report.ways.map(({ kind, peak }) => {
            const left = report.rating - peak;
            return (
              <tr key={kind} className="border-t border-rule/60">
                <th className="py-0.5 text-left font-[520]">
                  <Key color={WAYS[kind].color} dashed={WAYS[kind].dash}>
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

export const WAYS: Readonly<Record<ProtectionKind, { name: string; color: string; dash: string }>> = {
  none: { name: 'as it is', color: 'var(--front)', dash: '' },
  shield: { name: 'behind a bright shield', color: 'var(--act)', dash: '8 3' },
  sleeve: { name: 'in a bright sleeve', color: 'var(--rear)', dash: '4 3' },
  wrap: { name: 'exhaust wrapped', color: 'var(--ink)', dash: '1 3' },
  moved: { name: 'moved away', color: 'var(--close)', dash: '2 3' },
};
