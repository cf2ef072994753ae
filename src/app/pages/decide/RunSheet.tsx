import { AXLES, HEAT_LIMITS, isCold, type Outlook } from '../../../core';
import { formatQuantity, padOf, siText, type UnitChoice } from '../../../model';
import { BEDDED, jobList, workOf } from '../../../services';
import { doubtNote, fadeText, LIMIT_TEXT, marginText, momentText, verdictText } from '../../../text/en';
import { say } from '../../../text/en/say/decide';
import { marginState, StateMark } from '../../shared/StateMark';
import { useProject } from '../../state/context';
import { useUnits } from '../../state/preferences';
import type { Computed } from '../../state/useSession';
import { Tip } from '../../ui/Tip';
import { WearLeft } from './WearLeft';
import { ZonesThatMatter } from './ZonesThatMatter';

/** The run sheet of one session, drawn as it prints: black on white, one page. */
export function RunSheet({
  computed,
  outlook,
  session,
  paper,
}: {
  computed: Computed;
  outlook: Outlook | null;
  session: number;
  paper: 'A4' | 'Letter';
}) {
  const units = useUnits();
  const { setup, result } = computed;
  const { plan, car, circuit } = setup;
  const own = plan.sessions[session];
  const text = verdictText(result, units);
  return (
    <article
      className="panel print run-sheet mx-auto px-6 py-5 text-ink"
      style={{ width: paper === 'A4' ? 'min(100%, 190mm)' : 'min(100%, 196mm)' }}
      aria-label="Run sheet"
    >
      <header className="flex items-start justify-between gap-4 border-b-2 border-ink pb-1.5">
        <div className="min-w-0">
          <h2 className="line-clamp-2 break-words text-[19px] leading-tight">{plan.name}</h2>
          <p className="line-clamp-1">
            {car.name} · {circuit.name} · {own.name}, {formatQuantity(own.ambientC, 'temperature', units)} air
          </p>
        </div>
        <p className="caption whitespace-nowrap text-right">
          Fervent Kettle run sheet
          <br />
          Date ____________ Driver ____________
        </p>
      </header>
      <p className="mt-2 flex items-start gap-2 text-[15px] leading-snug">
        <StateMark kind={result.verdict.kind} className="mt-[2px]" />
        <span>
          <strong className="font-[680]">{text.state}.</strong> {text.sentence}
        </span>
      </p>
      {text.notes[0] && <p className="line-clamp-3 text-[12.5px]">{text.notes[0]}</p>}
      <OpenWork computed={computed} />
      <WearLeft computed={computed} />
      <Stint outlook={outlook} computed={computed} session={session} />
      <div className="mt-2 grid gap-4 sm:grid-cols-[1fr_1fr] print:grid-cols-[1fr_1fr]">
        <Limits computed={computed} units={units} />
        <Settings computed={computed} units={units} />
      </div>
      <ZonesThatMatter computed={computed} session={session} units={units} />
      <Checks result={result} />
    </article>
  );
}

/** What of the work on the car is still open, and pads that are not bedded. */
function OpenWork({ computed }: { computed: Computed }) {
  const { preparations } = useProject();
  const { car, parts } = computed.setup;
  const open = preparations.flatMap((preparation) => {
    if (preparation.carId !== car.id) return [];
    const list = jobList(workOf(car, preparation, parts));
    if (list.open === 0 && preparation.signed) return [];
    return [say.workOpen(preparation.name, list.open, list.steps.length, preparation.signed !== null)];
  });
  const unbedded = AXLES.filter((axle) => car[axle].beddedPercent < 100 * BEDDED).map((axle) =>
    say.notBedded(axle, Math.round(car[axle].beddedPercent)),
  );
  const lines = [...open.slice(-2), ...unbedded];
  if (lines.length === 0) return null;
  return (
    <p className="mt-1 text-[12.5px]" data-testid="open-work">
      <strong className="font-[660]">{say.beforeItDrives}</strong> {lines.join(' ')}
    </p>
  );
}

function Stint({
  outlook,
  computed,
  session,
}: {
  outlook: Outlook | null;
  computed: Computed;
  session: number;
}) {
  const { plan } = computed.setup;
  const minutes = (seconds: number) => `${Math.ceil(seconds / 60)} min`;
  const line = !outlook
    ? 'Working out …'
    : outlook.stint === null
      ? say.hotLapsRowMore(outlook.laps)
      : outlook.stint === 0
        ? say.notOneHotLap
        : say.mostHotLapRow(outlook.stint, outlook.stint === 1 ? '' : 's');
  const cool =
    outlook?.stint && outlook.stint > 0
      ? outlook.coolDownLaps === null
        ? say.notEnoughAfterCool
        : say.thenCoolDownLap(outlook.coolDownLaps, outlook.coolDownLaps === 1 ? '' : 's', outlook.again)
      : '';
  const paddock =
    outlook && outlook.stint !== 0
      ? outlook.leastPaddock === null
        ? say.fourHoursPaddockNotEnough
        : say.paddockBeforeSameAgain(minutes(outlook.leastPaddock))
      : '';
  const legs = plan.sessions[session].legs
    .map((leg) =>
      'laps' in leg
        ? `${leg.laps} ${leg.kind === 'cool' ? 'cool-down' : leg.kind}${leg.kind === 'hot' && leg.pacePercent === 100 ? '' : ` at ${leg.pacePercent} %`}`
        : `${leg.minutes} min ${leg.kind}${leg.fanKmh > 0 ? ' with a fan' : ''}`,
    )
    .join(' → ');
  return (
    <p className="mt-1.5 border-y border-rule py-1.5">
      <strong className="font-[660]">Stint.</strong> {line}
      {cool}
      {paddock} <span className="block text-[12.5px]">Planned: {legs}.</span>
    </p>
  );
}

function Limits({ computed, units }: { computed: Computed; units: UnitChoice }) {
  const { result } = computed;
  const rows = HEAT_LIMITS.flatMap(({ part }) =>
    AXLES.flatMap((axle) => {
      const both = result.margins.filter((m) => m.part === part && m.axle === axle);
      return both.length === 0 ? [] : [both.reduce((a, b) => (b.share < a.share ? b : a))];
    }),
  )
    .sort((a, b) => a.share - b.share)
    .slice(0, 4);
  return (
    <section>
      <h3 className="text-[13.5px]">Limits, closest first</h3>
      <table className="w-full text-[12.5px]">
        <tbody>
          {rows.map((margin) => (
            <tr key={`${margin.axle}${margin.part}`} className="border-t border-rule">
              <th className="py-[1px] text-left font-[520]">
                <span className="flex items-center gap-1">
                  <StateMark kind={marginState(margin)} className="h-[11px] w-[11px]" />
                  {margin.axle} {isCold(margin) ? 'cold bite' : LIMIT_TEXT[margin.part].name}
                </span>
              </th>
              <td className="whitespace-nowrap text-right">
                {siText(margin.worst, 'temperature', units)} of {siText(margin.limit, 'temperature', units)}
              </td>
              <td className="whitespace-nowrap pl-2 text-right">
                {marginText(margin, units).replace(' the window’s low end', '')}
              </td>
            </tr>
          ))}
          {result.fade && (
            <tr className="border-t border-rule">
              <th className="py-[1px] text-left font-[520]" colSpan={1}>
                minimum brake reserve
              </th>
              <td className="text-right" colSpan={2}>
                {fadeText(result.fade.margin)} {momentText(result.fade.at, result)}
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </section>
  );
}

function Settings({ computed, units }: { computed: Computed; units: UnitChoice }) {
  const { setup } = computed;
  const { car, parts } = setup;
  const rows: [string, string][] = AXLES.flatMap((axle): [string, string][] => {
    const brakes = car[axle];
    const duct =
      brakes.ductAreaCm2 > 0
        ? `${formatQuantity(brakes.ductAreaCm2, 'area', units, 0)}${brakes.blankedOffPercent > 0 ? `, ${brakes.blankedOffPercent} % blanked off` : ', open'}`
        : 'none';
    return [
      [
        `${axle} pads`,
        `${padOf(brakes.pad, parts).name}, ${formatQuantity(brakes.padThicknessMm, 'smallLength', units)} left`,
      ],
      [`${axle} duct a wheel`, duct],
    ];
  });
  rows.push(['mass as raced', formatQuantity(car.massKg, 'mass', units, 0)]);
  rows.push([
    'fluid',
    `${setup.car.fluid.measuredBoilingC === null ? 'boiling point not measured' : `boils at ${formatQuantity(setup.car.fluid.measuredBoilingC, 'temperature', units)}, measured`}, ${formatQuantity(car.fluid.ageMonths, 'months', units)} old`,
  ]);
  return (
    <section>
      <h3 className="text-[13.5px]">Assumed setup: check on the car</h3>
      <table className="w-full text-[12.5px]">
        <tbody>
          {rows.map(([name, value]) => (
            <tr key={name} className="border-t border-rule">
              <th className="whitespace-nowrap py-[1px] pr-2 text-left font-[520]">{name}</th>
              <Tip text={value}>
                <td className="line-clamp-1 text-right">{value}</td>
              </Tip>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const BEFORE = [
  say.padLeftRotorThickness,
  say.fluidLevelColourHoses,
  say.wheelBoltsMakerS,
  say.pumpPedalUntilFirm,
  say.padsBeddedWarmedTwo,
];
const AFTER = [
  say.coolDownLapNo,
  say.paintBandsPyrometerRead,
  say.pedalTravelAfterTen,
  'Front pads ____ ____ rear pads ____ ____',
  'Fluid test (strip, refractometer, boil): ______',
];

function Checks({ result }: Pick<Computed, 'result'>) {
  return (
    <>
      <div className="mt-2.5 grid gap-4 text-[12.5px] sm:grid-cols-[1fr_1fr] print:grid-cols-[1fr_1fr]">
        {(
          [
            ['Before', BEFORE],
            ['After', AFTER],
          ] as const
        ).map(([title, list]) => (
          <section key={title}>
            <h3 className="text-[13.5px]">{title}</h3>
            <ul>
              {list.map((item) => (
                <li key={item} className="flex gap-1.5 border-t border-rule py-[1px]">
                  <span aria-hidden="true">☐</span> {item}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-2 border-t-2 border-ink pt-1 text-[11.5px] leading-snug">
        {say.brakePartsSafetyParts(doubtNote(result.doubt))}
      </p>
    </>
  );
}
