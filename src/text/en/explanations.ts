import { type AxleName, type DayResult, type LimitedPart, wheelOf } from '../../core';
import {
  boilingThereC,
  fluidOf,
  fluidWater,
  formatQuantity,
  loadFollowingPercent,
  ROTOR_MATERIALS,
  type Setup,
  siText,
  type UnitChoice,
} from '../../model';
import type { Explanation, Facts, Input } from './explanation';
import { CONDUCTION, caliper, cooling, pad, padEntry, percent, rotor, work } from './explanationInputs';
import { FORCE_TOPICS, type ForceTopic } from './forceExplanations';

/** Energy to the last digit that counts in a sum. */
const joules = (energy: number, units: UnitChoice) =>
  siText(energy, 'largeEnergy', units, units.energy ? 0 : 3);

/** What can be explained. */
export type Topic =
  | 'energy'
  | 'lap'
  | 'shares'
  | LimitedPart
  | 'friction'
  | 'growth'
  | 'coning'
  | 'stress'
  | 'crack'
  | 'glaze'
  | 'outlook'
  | 'audit'
  | ForceTopic;

/** Explains one result of one axle. */
export function explain(
  topic: Topic,
  setup: Setup,
  result: DayResult,
  axle: AxleName,
  units: UnitChoice,
): Explanation {
  return TOPICS[topic]({
    setup,
    result,
    axle,
    brakes: setup.car[axle],
    wheel: wheelOf(axle, 'left'),
    units,
  });
}

const TOPICS: Readonly<Record<Topic, (facts: Facts) => Explanation>> = {
  ...FORCE_TOPICS,
  energy: (facts) => ({
    title: 'Heat of a braking zone',
    relation:
      'At the wheels: m·δ·(−a) − drag − rolling − grade − engine − recovery, never under 0; summed over the way as ½·m·δ·(v1² − v2²) less what the others took. Of it the slip share heats the tyres, the rest the brakes.',
    inputs: work(facts),
    source: 'Newton; physics of the point mass. Checked: 1500 kg from 100 km/h give 578.7 kJ.',
    limits: 'One slip share for all tyres. Gear changes are not modelled.',
  }),
  lap: ({ setup, result, units }) => ({
    title: 'Speeds of the lap',
    relation:
      'Corner speed from m·v²·κ = µ(N)·N; forward limited by power and traction, backward by braking, with the friction ellipse between cornering and braking; the lap ends as fast as it starts.',
    inputs: [
      ['Grip, sideways and along', `${setup.car.tyres.lateralGrip} and ${setup.car.tyres.longitudinalGrip}`],
      [
        'Used of it',
        `${setup.plan.corneringGripUsedPercent} % in corners, ${setup.plan.brakingGripUsedPercent} % in braking`,
      ],
      ['Power at the wheels', formatQuantity(setup.car.powerKw, 'power', units)],
      ['Air', `${result.airDensity.toFixed(3)} kg/m³`],
    ],
    source:
      'Point mass; U.S. Standard Atmosphere 1976 and moist air for the density. Checked against an oval’s closed form.',
    limits: 'The driven line is as typed; no load transfer in the lap itself.',
  }),
  shares: (facts) => ({
    title: 'Front and rear share of the heat',
    relation:
      'A fixed share of the braking force at the front; what recovery takes is taken off its axle. From side to side: half each, less a_y·h/(g·t) times how far braking follows the load.',
    inputs: [
      ...work(facts).slice(1, 2),
      ['Side-to-side (load-following) distribution', `${loadFollowingPercent(facts.setup.car)} %`],
    ],
    source: 'Common practice.',
    limits: 'Hydraulics and friction over temperature do not move the share yet.',
  }),
  rotorFace: (facts) => ({
    title: 'Rotor surface',
    relation:
      'The outermost point of a one-dimensional slab through the cheek, with c(T) and k(T): the mean over a turn and over the radius. Friction heat enters there; faces lose it by Nu = 0.70·Re^0.55 or 0.04·Re^0.8, radiation, and to the pads. The hottest band is what heat in proportion to radius and conduction along it leave over that mean; cracks and glazing go by it, the limit of the surface by the mean.',
    inputs: [
      ...rotor(facts),
      ['Heat that starts in the rotor', percent(facts.result.rotorShare[facts.axle])],
      ['Hottest band at most', siText(facts.result.peaks[facts.wheel].rotorBand, 'temperature', facts.units)],
      ...cooling(facts),
    ],
    source: `Limpert, Brake Design and Safety (from memory), for the faces. ${CONDUCTION}`,
    limits:
      'No hot spots: one turn under the pad swings a spot by about 100 °C at greatest power. Cooling is uncertain by ±30 % on a car that was not calibrated.',
  }),
  rotorBulk: (facts) => ({
    title: 'Rotor core (bulk)',
    relation:
      'The temperature the whole ring would have if its heat were spread evenly: the integral of c(T) over all its points.',
    inputs: [...rotor(facts), ...cooling(facts)],
    source: `Vanes: v_in = 0.052·n·√(D² − d²), Nu = 0.023·(1 + (d_h/l)^0.67)·Re^0.8·Pr^0.33 (Limpert, from memory), never more than the air can carry. ${CONDUCTION}`,
    limits: 'Both cheeks are alike. Cooling is uncertain by ±30 % on a car that was not calibrated.',
  }),
  padFace: (facts) => ({
    title: 'Pad surface',
    relation:
      'The outermost point of a slab through the friction material. It shares the friction heat by √(kρc)·A, touches the rotor surface through 4 kW/m²K while applied (from memory), and sees it across a gap of 0.15 mm otherwise.',
    inputs: [
      ...pad(facts),
      ['Fades over', formatQuantity(padEntry(facts).limit, 'temperature', facts.units)],
    ],
    source: 'Sharing by effusivity: Limpert (from memory).',
    limits: 'The maker’s limit comes before this one.',
  }),
  plate: (facts) => ({
    title: 'Pad backing plate',
    relation:
      'A steel mass behind the friction material; it gets what comes through the pad and gives to pistons, caliper and air.',
    inputs: [...pad(facts), ...caliper(facts)],
    source: 'Lumped mass; conductances from memory.',
    limits: 'A thin pad passes more heat: enter what is left of it.',
  }),
  seal: (facts) => ({
    title: 'Caliper seals',
    relation: 'Half-way between piston and caliper body, which each seal touches.',
    inputs: [
      ...caliper(facts),
      ['Rating', formatQuantity(facts.brakes.caliper.sealLimitC, 'temperature', facts.units)],
    ],
    source: 'Own estimate.',
    limits: 'Take the rating from the maker’s data.',
  }),
  fluidWall: (facts) => ({
    ...TOPICS.fluid(facts),
    title: 'Fluid at the pistons',
    relation:
      'The wetted ends of the pistons, where vapour forms first: pad backing plate to rims by dry contact, along the walls k·π·(D − w)·w over 25 mm, by natural convection of 250 W/(m²·K) on π/4·D² into the fluid behind them, and through the film in the bore behind the seals into the body (from memory). Judged against the boiling point like the fluid itself.',
    limits:
      'Bubbles fall in again where the fluid around is colder. A wall’s conductance differs with rust and grease.',
  }),
  fluid: (facts) => {
    const { car, parts } = facts.setup;
    const fluid = fluidOf(car.fluid.kind, parts);
    return {
      title: 'Brake fluid',
      relation:
        car.fluid.measuredBoilingC === null
          ? 'Boils at T_a + (T_dry − T_a)·e^(−k·w), k from the wet point at 3.7 % water, T_a = 120 °C (from memory). In the air pressure there it boils at T/(1 − (R/88)·ln(p/p₀)): Clausius and Clapeyron, Trouton’s rule (from memory). Judged with no line pressure: vapour shows when the pedal is released. The hotter of the fluid in the bores and in the last of the hose counts.'
          : 'The boiling point was measured and overrides what class and age predict. The hotter of the fluid in the bores and in the last of the hose counts.',
      inputs: [
        [
          'Fluid',
          `${fluid.name}, ${formatQuantity(fluid.dry, 'temperature', facts.units)} dry, ${formatQuantity(fluid.wet, 'temperature', facts.units)} wet`,
        ],
        [
          'Age and water',
          `${formatQuantity(car.fluid.ageMonths, 'months', facts.units)}, ${fluidWater(car, parts).toFixed(1)} %`,
        ],
        ['Boils today at', formatQuantity(boilingThereC(facts.setup), 'temperature', facts.units)],
        ...caliper(facts),
      ],
      source: `Points: ${fluid.source}. Water: about 2 % in the first year (common practice), saturating at 6 % (from memory).`,
      limits: 'A boil test of your own fluid beats any prediction. It is hottest some minutes after parking.',
    };
  },
  hub: (facts) => ({
    title: 'Wheel bearing',
    relation:
      'A mass of 4 kg behind the bell, joined to an upright of 8 kg; both give heat to the passing air.',
    inputs: [
      [
        'Ring to bell (hat)',
        facts.brakes.drum
          ? '6 W/K (from memory)'
          : facts.brakes.rotor.mounting === 'one-piece'
            ? `through a neck of ${formatQuantity(facts.brakes.rotor.neckLengthMm, 'smallLength', facts.units)} and its wall of ${formatQuantity(facts.brakes.rotor.neckThicknessMm, 'smallLength', facts.units)}`
            : '1.2 W/K, floating (from memory)',
      ],
    ],
    source: 'Own estimate; 150 °C as the grease’s limit is from memory.',
    limits: 'The bearing’s own maker knows its limit.',
  }),
  bite: (facts) => ({
    title: 'Cold bite (initial friction)',
    relation:
      'The pad surface when the pads are applied, at the coldest braking point of the hot laps, against the low end of the pad’s window.',
    inputs: [
      ...pad(facts),
      ['Window from', formatQuantity(padEntry(facts).window[0], 'temperature', facts.units)],
    ],
    source:
      'Common practice: pads below their working temperature are as real a danger as pads over their limit.',
    limits: 'The window’s low end is typical (from memory).',
  }),
  friction: (facts) => ({
    title: 'Friction coefficient',
    relation:
      'Linear between the points of the pad’s table at its face temperature, less 35 % of what is glazed.',
    inputs: padEntry(facts).friction.map(
      ([t, value]): Input => [formatQuantity(t, 'temperature', facts.units), value.toFixed(2)],
    ),
    source: 'Typical of the pad’s family (from memory), unless the part is your own.',
    limits: 'The maker’s curve for your pad beats a typical one: add it as a part of your own.',
  }),
  growth: (facts) => ({
    title: 'Growth and float',
    relation:
      'Growth α·D·ΔT at the hottest core temperature. Float: what the ring’s inner radius grows beyond an aluminium bell’s (23e-6/K, from memory).',
    inputs: [
      ...rotor(facts),
      [
        'α',
        `${ROTOR_MATERIALS[(facts.brakes.drum ?? facts.brakes.rotor).material].material.expansion.toExponential(1)} 1/K`,
      ],
    ],
    source: 'Linear expansion; α from memory.',
    limits: 'Leave the maker’s clearance; this is what heat alone asks for.',
  }),
  coning: (facts) => ({
    title: 'Ring over bell (hat), coning',
    relation:
      'A one-piece ring grows where the bell holds it back; the outer edge leans by α·r·ΔT ÷ 2t times the ring’s width.',
    inputs: rotor(facts),
    source: 'Own estimate, an index for comparing rotors.',
    limits: 'Measure runout and taper on the car.',
  }),
  stress: (facts) => ({
    title: 'Stress at the surface',
    relation:
      'E·α·(T_mean − T_face)/(1 − ν), negative: the hot face is pressed. At a drilled hole it doubles (Kirsch, equibiaxial field), at a slot it is 1.3 times (from memory).',
    inputs: rotor(facts),
    source: 'Plane thermal stress; Kirsch 1898.',
    limits: 'Elastic: past the yield point the iron gives way and cracks on cooling.',
  }),
  crack: (facts) => ({
    title: 'Fatigue damage index',
    relation: 'For each braking zone (K·α·ΔT/(1 − ν) ÷ ε₁₀₀₀)^(1/0.6) ÷ 1000, added up over the day.',
    inputs: rotor(facts),
    source: 'Slope of Manson’s universal slopes for short lives (from memory); ε₁₀₀₀ from memory.',
    limits:
      'An index for comparing, not a life. Look at the rotor: a crack to the edge or between holes means do not drive.',
  }),
  glaze: (facts) => ({
    title: 'Glazed share of the pads',
    relation:
      'Over the pad’s limit it grows by 1 − e^(−t·ΔT/(60 s · 100 °C)) and stays until the pads are bedded again; all of it takes 35 % of the friction.',
    inputs: pad(facts),
    source: 'Own estimate (from memory).',
    limits:
      'An index to compare pads and drives by: how much of a real pad is glazed, only a look at it tells.',
  }),
  outlook: ({ setup, result }) => ({
    title: 'How long it lasts',
    relation:
      'The session again with hot laps without end (40 are looked at), then with a stint, cool-down laps and hot laps once more, then twice with standing between, always with the whole heat network.',
    inputs: [
      ['Sessions of the day', String(setup.plan.sessions.length)],
      ['Steps of the day’s run', String(result.steps)],
    ],
    source: 'The same computation as the verdict.',
    limits: 'On a car that was not calibrated cooling is uncertain by ±30 %, and so are these counts.',
  }),
  audit: ({ result, units }) => ({
    title: 'Energy',
    relation:
      'Heat that friction made = heat stored in all parts + heat carried away to the air. What is stored is found again from the temperatures, so the sum checks the whole computation.',
    inputs: [
      ['Made', joules(result.audit.supplied, units)],
      ['Stored at the end', joules(result.audit.stored, units)],
      ['Carried away', joules(result.audit.lost, units)],
      ['Steps', String(result.steps)],
    ],
    source: 'Conservation of energy.',
    limits: 'It shows that nothing was lost in the computation, not that the inputs are right.',
  }),
};
