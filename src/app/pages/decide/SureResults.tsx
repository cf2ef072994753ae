import { useEffect, useMemo, useState } from 'react';
import {
  type AxleInput,
  type AxleName,
  BAND_SHARES,
  CURVE_PARTS,
  type CurvePart,
  type LimitRisk,
  type RunStatistics,
  rubbedMaterial,
  runLayout,
} from '../../../core';
import {
  dayInput,
  formatQuantity,
  parameterInfo,
  type Setup,
  toShown,
  uncertainRanges,
  unitOf,
} from '../../../model';
import { ANY_DRIVER, celsius, explainChances, LIMIT_TEXT, PART_NAMES } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { AxleField } from '../../shared/AxleField';
import { How } from '../../shared/How';
import { useUnits } from '../../state/preferences';
import { LineChart } from '../../ui/charts/LineChart';
import { ScrollPanel } from '../../ui/ScrollPanel';
import { SelectField } from '../../ui/SelectField';

const nameOf = ({ axle, part }: Pick<LimitRisk, 'axle' | 'part'>) =>
  axle ? `${axle} ${LIMIT_TEXT[part].name}` : LIMIT_TEXT[part].title.toLowerCase();
const keyOf = ({ axle, part }: Pick<LimitRisk, 'axle' | 'part'>) => `${axle ?? 'car'}/${part}`;
const chance = (share: number) =>
  share === 0
    ? '0 %'
    : share < 0.005
      ? '< 0.5 %'
      : share > 0.995 && share < 1
        ? '> 99.5 %'
        : `${Math.round(100 * share)} %`;

/** What the uncertain runs say: chances lap by lap, bands on the curves, what matters. */
export function SureResults({ statistics, setup }: { statistics: RunStatistics; setup: Setup }) {
  const { risks, anyBy, runs } = statistics;
  const units = useUnits();
  const likely = [...risks].sort(
    (a, b) => (b.passedBy.at(-1) ?? 0) - (a.passedBy.at(-1) ?? 0) || a.margin[0] - b.margin[0],
  );
  const [picked, setPicked] = useState<string | null>(null);
  // One panel after the other, each a task of its own: the page answers between them.
  const [panels, setPanels] = useState(0);
  useEffect(() => {
    if (panels >= 3) return;
    const timer = setTimeout(() => setPanels(panels + 1));
    return () => clearTimeout(timer);
  }, [panels]);
  const risk = risks.find((r) => keyOf(r) === picked) ?? likely[0];
  const any = anyBy.at(-1) ?? 0;
  return (
    <>
      <section className="panel px-4 py-3" aria-label="How likely" aria-live="polite">
        <p className="text-[16px] leading-snug">
          <strong className="font-[660]">{say.daysSomethingPassesLimit(chance(any), runs)}</strong>{' '}
          {any > 0
            ? `Likeliest: ${nameOf(likely[0])}, in ${chance(likely[0].passedBy.at(-1) ?? 0)}.`
            : `Closest: ${nameOf(likely[0])}.`}{' '}
          {mattersText(risk, setup)}
        </p>
        <p className="caption mt-1">
          {say.chancesModelTheseRanges}
          <How name="the chances" told={() => explainChances(statistics, risk, setup, units)} />
        </p>
      </section>
      {panels > 0 && <Chances statistics={statistics} setup={setup} risks={likely} />}
      {panels > 1 && <Bands statistics={statistics} setup={setup} />}
      {panels > 2 && <Matters risk={risk} risks={likely} setup={setup} onPick={setPicked} />}
    </>
  );
}

function mattersText(risk: LimitRisk, setup: Setup): string {
  const inputs = uncertainRanges(setup.plan.uncertain, setup.calibration).map(({ input }) => input);
  const [first] = inputs
    .map((input, i) => ({ input, share: risk.matters[i] }))
    .sort((a, b) => b.share - a.share);
  if (!first || first.share < 0.05) return '';
  return say.whatMattersMost(parameterInfo(first.input).title.toLowerCase());
}

function lapNames(setup: Setup): string[] {
  const names = setup.plan.sessions.flatMap((session) =>
    session.legs.flatMap((leg) => ('laps' in leg ? Array.from({ length: leg.laps }, () => leg.kind) : [])),
  );
  return names.map((kind, i) => `${i + 1}${kind === 'hot' ? '' : kind === 'out' ? ' out' : ' cool'}`);
}

function Chances({
  statistics,
  setup,
  risks,
}: {
  statistics: RunStatistics;
  setup: Setup;
  risks: readonly LimitRisk[];
}) {
  const laps = lapNames(setup);
  const shown = risks.filter((risk) => (risk.passedBy.at(-1) ?? 0) > 0);
  return (
    <ScrollPanel label="Chance of each limit by lap">
      <h2 className="text-[15px]">{say.chanceLimitHasBeen}</h2>
      {shown.length === 0 ? (
        <p className="mt-1">{say.noLimitPassedAny}</p>
      ) : (
        <table className="mt-1.5 border-collapse text-right text-[12.5px] narrow">
          <thead>
            <tr className="caption">
              <th className="pr-3 text-left font-normal">Limit · lap</th>
              {laps.map((name) => (
                <th key={name} className="px-1.5 font-normal">
                  {name}
                </th>
              ))}
              <th className="px-1.5 font-normal">parked</th>
            </tr>
          </thead>
          <tbody>
            {[
              { name: 'anything', by: statistics.anyBy },
              ...shown.map((r) => ({ name: nameOf(r), by: r.passedBy })),
            ].map(({ name, by }) => (
              <tr key={name} className="border-t border-rule/60">
                <th className="whitespace-nowrap pr-3 text-left font-[540]">{name}</th>
                {by.map((share, lap) => (
                  <td
                    // biome-ignore lint/suspicious/noArrayIndexKey: a lap is its number
                    key={lap}
                    className="px-1.5"
                    style={{
                      background: `color-mix(in oklch, var(--over) ${Math.round(34 * share)}%, transparent)`,
                    }}
                  >
                    {share === 0 ? '·' : chance(share)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </ScrollPanel>
  );
}

function Bands({ statistics, setup }: { statistics: RunStatistics; setup: Setup }) {
  const units = useUnits();
  const [axle, setAxle] = useState<AxleName>('front');
  const [part, setPart] = useState<CurvePart>('padFace');
  const degree = unitOf('temperature', units);
  const { lines, bands, rules } = useMemo(() => {
    const found = statistics.bands.find((b) => b.axle === axle && b.part === part);
    const day = dayInput(setup);
    const shown = (kelvin: number) => toShown(celsius(kelvin), degree);
    // Standing follows its lap, a quarter of an hour as wide as a lap.
    const x = runLayout(day).points.map((point) => point.lap + point.standing / 15);
    const line = (k: number) => Float64Array.from(found?.lines[k] ?? [], shown);
    return {
      lines: [{ name: 'middle', color: 'var(--act)', x, y: line(2) }],
      bands: [
        { name: '9 of 10', opacity: 0.22, x, low: line(0), high: line(4) },
        { name: 'half', opacity: 0.34, x, low: line(1), high: line(3) },
      ],
      rules: [
        { at: 'y' as const, value: shown(limitOf(day[axle], part)), color: 'var(--over)', text: 'limit' },
      ],
    };
  }, [statistics, setup, axle, part, degree]);
  return (
    <section className="panel px-4 py-3" aria-label="Bands">
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="mr-auto text-[15px]">{say.temperatureSpreadOverLaps}</h2>
        <div className="w-[110px]">
          <AxleField value={axle} onChange={setAxle} />
        </div>
        <div className="w-[150px]">
          <SelectField
            label="Part"
            value={part}
            options={CURVE_PARTS.map((p) => [p, PART_NAMES[p].name] as const)}
            onChange={setPart}
          />
        </div>
      </div>
      <LineChart
        label={`Spread of the ${axle} ${PART_NAMES[part].name} over the laps`}
        height={250}
        unit={degree.label}
        lines={lines}
        bands={bands}
        rules={rules}
        placeText={(v) => `lap ${Number(v.toFixed(1))}`}
        valueText={(v) => v.toFixed(0)}
      />
      <p className="caption">{say.hottestWithinEachPiece}</p>
    </section>
  );
}

/** Limit of a part of an axle, K. */
function limitOf({ left, boilingPoint }: AxleInput, part: CurvePart): number {
  if (part === 'fluid') return boilingPoint;
  if (part === 'padFace') return left.pad.limit;
  const material = rubbedMaterial(left);
  return part === 'rotorFace' ? material.faceLimit : material.bulkLimit;
}

function Matters({
  risk,
  risks,
  setup,
  onPick,
}: {
  risk: LimitRisk;
  risks: readonly LimitRisk[];
  setup: Setup;
  onPick: (key: string) => void;
}) {
  const units = useUnits();
  const inputs = uncertainRanges(setup.plan.uncertain, setup.calibration).map(({ input }) => input);
  const rows = inputs
    .map((input, i) => ({ input, share: risk.matters[i] }))
    .sort((a, b) => b.share - a.share);
  const rest = Math.max(0, 1 - rows.reduce((sum, row) => sum + row.share, 0));
  const margin = (value: number) => {
    if (risk.part === 'pedal' && -value > ANY_DRIVER) return 'beyond the driver’s limit';
    if (risk.part === 'pedal') return formatQuantity(value, 'force', units).replace('-', '−');
    if (risk.part === 'travel' && value < 0) return 'on the floor';
    if (risk.part === 'travel') return formatQuantity(value, 'smallLength', units).replace('-', '−');
    return formatQuantity(value, 'difference', units).replace('-', '−');
  };
  return (
    <section className="panel px-4 py-3" aria-label="What matters">
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="mr-auto text-[15px]">What its margin depends on</h2>
        <div className="w-[260px]">
          <SelectField
            label="Limit"
            value={keyOf(risk)}
            options={risks.map((r) => [keyOf(r), nameOf(r)] as const)}
            onChange={onPick}
          />
        </div>
      </div>
      <p className="mt-1">
        {say.marginOverDayDays(
          BAND_SHARES.map((share, k) => `${margin(risk.margin[k])} (${100 * share} %)`).join(', '),
        )}
      </p>
      <ol className="mt-2 grid gap-1">
        {rows.map(({ input, share }) => (
          <li key={input} className="grid grid-cols-[180px_minmax(0,1fr)_52px] items-center gap-2">
            <span>{parameterInfo(input).title}</span>
            <span className="h-[12px] rounded-[2px] bg-sunk">
              <span
                className="block h-full rounded-[2px] bg-act"
                style={{ width: `${Math.min(100, 100 * share)}%` }}
              />
            </span>
            <span className="text-right">{Math.round(100 * share)} %</span>
          </li>
        ))}
      </ol>
      <p className="caption mt-1.5">{say.partMarginSVariance(Math.round(100 * rest))}</p>
    </section>
  );
}
