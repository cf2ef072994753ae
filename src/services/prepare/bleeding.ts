import {
  AXLES,
  axleOf,
  type BleedScrew,
  bleedDraws,
  lineVolume,
  sideOf,
  WHEELS,
  type WheelName,
  wheelOf,
} from '../../core';
import {
  type Bottle,
  type Car,
  caliperFluid,
  fluidOf,
  fromSi,
  isUsable,
  type Part,
  type Preparation,
  toSi,
} from '../../model';

/** A screw of the plan, in the order in which it is opened. Volumes in m³. */
export interface BleedStep {
  /** `frontLeft outer`, `rearLeft`, `clutch` */
  readonly id: string;
  /** Null for the clutch */
  readonly wheel: WheelName | null;
  /** Which of two screws; null where there is one */
  readonly screw: 'inner' | 'outer' | null;
  /** Until new fluid shows, and until only new fluid comes */
  readonly arrives: number;
  readonly draw: number;
  /** Strokes of the pedal that draw it, where it is bled by the pedal */
  readonly strokes: number;
}

/** What speaks against a way of bleeding, or must be heeded. */
export type BleedTrouble =
  | 'old cylinder'
  | 'needs a tool'
  | 'never mixes'
  | 'not enough fluid'
  | 'bottle too old'
  | 'silicone';

export interface BleedPlan {
  readonly steps: readonly BleedStep[];
  /** New fluid that goes through and into the reservoir, m³ */
  readonly through: number;
  /** With the reserve: what must stand ready, m³ */
  readonly needed: number;
  /** Bottles of half a litre, where none is on the shelf */
  readonly bottles: number;
  /** What can be used of the shelf for this fluid, m³ */
  readonly onShelf: number;
  /** Strokes after which the reservoir is filled up again, and fluid drawn until then, m³ */
  readonly refillStrokes: number;
  readonly refillAfter: number;
  readonly dryC: number;
  readonly troubles: readonly BleedTrouble[];
  /** Most pressure of a pressure bleeder, Pa */
  readonly pressure: number;
}

/** Fluid that stands ready beyond what is drawn: air that will not leave, a spill (own choice). */
const RESERVE = 0.25;
/** Share of a chamber's stroke that is used: not to the floor, where an old cylinder has never been (common practice). */
const USED_STROKE = 0.7;
/** Share of the reservoir after which it is filled up: it must never run dry. */
const REFILL = 0.5;
/** A clutch's line and cylinder, m³ (from memory). */
const CLUTCH = 40e-6;
const BOTTLE = 500e-6;
/** Common practice: about 1 bar (15 psi), Pa. */
const USUAL_PRESSURE = 1e5;

const circle = (mm: number) => 0.25 * Math.PI * toSi(mm, 'smallLength') ** 2;

/** Length of the line to a wheel, mm. */
function lineMm({ workshop }: Car, wheel: WheelName): number {
  const own = workshop[axleOf(wheel)];
  return sideOf(wheel) === 'left' ? own.leftLineMm : own.rightLineMm;
}

/** Wheels in the order of bleeding: the maker's, else the farthest first. */
export const bleedOrder = (car: Car): readonly WheelName[] =>
  car.workshop.bleedOrder ?? WHEELS.toSorted((a, b) => lineMm(car, b) - lineMm(car, a));

/** Which chamber feeds a wheel. */
function circuitOf({ pedal }: Car, wheel: WheelName): string {
  const { cylinders } = pedal;
  if (cylinders.kind === 'single') return 'one';
  if (cylinders.kind === 'tandem' && cylinders.split === 'diagonal') {
    return wheel === 'frontLeft' || wheel === 'rearRight' ? 'left front' : 'right front';
  }
  return axleOf(wheel);
}

/** Fluid in the chamber of a wheel's circuit, and what a stroke of the pedal moves of it, m³. */
function chamber({ pedal }: Car, wheel: WheelName): { readonly volume: number; readonly stroke: number } {
  const { cylinders } = pedal;
  const stroke = toSi(cylinders.strokeMm, 'smallLength');
  const area = circle(
    cylinders.kind === 'pair'
      ? axleOf(wheel) === 'front'
        ? cylinders.frontBoreMm
        : cylinders.rearBoreMm
      : cylinders.boreMm,
  );
  const volume = area * (cylinders.kind === 'tandem' ? stroke / 2 : stroke);
  // The pedal may be at the floor before the cylinder is at its end.
  const push = Math.max(0, toSi(pedal.travelMm - pedal.freeTravelMm, 'smallLength')) / pedal.ratio;
  return { volume, stroke: USED_STROKE * Math.min(volume, area * push) };
}

function screwsOf(car: Car, wheel: WheelName): readonly ('inner' | 'outer' | null)[] {
  const axle = axleOf(wheel);
  if (car[axle].drum || car.workshop[axle].screws === 'one') return [null];
  return car.workshop.firstScrew === 'outer' ? ['outer', 'inner'] : ['inner', 'outer'];
}

/** Everything that is opened, in its order; the quick bleed between sessions is of the front calipers. */
function screwList(
  car: Car,
  wanted: Preparation['bleed']['wanted'],
): (BleedScrew & Pick<BleedStep, 'screw'> & { readonly of: WheelName })[] {
  const quick = wanted === 'fronts';
  const { hoseBoreMm, lineBoreMm } = car.workshop;
  const length = (mm: number) => toSi(mm, 'smallLength');
  const hose = lineVolume(length(car.pedal.hoseLengthMm), length(hoseBoreMm));
  return bleedOrder(car)
    .filter((wheel) => !quick || axleOf(wheel) === 'front')
    .flatMap((wheel) => {
      const screws = screwsOf(car, wheel);
      const line = quick ? hose : hose + lineVolume(length(lineMm(car, wheel)), length(lineBoreMm));
      return screws.map((screw) => ({
        id: screw ? `${wheel} ${screw}` : wheel,
        of: wheel,
        wheel,
        circuit: circuitOf(car, wheel),
        line,
        caliper: caliperFluid(car[axleOf(wheel)].caliper) / screws.length,
        screw,
      }));
    });
}

function troublesOf(
  before: Car,
  car: Car,
  preparation: Preparation,
  parts: readonly Part[],
  shelf: { readonly usable: number; readonly old: number; readonly needed: number },
): BleedTrouble[] {
  const { workshop } = car;
  const [old, now] = [before, car].map(({ fluid }) => fluidOf(fluid.kind, parts).silicone);
  return [
    ...(workshop.oldCylinder && preparation.bleed.way === 'pedal' ? ['old cylinder' as const] : []),
    ...(workshop.unitNeedsTool ? ['needs a tool' as const] : []),
    ...(old !== now ? ['never mixes' as const] : []),
    ...(now ? ['silicone' as const] : []),
    ...(shelf.old > 0 ? ['bottle too old' as const] : []),
    ...(shelf.usable < shelf.needed ? ['not enough fluid' as const] : []),
  ];
}

/**
 * The screws of a car in their order with what is drawn at each, and the fluid that it takes. Null where nothing is bled.
 * @param before the car with the fluid that is in it @param car as it is to be
 */
export function bleedPlan(
  before: Car,
  car: Car,
  preparation: Preparation,
  parts: readonly Part[],
  shelf: readonly Bottle[],
): BleedPlan | null {
  const { wanted } = preparation.bleed;
  if (wanted === 'none') return null;
  const quick = wanted === 'fronts';
  const screws = screwList(car, wanted);
  const circuits = new Set(screws.map(({ circuit }) => circuit));
  const unit = toSi(car.workshop.unitCm3, 'volume') / circuits.size;
  const shared = Object.fromEntries(
    screws.map(({ circuit, of }) => [circuit, quick ? 0 : chamber(car, of).volume + unit]),
  );
  const draws = bleedDraws(screws, shared);
  const steps = screws.map(({ id, of, screw }, i): BleedStep => {
    const { arrives, draw } = draws[i];
    return { id, wheel: of, screw, arrives, draw, strokes: Math.ceil(draw / chamber(car, of).stroke) };
  });
  if (car.workshop.clutchOnReservoir && !quick) {
    const [arrives, draw] = [0.5 * CLUTCH, 2 * CLUTCH];
    steps.push({ id: 'clutch', wheel: null, screw: null, arrives, draw, strokes: 0 });
  }
  const reservoir = toSi(car.workshop.reservoirCm3, 'volume');
  const drawn = steps.reduce((sum, { draw }) => sum + draw, 0);
  // The old fluid of the reservoir is drawn off first, as far as a syringe comes.
  const through = drawn + (quick ? 0 : reservoir);
  const needed = (1 + RESERVE) * through;
  const own = shelf.filter(({ fluid, leftCm3 }) => fluid === car.fluid.kind && leftCm3 > 0);
  const usable = own.filter((bottle) => isUsable(bottle, preparation.date));
  const onShelf = usable.reduce((sum, { leftCm3 }) => sum + toSi(leftCm3, 'volume'), 0);
  const refillAfter = REFILL * reservoir;
  const strokes = Math.min(...AXLES.map((axle) => chamber(car, wheelOf(axle, 'left')).stroke));
  return {
    steps,
    through,
    needed,
    bottles: Math.ceil(needed / BOTTLE - 1e-9),
    onShelf,
    refillStrokes: Math.max(1, Math.floor(refillAfter / strokes)),
    refillAfter,
    dryC: fluidOf(car.fluid.kind, parts).dry,
    troubles: troublesOf(before, car, preparation, parts, {
      usable: onShelf,
      old: own.length - usable.length,
      needed,
    }),
    pressure:
      car.workshop.makerPressureBar === null
        ? USUAL_PRESSURE
        : Math.min(USUAL_PRESSURE, toSi(car.workshop.makerPressureBar, 'pressure')),
  };
}

/** Bottles that are used up one after the other for a volume, cm³ by id: opened ones first. */
export function fromShelf(
  plan: BleedPlan,
  shelf: readonly Bottle[],
  fluid: string,
  date: string,
): Readonly<Record<string, number>> {
  let left = fromSi(plan.through, 'volume');
  const own = shelf
    .filter((bottle) => bottle.fluid === fluid && isUsable(bottle, date))
    .toSorted((a, b) => (a.openedOn === null ? 1 : 0) - (b.openedOn === null ? 1 : 0));
  const used: Record<string, number> = {};
  for (const { id, leftCm3 } of own) {
    const taken = Math.min(left, leftCm3);
    if (taken <= 0) continue;
    used[id] = taken;
    left -= taken;
  }
  return used;
}
