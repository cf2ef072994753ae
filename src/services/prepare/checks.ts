import {
  AXLES,
  type AxleName,
  type Clearance,
  firstPush,
  pistonArea,
  pushedBack,
  roomToHome,
  SIDES,
  type WheelName,
  wheelClearances,
  wheelOf,
} from '../../core';
import { type AxleBrakes, type Car, chainOf, neverMix, toSi, wheelFit } from '../../model';
import { axlesOf, type Work } from './work';

/** What was found; wording is the text layer's. Volumes in m³, lengths in m, masses in kg. */
export type PrepareFinding =
  /** Fluid that comes back: for new pads and rotors, with all pistons home, and the room above it now */
  | { readonly kind: 'push back'; readonly needed: number; readonly home: number; readonly room: number }
  | {
      readonly kind: 'clearance';
      readonly axle: AxleName;
      readonly what: Clearance['what'];
      readonly clearance: number;
      readonly wanted: number;
    }
  | { readonly kind: 'first push'; readonly volume: number; readonly pumps: number }
  | {
      readonly kind: 'minimum';
      readonly axle: AxleName;
      readonly wheel: WheelName | null;
      readonly what: 'rotor' | 'pad';
      readonly is: number;
      readonly least: number | null;
    }
  | { readonly kind: 'fluids'; readonly mixes: boolean }
  | { readonly kind: 'piston order'; readonly axle: AxleName; readonly trailing: boolean }
  | {
      readonly kind: 'alike';
      readonly axle: AxleName;
      readonly what: 'mass';
      readonly left: number;
      readonly right: number;
    }
  | {
      readonly kind: 'alike';
      readonly axle: AxleName;
      readonly what: 'pads' | 'hand';
      readonly left: string;
      readonly right: string;
    };

export type PrepareCheck = PrepareFinding & {
  /** `no` must be put right before the car moves; `look` wants a second look */
  readonly state: 'yes' | 'look' | 'no';
};

/** Difference of two rotors of an axle that machining does not explain, share (own choice). */
const MASS_DIFFERS = 0.03;

const length = (mm: number) => toSi(mm, 'smallLength');
const areaOf = ({ caliper }: AxleBrakes) => pistonArea(caliper.pistonsMm.map(length));

/** How much further each pad of an axle comes to stand from the rotor's middle than now, m. */
function padsApart(before: AxleBrakes, after: AxleBrakes): number {
  const half = ({ rotor, padThicknessMm, plateThicknessMm }: AxleBrakes) =>
    length(rotor.thicknessMm / 2 + padThicknessMm + plateThicknessMm);
  return half(after) - half(before);
}

/** Room of an axle's pistons from where they stand to home, m a side. */
const toHome = ({ caliper, rotor, padThicknessMm, plateThicknessMm }: AxleBrakes) =>
  roomToHome(
    length(caliper.openingMm),
    length(rotor.thicknessMm),
    length(padThicknessMm),
    length(plateThicknessMm),
  );

/** Both wheels of an axle whose pistons go back: for what is fitted, and all the way; m³. */
function comesBack(work: Work, axle: AxleName): { readonly needed: number; readonly home: number } {
  const { before, car } = work;
  if (before[axle].drum || car[axle].drum) return { needed: 0, home: 0 };
  // Another caliper comes with its own pistons; the old one's fluid goes with it.
  if (axlesOf(work, 'caliper').includes(axle)) return { needed: 0, home: 0 };
  const area = areaOf(before[axle]);
  return {
    needed: 2 * pushedBack(area, padsApart(before[axle], car[axle])),
    home: 2 * pushedBack(area, toHome(before[axle])),
  };
}

function hydraulics(work: Work): PrepareCheck[] {
  const { car, before, parts } = work;
  const axles = axlesOf(work, 'pads', 'rotor');
  const checks: PrepareCheck[] = [];
  const { reservoirCm3, filledPercent } = before.workshop;
  const room = toSi(reservoirCm3, 'volume') * (1 - toSi(filledPercent, 'percent'));
  if (axles.length > 0) {
    const back = axles.map((axle) => comesBack(work, axle));
    const needed = back.reduce((sum, own) => sum + own.needed, 0);
    const home = back.reduce((sum, own) => sum + own.home, 0);
    const state = needed > room ? 'no' : home > room ? 'look' : 'yes';
    checks.push({ kind: 'push back', needed, home, room, state });
  }
  const opened = axlesOf(work, 'pads', 'rotor', 'caliper');
  if (opened.length > 0) {
    const open = (axle: AxleName) =>
      opened.includes(axle) && !car[axle].drum ? 2 * pushedBack(areaOf(car[axle]), toHome(car[axle])) : 0;
    const push = firstPush(chainOf(car, parts), open('front'), open('rear'));
    checks.push({ kind: 'first push', ...push, state: push.pumps > 1 ? 'look' : 'yes' });
  }
  if (before.fluid.kind !== car.fluid.kind) {
    const mixes = !neverMix(before.fluid.kind, car.fluid.kind, parts);
    checks.push({ kind: 'fluids', mixes, state: mixes ? 'yes' : 'no' });
  }
  return checks;
}

function clearances(work: Work): PrepareCheck[] {
  const { car } = work;
  return axlesOf(work, 'pads', 'rotor', 'caliper', 'tyre').flatMap((axle) => {
    if (car[axle].drum) return [];
    const fresh = wheelClearances(wheelFit({ ...car[axle], padThicknessMm: car[axle].newPadMm }));
    const worn = wheelClearances(wheelFit({ ...car[axle], padThicknessMm: wornPad(car, axle) }));
    return fresh.map(({ what, ...own }): PrepareCheck => {
      const { clearance, wanted } =
        what === 'spokes-worn' ? (worn.find((other) => other.what === what) ?? own) : own;
      const state = clearance < 0 ? 'no' : clearance < wanted ? 'look' : 'yes';
      return { kind: 'clearance', axle, what, clearance, wanted, state };
    });
  });
}

/** A pad at its end, mm: at the maker's minimum, else 2 (common practice). */
const wornPad = (car: Car, axle: AxleName) =>
  Math.min(car[axle].newPadMm, car.workshop[axle].padMinimumMm ?? 2);

function thickness(work: Work): PrepareCheck[] {
  const { car, preparation } = work;
  return axlesOf(work, 'pads', 'rotor', 'caliper').flatMap((axle) => {
    if (car[axle].drum) return [];
    const { rotorMinimumMm, padMinimumMm } = car.workshop[axle];
    const check = (
      what: 'rotor' | 'pad',
      wheel: WheelName | null,
      isMm: number,
      leastMm: number | null,
    ): PrepareCheck => ({
      kind: 'minimum',
      axle,
      wheel,
      what,
      is: length(isMm),
      least: leastMm === null ? null : length(leastMm),
      state: leastMm === null ? 'look' : isMm < leastMm ? 'no' : 'yes',
    });
    const wheels = SIDES.map((side) => wheelOf(axle, side));
    const of = (what: 'rotor' | 'pad', key: 'rotorMm' | 'padMm', usual: number, least: number | null) => {
      const measured = wheels.flatMap((wheel) => {
        const value = preparation.found[wheel][key];
        return value === null ? [] : [check(what, wheel, value, least)];
      });
      return measured.length > 0 ? measured : [check(what, null, usual, least)];
    };
    return [
      ...of('rotor', 'rotorMm', car[axle].rotor.thicknessMm, rotorMinimumMm),
      ...of('pad', 'padMm', car[axle].padThicknessMm, padMinimumMm),
    ];
  });
}

function alike(work: Work): PrepareCheck[] {
  const { car, preparation } = work;
  return AXLES.flatMap((axle) => {
    const [left, right] = SIDES.map((side) => preparation.found[wheelOf(axle, side)]);
    const checks: PrepareCheck[] = [];
    if (left.rotorKg !== null && right.rotorKg !== null) {
      const differs = Math.abs(left.rotorKg - right.rotorKg) / Math.max(left.rotorKg, right.rotorKg);
      checks.push({
        kind: 'alike',
        axle,
        what: 'mass',
        left: left.rotorKg,
        right: right.rotorKg,
        state: differs > MASS_DIFFERS ? 'no' : 'yes',
      });
    }
    if (left.padMark !== '' && right.padMark !== '') {
      const same = left.padMark.toLowerCase() === right.padMark.toLowerCase();
      const state = same ? 'yes' : 'no';
      checks.push({ kind: 'alike', axle, what: 'pads', left: left.padMark, right: right.padMark, state });
    }
    const { vaneType } = car[axle].rotor;
    if (vaneType.startsWith('curved') && left.rotorHand !== null && right.rotorHand !== null) {
      const state = left.rotorHand === 'left' && right.rotorHand === 'right' ? 'yes' : 'no';
      checks.push({ kind: 'alike', axle, what: 'hand', left: left.rotorHand, right: right.rotorHand, state });
    }
    return checks;
  });
}

/** Larger pistons trail: the leading end of a pad would else wear first. */
function pistonOrder(work: Work): PrepareCheck[] {
  return axlesOf(work, 'caliper', 'pads').flatMap((axle): PrepareCheck[] => {
    const { caliper, drum } = work.car[axle];
    const first = caliper.pistonsMm[0];
    const last = caliper.pistonsMm[caliper.pistonsMm.length - 1];
    if (drum || first === last) return [];
    const trailing = last > first;
    return [{ kind: 'piston order', axle, trailing, state: trailing ? 'yes' : 'no' }];
  });
}

/** Everything that is computed of a preparation before a spanner is taken up; the worst first. */
export function prepareChecks(work: Work): PrepareCheck[] {
  const order = { no: 0, look: 1, yes: 2 } as const;
  return [
    ...hydraulics(work),
    ...alike(work),
    ...pistonOrder(work),
    ...clearances(work),
    ...thickness(work),
  ].sort((a, b) => order[a.state] - order[b.state]);
}
