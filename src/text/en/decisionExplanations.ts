import {
  AXLES,
  type AxleName,
  type BalanceChoices,
  type CoolingNeed,
  discViewFactor,
  type FastestPlan,
  isCold,
  type LimitRisk,
  type RunStatistics,
} from '../../core';
import {
  dayInput,
  EXPOSED_KINDS,
  type Exposed,
  exposedPart,
  formatQuantity,
  padOf,
  parameterInfo,
  type Setup,
  siText,
  type UnitChoice,
  uncertainRanges,
} from '../../model';
import type { Assessed, ExposedReport, Way } from '../../services';
import type { Explanation } from './explanation';

const percent = (share: number, decimals = 0) => `${(100 * share).toFixed(decimals)} %`;
const kelvin = (value: number, units: UnitChoice) =>
  formatQuantity(value, 'difference', units).replace('-', '−');
const area = (squareMetres: number, units: UnitChoice) => siText(squareMetres, 'area', units, 1);
const COOLING_LIMITS =
  'On a car that was not calibrated cooling is uncertain by about ±30 %, and every answer here with it.';

/** How an axle's duct was found. */
export function explainNeed(need: CoolingNeed, axle: AxleName, setup: Setup, units: UnitChoice): Explanation {
  const own = need[axle];
  const { air } = dayInput(setup)[axle].left;
  return {
    title: `Cooling need, ${axle}`,
    relation:
      'The whole day is driven again with ever better ducts on both axles until the smallest margin of each is the target: regula falsi (Illinois) over A/(A + 40 cm²), one day for both axles. A duct brings ṁ = ρ·C·A·V and puts fresh air where air went round before.',
    inputs: [
      ['Target margin at every limit', kelvin(need.wish, units)],
      ['Found, to each wheel', own.area > 0 ? area(own.area, units) : 'no duct'],
      ['Margin with it', kelvin(own.at.margin, units)],
      ['Of the air, what gets through, C', percent(air.ductCoefficient)],
      ['Of it, led to the caliper', percent(air.toCaliper)],
      ['Simulation runs for both axles, curves and blanking', String(need.runs)],
    ],
    source:
      'The same computation as the verdict, turned round; with the duct put back in, the margin is the target within 1 °C (checked). Vanes and surfaces: Limpert, Brake Design and Safety (from memory).',
    limits: `${COOLING_LIMITS} A mouth in a wake or at low speed gets less than C says.`,
  };
}

/** How the ducts' drag and its cost in time were found. */
export function explainDuctDrag(need: CoolingNeed, setup: Setup, units: UnitChoice): Explanation {
  const day = dayInput(setup);
  const flow = AXLES.reduce((sum, axle) => sum + 2 * day[axle].left.air.ductCoefficient * need[axle].area, 0);
  return {
    title: 'Drag of the ducts',
    relation:
      'What is taken in loses its speed: force = ṁ·V = ρ·C·A·V², a CdA of 2·C·A for all four wheels. The lap is solved again with it.',
    inputs: [
      ['C·A of all wheels', formatQuantity(flow, 'bigArea', units, 4)],
      ['CdA', formatQuantity(need.dragArea, 'bigArea', units, 4)],
      ['Highest speed of the hot lap', siText(need.topSpeed, 'speed', units)],
      ['Force there', formatQuantity(need.dragForce, 'force', units)],
      [
        'Hot lap without and with',
        need.lapTimes
          ? `${need.lapTimes.without.toFixed(3)} s, ${need.lapTimes.with.toFixed(3)} s`
          : 'speeds are typed and do not follow drag',
      ],
    ],
    source: 'Momentum of the air taken in; the simulated lap.',
    limits: 'What a mouth changes about the air round the car, for better or worse, is not counted.',
  };
}

/** How the ways to a margin were found and put in order. */
export function explainWays(
  ways: readonly Way[],
  wish: number,
  currency: string,
  units: UnitChoice,
): Explanation {
  const holds = ways.filter((way) => way.state === 'holds').length;
  return {
    title: 'Ways to the same margin',
    relation:
      'Each way is made as small as does: the ducts found; curved vanes; thickness, pace and stint by halving the range; pads of the shelf from the cheapest up. Each is driven over the whole day. Order: what holds, then what nothing stands against, then money, then time on the track.',
    inputs: [
      ['Target margin at every limit', kelvin(wish, units)],
      ['Ways that hold, of those tried', `${holds} of ${ways.length}`],
      ['Money in', currency],
    ],
    source: 'The same computation as the verdict. Prices: usual ones from memory, or your own.',
    limits: `One kind is changed at a time, on the axles that miss the margin. ${COOLING_LIMITS}`,
  };
}

/** How setups were compared. */
export function explainComparison(reference: string, assessed: Assessed, units: UnitChoice): Explanation {
  const { summary } = assessed;
  return {
    title: 'Setups compared',
    relation:
      'Each setup drives the plan’s laps, cool-down and paddock in its air with its own car, and solves its own lap: drag and mass count. A percentage is (setup − reference) ÷ reference.',
    inputs: [
      ['Reference', reference],
      ['Its hot lap', `${summary.lapTime.toFixed(3)} s, ${siText(summary.lapHeat, 'energy', units)}`],
      ['Its car as driven', formatQuantity(summary.mass, 'mass', units)],
      ['Braking zones listed are those of its lap', String(summary.zonesOfLap)],
    ],
    source:
      'The same computation as the verdict. Pad wear: with the friction work, twice as much for each 150 °C over 300 °C (form: Rhee 1974; figures from memory). Money: prices of the changes, and what you add.',
    limits:
      'Wear and fatigue damage are indices to compare by, no life. Fitting takes time that is in no price but yours.',
  };
}

/** How the steps of the ladder were ranked. */
export function explainLadder(tried: number, base: Assessed, units: UnitChoice): Explanation {
  const least = base.summary.margins.filter((margin) => !isCold(margin));
  return {
    title: 'What to buy next',
    relation:
      'Every part of the shelf is put on every axle it can go to, alone, and pairs that are bought together; each is driven over the whole day. Gain = smallest margin with it − fewest without. Rank = gain ÷ price. A pair stays only where it gains more than either of its two.',
    inputs: [
      ['Steps driven', String(tried)],
      ['Smallest margin today', kelvin(Math.min(...least.map((margin) => margin.margin)), units)],
      ['Brake balance (% front) today', percent(base.frontShare, 1)],
      ['Rear nearer to locking today', `${base.summary.rearFirst} of ${base.summary.hotZones} braking zones`],
    ],
    source:
      'The same computation as the verdict. Compatible: room in the wheel, what rubs on what, glycol and silicone, the driver’s force, the pedal’s travel, the axle that locks first.',
    limits: `Prices are usual ones from memory until you type your own. ${COOLING_LIMITS} What fits here must still fit on the car.`,
  };
}

/** How the fastest plan was found. */
export function explainPlan(plan: FastestPlan, units: UnitChoice): Explanation {
  const [best] = plan.options;
  return {
    title: 'Fastest plan',
    relation:
      'The session is filled with whole laps: an out lap, hot laps, cool-down laps, one of them at the end, then standing as planned. The fastest steady pace is found by halving to 0.5 %; then faster laps with one to three cool-down laps between, each with the longest stints that keep everything, the furthest of them as fast as those stints allow. Fastest is what goes furthest.',
    inputs: [
      ['Minutes', (plan.time / 60).toFixed(0)],
      ['Margin kept at every temperature limit', kelvin(plan.wish, units)],
      ['Mean speed of the fastest', best ? siText(best.meanSpeed, 'speed', units, 1) : 'none keeps it'],
      ['Mean speed flat out', siText(plan.flatOut.meanSpeed, 'speed', units, 1)],
      ['Simulation runs', String(plan.runs)],
    ],
    source:
      'The same computation as the verdict, with each plan driven from its first lap to its standing time.',
    limits: `Pace is a share of the forces in braking and in corners together; stints are looked for at three paces between steady and full. ${COOLING_LIMITS}`,
  };
}

/** How the two balances were found. */
export function explainBalance(balance: BalanceChoices, setup: Setup): Explanation {
  const { brakes } = dayInput(setup).vehicle;
  return {
    title: 'Balance for grip and for temperature',
    relation:
      'For grip: the share that both axles’ loads have, (b + z·h)/L with each axle’s downforce, so that both tyres use the same part of theirs, where each braking zone asks most of them. What is set heats the pads otherwise, so the day is driven until the balance that is set is the one that is wanted; clicks are rounded to the front. For temperature: a surface’s rise within a braking zone goes with the heat its axle takes, so the share that evens the peaks, each as a part of its limit’s rise over the air, follows from two straight lines.',
    inputs: [
      ['Share now, with warm pads', percent(balance.sweep.now, 1)],
      ['For grip, over the hot laps, with warm pads', percent(balance.sweep.ideal, 1)],
      [
        'For temperature, over the day',
        balance.sweep.even === null ? 'not within those tried' : percent(balance.sweep.even, 1),
      ],
      ['Balances driven', String(balance.sweep.points.length)],
      [
        'Balance change per click',
        brakes.cylinders.kind === 'pair' && brakes.cylinders.click > 0
          ? `${percent(brakes.cylinders.click, 2)} of the force, from one axle to the other`
          : 'the car has none',
      ],
    ],
    source: 'Ideal share: Limpert, Brake Design and Safety. The days are driven with each balance.',
    limits:
      'A rear that locks first turns the car round: grip comes before temperature. Test a new balance step by step, on a closed course with run-off.',
  };
}

/** How bands, chances and what matters were found. */
export function explainChances(
  statistics: RunStatistics,
  risk: LimitRisk,
  setup: Setup,
  units: UnitChoice,
): Explanation {
  const ranges = uncertainRanges(setup.plan.uncertain, setup.calibration);
  const text = (input: (typeof ranges)[number]['input'], end: 'low' | 'high') => {
    const { quantity } = parameterInfo(input);
    return formatQuantity(setup.plan.uncertain.ranges[input][end], quantity, units, 0).replace('-', '−');
  };
  const { runs } = statistics;
  const share = risk.passedBy.at(-1) ?? 0;
  // Standard error of a share; where it never or always happened, the rule of three.
  const byChance =
    share > 0 && share < 1
      ? `± ${percent(Math.sqrt((share * (1 - share)) / runs), 1)} (one standard error)`
      : `up to ${percent(3 / runs, 1)} (95 % of the time)`;
  return {
    title: 'Uncertainty',
    relation:
      'Every input’s range is cut into as many slices as there are runs, each slice used once in an order of its own (Latin hypercube); each run drives the whole day. A chance is the share of the runs in which the limit is passed; bands are quantiles; what matters is the variance between slices of an input over all variance.',
    inputs: [
      ...ranges.map(({ input, shape, low, high, log }): [string, string] => [
        parameterInfo(input).title,
        log
          ? `${percent(low, 0)} to ${percent(high, 0)} of the measured value`
          : `${text(input, 'low')} to ${text(input, 'high')}, ${shape}`,
      ]),
      ['Runs, seed', `${runs}, ${setup.plan.uncertain.seed}`],
      [`Chance of the limit, ${percent(share, 1)}: off by so few runs`, byChance],
    ],
    source:
      'McKay, Beckman and Conover 1979 (design); Hyndman and Fan 1996, type 7 (quantiles); Sobol’s first-order index with Kelley’s correction 1935. Checked with the Ishigami function.',
    limits:
      'Inputs are drawn independently of each other, but for what was measured together. Ranges are from memory until you measure; what the model leaves out is in none of them.',
  };
}

/** How the temperature of a heat-exposed part is calculated. */
export function explainExposed(
  part: Exposed,
  report: ExposedReport,
  setup: Setup,
  units: UnitChoice,
): Explanation {
  const own = exposedPart(setup.car, part);
  const day = dayInput(setup);
  const corner = day[part.axle].left;
  const rotor = own.source === 'rotor';
  const radius = rotor ? (corner.drum?.innerDiameter ?? corner.rotor.outerDiameter) / 2 : own.exhaustRadius;
  const bare = report.ways.find((way) => way.kind === 'none');
  return {
    title: part.name,
    relation:
      'Per square metre that faces the heat: taken up α·ε·F·view·σ·(T_s⁴ − T⁴) with F = r²/(r² + x²); given to the air h·(T − T_air), h = 8 + 1.6·V W/(m²·K); held by what it is fixed to. A shield is a second body between, a sleeve one around. Stepped implicitly through the whole day.',
    inputs: [
      [
        'Faces',
        `${rotor ? `the ${own.wheel.startsWith('front') ? 'front' : 'rear'} rotor` : 'the exhaust'}, radius ${siText(radius, 'smallLength', units)}`,
      ],
      [
        'Distance, F there',
        `${siText(own.distance, 'smallLength', units)}, ${discViewFactor(radius, own.distance).toFixed(3)}`,
      ],
      ['In view, air past it', `${percent(own.view)}, ${percent(own.air)} of the road speed`],
      ['Takes up, α', own.absorptivity.toFixed(2)],
      ['Heat capacity', `${own.capacity.toFixed(0)} J/(m²·K)`],
      [
        'Fixed to',
        own.contact === 'none'
          ? 'nothing hot'
          : `the ${own.contact}, ${own.contactConductance.toFixed(0)} W/(m²·K)`,
      ],
      ['Highest', bare ? siText(bare.peak, 'temperature', units) : '—'],
    ],
    source: `View factor: Howell, configuration factors. ${EXPOSED_KINDS[part.kind].name}: surfaces and heat capacity from memory.`,
    limits:
      'Taken as one temperature, facing the middle of the disc. Paint bands on the part itself tell more.',
  };
}

/** How stint, cool-down and what stands on the run sheet were found. */
export function explainSheet(setup: Setup, units: UnitChoice): Explanation {
  const { car, parts, plan } = setup;
  return {
    title: 'Run sheet',
    relation:
      'Verdict, limits and braking zones are those of the day as planned; the braking zones listed are the six that are hottest, take most energy or have the least brake reserve on the session’s last hot lap. Stint: hot laps without end until a limit is passed; cool-down and paddock: the least after which the same can be driven again.',
    inputs: [
      ['Sessions of the day', String(plan.sessions.length)],
      ['Mass as raced', formatQuantity(car.massKg, 'mass', units, 0)],
      ...AXLES.map((axle): [string, string] => [`Pads, ${axle}`, padOf(car[axle].pad, parts).name]),
    ],
    source: 'The same computation as the verdict. Checks before and after: common practice.',
    limits: `${COOLING_LIMITS} The maker’s data, the event’s rules and qualified people come first.`,
  };
}
