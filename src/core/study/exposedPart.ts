import {
  CHANNEL,
  CHANNEL_COUNT,
  cornerOfWheel,
  discViewFactor,
  rubbedMaterial,
  type WheelName,
} from '../brake';
import { STEFAN_BOLTZMANN } from '../constants';
import { exp } from '../numeric';
import type { DayResult } from '../run';
import { airAt, type DayInput } from '../schedule';
import { outflowRise } from './wheelAir';

/** Something that must not get hot, near something that does. Values are for a square metre of what faces the heat. */
export interface ExposedPart {
  readonly wheel: WheelName;
  /** What it faces: the rotor (or drum) of its wheel, or an exhaust pipe */
  readonly source: 'rotor' | 'exhaust';
  /** From the source's face along its axis, m */
  readonly distance: number;
  /** Share of the source that nothing else hides from it, 0 to 1 */
  readonly view: number;
  /** Share of the radiation that it takes up, 0 to 1 */
  readonly absorptivity: number;
  /** Surface in the air over the surface that faces the source: π for a cable, 2 for a plate */
  readonly airedOver: number;
  /** Heat capacity over the surface that faces the source, J/(m²·K) */
  readonly capacity: number;
  /** Share of the road speed that blows past it, 0 to 1 */
  readonly air: number;
  /** What it is fixed to, and how well that conducts, W/(m²·K) of the surface that faces the source */
  readonly contact: 'none' | 'hub' | 'upright' | 'caliper' | 'rim';
  /** Share of the air past it that comes out of the brake, 0 to 1: what lies in the wheel */
  readonly outflow: number;
  readonly contactConductance: number;
  /** Of an exhaust: temperature while driving, K, and radius of the disc it looks like, m */
  readonly exhaustTemperature: number;
  readonly exhaustRadius: number;
  /** Highest temperature it is rated for, K */
  readonly rating: number;
}

/**
 * The rim of a wheel by what is usual, which a tyre's bead sits on: 6 mm of aluminium over 0.25 m² of barrel, painted, a
 * spoke's way from the hub (from memory).
 */
export const USUAL_RIM: Omit<ExposedPart, 'wheel' | 'exhaustTemperature' | 'exhaustRadius' | 'rating'> = {
  source: 'rotor',
  distance: 0.06,
  view: 0.3,
  absorptivity: 0.7,
  airedOver: 2,
  capacity: 14600,
  air: 0.5,
  contact: 'hub',
  contactConductance: 40,
  outflow: 0.5,
};

/** What is done about it. */
export type Protection =
  | { readonly kind: 'none' }
  /** A bright sheet, a little dirty, between source and part, open to the air on both sides */
  | { readonly kind: 'shield' }
  /** A bright sleeve round the part */
  | { readonly kind: 'sleeve' }
  /** A wrap round the exhaust: its outside stays cooler; of no use before a brake */
  | { readonly kind: 'wrap' }
  /** Further away, m */
  | { readonly kind: 'moved'; readonly distance: number };

/** Emissivity of a bright shield's faces, and its heat capacity: steel of 0.5 mm, J/(m²·K) (from memory). */
const SHIELD_EMISSIVITY = 0.2;
const SHIELD_CAPACITY = 1900;
/** Absorptivity of a sleeve's outside, through it W/(m²·K), its heat capacity J/(m²·K) (from memory). */
const SLEEVE_ABSORPTIVITY = 0.25;
const SLEEVE_CONDUCTANCE = 45;
const SLEEVE_CAPACITY = 700;
/** Heat transfer in still air, and for each m/s past it, W/(m²·K) (from memory). */
const STILL = 8;
const PER_SPEED = 1.6;
/** Share of the source's rise over the air that the air between has, times its view factor (from memory). */
const WARM_AIR = 0.1;
/** Emissivity of an exhaust pipe, and the times it warms in and cools in when the engine stops, s (from memory). */
const EXHAUST_EMISSIVITY = 0.8;
const EXHAUST_WARMS = 60;
const EXHAUST_COOLS = 300;
/** Rise of a wrapped pipe's outside over the air, share of the bare pipe's (from memory). */
const WRAPPED_RISE = 0.6;
/** Longest step, s. */
const STEP = 2;

/** One part over a day. */
export interface ExposedCurve {
  /** K, by sample of the day's record */
  readonly temperature: Float64Array;
  /** Highest, K, and the sample it is at */
  readonly peak: number;
  readonly at: number;
}

/**
 * Temperature of a part near a brake or an exhaust over a day, K, at the day's samples. It takes up
 * `α·ε·F·view·σ(T_s⁴ − T⁴)` with `F = r²/(r² + x²)` (Howell), exchanges the rest of its view with the surroundings, gives
 * `h·w·(T − T_air)` to the air, which the source has warmed by a share of `F`, and is held by what it is fixed to. A shield
 * is a second body between the two, a sleeve one around it; a wrap makes an exhaust's outside cooler. What lies in the wheel has a share of its air from the brake;
 * a tyre's bead sits on a usual rim. Stepped by the implicit midpoint rule.
 */
export function exposedTemperature(
  day: DayInput,
  result: DayResult,
  part: ExposedPart,
  protection: Protection = { kind: 'none' },
): ExposedCurve {
  const { record, legs } = result;
  const wheel = record.wheels[part.wheel];
  const corner = cornerOfWheel(day, part.wheel);
  const rotor = part.source === 'rotor';
  const radius = rotor ? (corner.drum?.innerDiameter ?? corner.rotor.outerDiameter) / 2 : part.exhaustRadius;
  const emissivity = rotor ? rubbedMaterial(corner).emissivity : EXHAUST_EMISSIVITY;
  const distance = protection.kind === 'moved' ? protection.distance : part.distance;
  const factor = discViewFactor(radius, distance);
  const seen = factor * part.view;
  const n = record.time.length;
  const rim =
    part.contact === 'rim' ? exposedTemperature(day, result, { ...part, ...USUAL_RIM }).temperature : null;
  const contactOf = part.contact === 'none' ? null : part.contact === 'rim' ? rim : wheel[part.contact];
  const warmed = (sample: number, speed: number, ambient: number) =>
    outflowRise(corner, wheel, sample, speed, day.vehicle.wheelRadius, airAt(day, ambient), ambient);
  const temperature = new Float64Array(n);
  const start = day.sessions[0].ambient;
  const bodies = new Bodies(part, protection.kind, emissivity, seen, start);
  temperature[0] = start;
  let exhaust = start;
  let at = 0;
  for (let i = 1; i < n; i++) {
    const leg = legs[record.leg[i]];
    const ambient = day.sessions[leg.session].ambient;
    // The wheel's channel is 10 + the speed of the air past the wheel.
    const speed = Math.max(0, wheel.drive[i * CHANNEL_COUNT + CHANNEL.wheel] - 10);
    const h = STILL + PER_SPEED * part.air * speed;
    const rise = part.outflow > 0 ? part.outflow * warmed(i, speed, ambient) : 0;
    const dt = record.time[i] - record.time[i - 1];
    const pieces = Math.max(1, Math.ceil(dt / STEP));
    const driving = record.lap[i] >= 0;
    const outside = protection.kind === 'wrap' ? WRAPPED_RISE : 1;
    const towards = driving ? ambient + outside * (part.exhaustTemperature - ambient) : ambient;
    const kept = exp(-dt / pieces / (driving ? EXHAUST_WARMS : EXHAUST_COOLS));
    for (let k = 0; k < pieces; k++) {
      const before = exhaust;
      exhaust = towards + (before - towards) * kept;
      const share = (k + 0.5) / pieces;
      const middle = (series: Float64Array) => series[i - 1] + share * (series[i] - series[i - 1]);
      const pipe = 0.5 * (before + exhaust);
      const source = rotor ? middle(wheel.rotorFace) : pipe;
      const held = contactOf === null ? ambient : middle(contactOf);
      const body = rotor ? middle(wheel.rotorBulk) : pipe;
      const air = ambient + rise + WARM_AIR * (1 - part.outflow) * factor * Math.max(0, body - ambient);
      bodies.step(dt / pieces, source, ambient, air, h, held);
    }
    temperature[i] = bodies.part;
    if (temperature[i] > temperature[at]) at = i;
  }
  return { temperature, peak: temperature[at], at };
}

/** Part and, where there is one, what protects it. */
class Bodies {
  part: number;
  private cover: number;

  constructor(
    private readonly of: ExposedPart,
    private readonly kind: Protection['kind'],
    private readonly emissivity: number,
    private readonly seen: number,
    start: number,
  ) {
    this.part = start;
    this.cover = start;
  }

  /** One step, by what it is in its middle; radiation is linear about the temperatures it begins at. */
  step(dt: number, source: number, ambient: number, air: number, h: number, held: number): void {
    const { part, cover } = this;
    this.implicit(0.5 * dt, source, ambient, air, h, held);
    this.part = 2 * this.part - part;
    this.cover = 2 * this.cover - cover;
  }

  private implicit(dt: number, source: number, ambient: number, air: number, h: number, held: number): void {
    const { of, kind, seen, emissivity } = this;
    const contact = of.contact === 'none' ? 0 : of.contactConductance;
    const { absorptivity, airedOver, capacity } = of;
    const fromSource = seen * emissivity;
    const around = 1 - seen;
    if (kind === 'none' || kind === 'moved' || kind === 'wrap') {
      const a = absorptivity * fromSource * exchange(this.part, source);
      const b = absorptivity * around * exchange(this.part, ambient);
      const c = h * airedOver;
      this.part =
        ((capacity / dt) * this.part + a * source + b * ambient + c * air + contact * held) /
        (capacity / dt + a + b + c + contact);
      return;
    }
    const shield = kind === 'shield';
    const own = shield ? SHIELD_EMISSIVITY : SLEEVE_ABSORPTIVITY;
    const a = own * fromSource * exchange(this.cover, source);
    // A shield has air on both sides; a sleeve has the part's surface.
    const b = own * around * exchange(this.cover, ambient);
    const c = h * (shield ? 2 : airedOver);
    const between = shield
      ? absorptivity * SHIELD_EMISSIVITY * exchange(this.part, this.cover)
      : SLEEVE_CONDUCTANCE * airedOver;
    const open = shield ? h * airedOver : 0;
    const c1 = (shield ? SHIELD_CAPACITY : SLEEVE_CAPACITY) / dt;
    const c2 = capacity / dt;
    const m11 = c1 + a + b + c + between;
    const m22 = c2 + between + open + contact;
    const r1 = c1 * this.cover + a * source + b * ambient + c * air;
    const r2 = c2 * this.part + open * air + contact * held;
    const determinant = m11 * m22 - between * between;
    this.cover = (r1 * m22 + between * r2) / determinant;
    this.part = (r2 * m11 + between * r1) / determinant;
  }
}

/** σ(Ta² + Tb²)(Ta + Tb): radiation between two temperatures as a coefficient, W/(m²·K). */
const exchange = (a: number, b: number) => STEFAN_BOLTZMANN * (a * a + b * b) * (a + b);
