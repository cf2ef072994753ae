import { STARTER_DRUM } from '../catalogue/starters';
import { gripOf } from '../catalogue/tyres';
import type { AxleBrakes } from '../schema/axle';
import type { Car } from '../schema/car';
import type { Origins } from '../schema/origin';
import { USUAL_WORKSHOP } from '../schema/workshop';
import { frontSharePercent, withFrontShare } from '../toCore/chain';
import type { CarAnswers } from './carAnswers';
import type { CarKind, DrivenId, KindAxle } from './carKind';
import { CAR_KINDS } from './carKinds';

/** Weight on the driven axle while the car accelerates moderately: a tenth of it moves back (common practice). */
const drivenShare = (driven: DrivenId, frontWeight: number) =>
  driven === 'all' ? 100 : driven === 'front' ? frontWeight - 6 : 100 - frontWeight + 6;

/** The pad of each answer; the same family at both axles. */
const PADS_OF: Readonly<Record<NonNullable<CarAnswers['pads']>, string>> = {
  road: 'estate',
  'road-sport': 'hillclimb',
  'track-day': 'clubday',
  endurance: 'enduro',
  sprint: 'sprint',
};

/** Share of the papers' power that arrives at the wheels (from memory). */
const ARRIVES: Readonly<Record<Car['intake'], number>> = {
  natural: 0.88,
  supercharged: 0.88,
  electric: 0.93,
};

const round = (value: number, digits = 1) => Number(value.toFixed(digits));

/** Diameters of the pistons of one side that have an area together, mm. */
function pistonsOf(axle: KindAxle): number[] {
  const count = axle.fixed ? axle.pistons / 2 : axle.pistons;
  const diameter = Math.sqrt((4 * axle.pistonAreaMm2) / (Math.PI * count));
  // Against taper the trailing ones of three are larger, the area stays.
  const graded = count === 3 ? [0.88, 1, 1.107] : new Array<number>(count).fill(1);
  return graded.map((share) => round(share * diameter));
}

/** The caliper of an axle: sizes go with the pistons and with what stands between them (typical, from memory). */
function caliperOf(axle: KindAxle, kind: CarKind, padMm: number, plateMm: number): AxleBrakes['caliper'] {
  const massKg = round((axle.fixed ? 1.5 : 2) + axle.pistonAreaMm2 * (axle.fixed ? 0.0006 : 0.0009));
  return {
    kind: axle.fixed ? 'fixed' : 'sliding',
    pistonsMm: pistonsOf(axle),
    stiffnessKnMm: kind.race ? 260 : axle.fixed ? 170 : 100,
    clearanceMm: kind.race ? 0.1 : 0.15,
    knockBackMm: axle.fixed ? 0.03 : 0.01,
    bridgeMm: 20,
    outerBodyMm: axle.fixed ? 32 : 18,
    openingMm: Math.ceil(axle.thicknessMm + 2 * (padMm + plateMm) + 3),
    body: axle.fixed || kind.race ? 'aluminium' : 'iron',
    pistons: kind.carbon ? 'titanium-capped' : kind.race ? 'stainless' : 'steel',
    pistonWallMm: kind.carbon ? 3 : 4,
    massKg,
    wettedAreaCm2: Math.round((350 * massKg) / 10) * 10,
    fluidKg: round(axle.pistonAreaMm2 * 1.9e-5, 3),
    sealLimitC: kind.carbon ? 250 : kind.race ? 210 : 190,
  };
}

function rotorOf(axle: KindAxle, kind: CarKind): AxleBrakes['rotor'] {
  const { diameterMm, thicknessMm, vented } = axle;
  const inner = Math.round(diameterMm * (kind.carbon ? 0.67 : vented ? 0.63 : 0.67));
  const vanes = kind.carbon ? 72 : kind.race ? 48 : 40;
  // Of a small rotor they are thinner: half of the way round stays open.
  const vaneMm = Math.min(kind.carbon ? 5 : 5.5, Math.floor((Math.PI * inner) / vanes) / 2);
  return {
    material: kind.carbon ? 'carbon-carbon' : 'grey-iron',
    mounting: axle.floating ? 'floating' : 'one-piece',
    outerDiameterMm: diameterMm,
    innerDiameterMm: inner,
    thicknessMm,
    vaneGapMm: vented ? Math.max(3, Math.round(2 * 0.36 * thicknessMm) / 2) : 0,
    vaneType: kind.race ? 'curved' : 'straight',
    vaneCount: vanes,
    vaneThicknessMm: vaneMm,
    surface: 'plain',
    holeCount: 60,
    holeDiameterMm: 6,
    slotCount: 8,
    slotWidthMm: 1.5,
    slotDepthMm: 1,
    weighedKg: null,
    depthMm: 46,
    neckLengthMm: 12,
    neckThicknessMm: 6.5,
    hatMassKg: round((axle.floating ? 0.75 : 1.4) * (diameterMm / 295) ** 2),
  };
}

function axleOf(axle: KindAxle, kind: CarKind, pad: string, front: boolean): AxleBrakes {
  const rotor = rotorOf(axle, kind);
  const ring = (Math.PI / 400) * (rotor.outerDiameterMm ** 2 - rotor.innerDiameterMm ** 2);
  const drumFace = (Math.PI / 100) * axle.diameterMm * axle.thicknessMm;
  const padMm = kind.carbon ? 20 : front ? 11 : 10;
  const plateMm = kind.carbon ? 3 : 5.5;
  return {
    rotor: axle.drum ? { ...rotorOf({ ...axle, thicknessMm: 10 }, kind) } : rotor,
    drum: axle.drum
      ? {
          ...STARTER_DRUM,
          innerDiameterMm: axle.diameterMm,
          widthMm: axle.thicknessMm,
          rimThicknessMm: round(0.039 * axle.diameterMm),
          webMassKg: round(1.6 * (axle.diameterMm / 230) ** 2),
          shoeMassKg: round(1.1 * (axle.diameterMm / 230) ** 2),
        }
      : null,
    pad,
    // A pad covers about a tenth of the ring it rubs on, a lining a third of its half of the drum (from memory).
    padAreaCm2: Math.round(axle.drum ? 0.32 * drumFace : (front ? 0.115 : 0.095) * ring),
    padThicknessMm: kind.carbon ? 16 : padMm - 2,
    newPadMm: padMm,
    effectiveRadiusMm: null,
    plateThicknessMm: plateMm,
    plateKind: 'flush',
    shim: 'none',
    caliper: caliperOf(axle, kind, padMm, plateMm),
    wheel: { barrelMm: Math.max(kind.barrelMm, axle.diameterMm + 56), spokesMm: 30, spacerMm: 0 },
    ductAreaCm2: axle.ductAreaCm2,
    ductCoefficientPercent: 50,
    rightDuctAreaCm2: null,
    blankedOffPercent: 0,
    toCaliperPercent: kind.carbon ? 15 : 0,
    sides: 'together',
    shieldPercent: kind.race ? 0 : 40,
    beddedPercent: 100,
    wheelOpenAreaPercent: kind.race ? 60 : 45,
    recirculationPercent: kind.race ? 20 : 35,
    coolingFactor: 1,
    leftFactor: 1,
    rightFactor: 1,
  };
}

/** The front axle as it was told, the kind's where it was not. */
function frontOf(a: CarAnswers, { front, race }: CarKind): KindAxle {
  const fixed = a.frontCaliper ? a.frontCaliper === 'fixed' : front.fixed;
  const told = a.frontVented === null ? front.vented : a.frontVented === 'vented';
  const thicknessMm =
    a.frontThicknessMm ?? (told ? Math.max(front.thicknessMm, 20) : Math.min(front.thicknessMm, 12));
  return {
    ...front,
    diameterMm: a.frontDiameterMm ?? front.diameterMm,
    thicknessMm,
    // A thin disc is solid and a thick one vented where nobody looked.
    vented: a.frontVented === null ? thicknessMm > 16 : told,
    floating: a.frontMounting ? a.frontMounting === 'floating' : front.floating,
    fixed,
    pistons: a.frontPistons ?? (fixed === front.fixed ? front.pistons : fixed ? (race ? 6 : 4) : 1),
  };
}

function rearOf(a: CarAnswers, { rear, front }: CarKind): KindAxle {
  const asDrum = a.rear ? a.rear === 'drum' : rear.drum;
  const kept = asDrum === rear.drum;
  const usual = kept ? rear.diameterMm : asDrum ? 0.78 * front.diameterMm : 0.96 * front.diameterMm;
  const diameterMm = a.rearDiameterMm ?? Math.round(usual);
  const thicknessMm = kept ? rear.thicknessMm : asDrum ? Math.round(0.18 * diameterMm) : 10;
  return { ...rear, drum: asDrum, diameterMm, thicknessMm, vented: !asDrum && thicknessMm > 16 };
}

/** What was told, by the path it stands at in the car. */
const TOLD: Readonly<Partial<Record<keyof CarAnswers, (a: CarAnswers) => readonly string[]>>> = {
  massKg: () => ['massKg'],
  powerKw: () => ['powerKw'],
  driven: () => ['drivenSharePercent'],
  tyres: () => ['tyres.lateralGrip', 'tyres.longitudinalGrip'],
  frontDiameterMm: () => ['front.rotor.outerDiameterMm'],
  frontThicknessMm: () => ['front.rotor.thicknessMm'],
  frontVented: (a) => (a.frontVented === 'solid' ? ['front.rotor.vaneGapMm'] : []),
  frontMounting: () => ['front.rotor.mounting'],
  frontCaliper: () => ['front.caliper.kind'],
  frontPistons: () => ['front.caliper.pistonsMm'],
  rearDiameterMm: (a) => [a.rear === 'drum' ? 'rear.drum.innerDiameterMm' : 'rear.rotor.outerDiameterMm'],
  pads: () => ['front.pad', 'rear.pad'],
  fluid: () => ['fluid.kind'],
  fluidMonths: () => ['fluid.ageMonths'],
};

function originsOf(a: CarAnswers): Origins {
  const paths = (Object.keys(TOLD) as (keyof CarAnswers)[]).flatMap((field) =>
    a[field] === null ? [] : (TOLD[field]?.(a) ?? []),
  );
  return { rest: 'assumed', known: Object.fromEntries(paths.map((path) => [path, 'typed' as const])) };
}

/** A car whose rear pistons or balance bar give it a balance; as near as they may be made. */
function balanced(car: Car, percent: number): Car {
  if (car.pedal.cylinders.kind === 'pair') return withFrontShare(car, percent);
  const { rear } = car;
  const now = frontSharePercent(car) / 100;
  const wanted = percent / 100;
  // Share/(1 − share) goes with front over rear piston area, at discs as at drums.
  const factor = Math.sqrt(now / (1 - now) / (wanted / (1 - wanted)));
  const sized = (mm: number, least: number, most: number) =>
    Math.min(most, Math.max(least, round(mm * factor)));
  return {
    ...car,
    rear: rear.drum
      ? { ...rear, drum: { ...rear.drum, cylinderMm: sized(rear.drum.cylinderMm, 12, 40) } }
      : {
          ...rear,
          caliper: { ...rear.caliper, pistonsMm: rear.caliper.pistonsMm.map((mm) => sized(mm, 14, 80)) },
        },
  };
}

/** From the foot to the lines. */
function pedalOf(kind: CarKind): Car['pedal'] {
  return {
    ratio: kind.boosterGain === null ? 5 : 3.8,
    efficiencyPercent: kind.race ? 95 : 92,
    booster: kind.boosterGain === null ? null : { gain: kind.boosterGain, kneeN: 1200 },
    cylinders: kind.race
      ? {
          kind: 'pair',
          frontBoreMm: kind.boreMm,
          rearBoreMm: kind.boreMm,
          strokeMm: 32,
          frontPushPercent: 55,
          clickPercent: 0.5,
        }
      : {
          kind: 'tandem',
          boreMm: kind.boreMm,
          strokeMm: kind.boosterGain === null ? 36 : 42,
          split: kind.driven === 'front' ? 'diagonal' : 'front-rear',
        },
    valve: null,
    hoseLengthMm: kind.race ? 350 : 450,
    hoseExpansionMm3BarM: kind.race ? 4 : 12,
    limitN: kind.limitN,
    travelMm: kind.race ? 110 : 140,
    freeTravelMm: kind.race ? 3 : 8,
  };
}

/**
 * A whole car from what a driver can tell. Everything else is typical for the kind, and marked as assumed.
 * @param id of the new car
 */
export function carFromAnswers(a: CarAnswers, id: string): Car {
  const kind = CAR_KINDS[a.kind];
  const pads = a.pads === null || kind.carbon ? null : PADS_OF[a.pads];
  const car: Car = {
    id,
    name: a.name,
    massKg: a.massKg ?? kind.massKg,
    rotatingInertia: kind.race ? 1.03 : 1.05,
    powerKw: Math.round((a.powerKw ?? kind.powerKw) * ARRIVES[kind.intake]),
    powerCurve: [],
    intake: kind.intake,
    drivenSharePercent: drivenShare(a.driven ?? kind.driven, kind.frontWeightPercent),
    dragAreaM2: kind.dragAreaM2,
    downforceAreaM2: kind.downforceAreaM2,
    rollingResistancePercent: kind.race ? 1.5 : 1.2,
    engineBrakingN: kind.engineBrakingN,
    engineBrakingCurve: [],
    frontSharePercent: null,
    wheelbaseMm: kind.wheelbaseMm,
    frontWeightPercent: kind.frontWeightPercent,
    frontDownforcePercent: kind.race ? 42 : 50,
    loads: [],
    pedal: pedalOf(kind),
    gravityHeightMm: kind.gravityHeightMm,
    trackWidthMm: kind.trackWidthMm,
    loadFollowingPercent: null,
    tyres: { ...gripOf(a.tyres ?? kind.tyres), rollingRadiusMm: kind.rollingRadiusMm },
    abs: kind.abs,
    recovery:
      kind.recoveryKw === null
        ? null
        : { axle: 'rear', powerKw: kind.recoveryKw, lowestSpeedKmh: 12, blending: 'blended', derating: [] },
    fluid: {
      kind: a.fluid ?? kind.fluid,
      ageMonths: a.fluidMonths ?? kind.fluidMonths,
      waterFirstYearPercent: 2,
      measuredBoilingC: null,
      freeWater: false,
    },
    driverSide: 'left',
    exposed: [],
    workshop: USUAL_WORKSHOP,
    fitted: {},
    front: axleOf(frontOf(a, kind), kind, pads ?? kind.frontPad, true),
    rear: axleOf(rearOf(a, kind), kind, pads ?? kind.rearPad, false),
    origins: originsOf(a),
  };
  return balanced(car, kind.frontSharePercent);
}
