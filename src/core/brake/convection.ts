import { type AirProperties, airConductivity, airViscosity } from '../air';
import { STANDARD_GRAVITY } from '../constants';
import { cubeRoot, exp, power, Recent, type UniformTable, uniformTable } from '../numeric';
import type { Corner, CornerAir, VaneType } from './parts';
import { type RotorGeometry, rotorGeometry } from './rotorGeometry';

/** Linear from 0 to 1 between two Reynolds numbers. */
function blend(reynolds: number, low: number, high: number): number {
  return Math.min(1, Math.max(0, (reynolds - low) / (high - low)));
}

/** Exponents of the Reynolds number on a rotor's faces. */
const LAMINAR = 0.55;
const TURBULENT = 0.8;
/** Height of a face over the air for which the faces' correlation is taken as it stands, K (own assumption). */
const REFERENCE_RISE = 300;

/** Heat transfer from the friction faces, W/(m²·K). */
export interface FaceCoefficient {
  readonly laminar: number;
  readonly turbulent: number;
}

/**
 * Heat transfer from the friction faces of a rotor in a wheel, 300 K over the air.
 * `Nu = 0.70·Re^0.55` below Re = 2.4e5, `0.04·Re^0.8` above, on road speed and rotor diameter
 * (Limpert, Brake Design and Safety; from memory). The two do not meet, so they are blended over 2.0e5 to 2.8e5; air
 * properties are those of the approaching air, at other temperatures of the face times `filmFactors`.
 * @param speed m/s
 * @param diameter outer, m
 * @returns both parts, W/(m²·K)
 */
export function faceCoefficient(air: AirProperties, speed: number, diameter: number): FaceCoefficient {
  if (speed <= 0) return { laminar: 0, turbulent: 0 };
  const reynolds = (air.density * speed * diameter) / air.viscosity;
  const share = blend(reynolds, 2.0e5, 2.8e5);
  const scale = air.conductivity / diameter;
  return {
    // Mostly one of the two alone; a power is what costs here.
    laminar: share < 1 ? scale * (1 - share) * 0.7 * power(reynolds, LAMINAR) : 0,
    turbulent: share > 0 ? scale * share * 0.04 * power(reynolds, TURBULENT) : 0,
  };
}

export interface FilmFactors {
  readonly laminar: UniformTable;
  readonly turbulent: UniformTable;
}
/** Every wheel of a run asks for the same. */
const films = new Recent<FilmFactors>(16);

/**
 * How the faces' heat transfer falls as the film between face and air gets hotter: `k·(ρ/µ)^m` at film temperature over
 * that of the reference, m the exponent of the Reynolds number (similarity; Incropera, Fundamentals of Heat and Mass
 * Transfer, chapter 7, from memory).
 * @param ambient K
 * @returns factors over the mean of face and air, 1
 */
export function filmFactors(ambient: number): FilmFactors {
  const key = String(ambient);
  const known = films.get(key);
  if (known) return known;
  const reference = ambient + 0.5 * REFERENCE_RISE;
  // At one pressure a gas's density goes with 1/T.
  const flow = (film: number) => 1 / (film * airViscosity(film));
  const factor = (exponent: number) => (film: number) =>
    (airConductivity(film) / airConductivity(reference)) * power(flow(film) / flow(reference), exponent);
  const made = { laminar: tableOf(factor(LAMINAR)), turbulent: tableOf(factor(TURBULENT)) };
  films.set(key, made);
  return made;
}

/** A function of temperature from 200 K up, at the knots of the common table. */
const tableOf = (value: (kelvin: number) => number) =>
  uniformTable(Array.from({ length: 200 }, (_, i) => [203.15 + 10 * i, value(203.15 + 10 * i)] as const));

/** Air through one wheel's duct for each m/s of speed, m²: what is not blanked off, times its coefficient of flow. */
export function ductFlowArea(air: CornerAir): number {
  return air.ductArea * air.ductCoefficient * (1 - air.tape);
}

/**
 * Open area that a duct and the opening it blows into have together, m²: losses in series,
 * `1/A² = 1/(C·A)² + K/A_in²` (Idelchik, Handbook of Hydraulic Resistance, for the form; K of 1 to 2 dynamic heads for
 * entering and leaving the opening, from memory). Never over `A_in/√K`, so that air does not enter faster than the car
 * drives.
 * @param duct its flow area `C·A`, m²
 * @param opening m²
 * @param loss K, 1
 */
export function openAreaInSeries(duct: number, opening: number, loss: number): number {
  return opening > 0 && duct > 0 ? duct / Math.sqrt(1 + (loss * duct * duct) / (opening * opening)) : 0;
}

/** Part of the duct's flow area that goes into the passage, and what is left for the faces, m². */
function ductOnRotor({ rotor, air, constants }: Corner): { inlet: number; surplus: number } {
  const all = ductFlowArea(air) * (1 - air.toCaliper);
  const inlet = openAreaInSeries(all, rotorGeometry(rotor).inletArea, constants.ductInletLoss);
  return { inlet, surplus: all - inlet };
}

/** Share of the heat a duct's air could carry that it picks up from faces it is blown onto (from memory). */
const BLOWN_ON = 0.04;
/** The most it adds to what passing air takes off: its jet is no faster than the car and meets about half of them (from memory). */
const MOST_BLOWN = 0.5;

/**
 * What a duct adds to the heat transfer of the faces, which what does not go into a passage blows onto: a share of its
 * air's capacity over the area the pads leave free, up to half of what the faces have without it.
 * @param faces what they have without it
 * @returns W/(m²·K); 0 for drums
 */
export function ductOnFaces(
  corner: Corner,
  air: AirProperties,
  speed: number,
  { laminar, turbulent }: FaceCoefficient,
): number {
  const { rotor, drum, pad } = corner;
  if (drum) return 0;
  const flow = air.density * ductOnRotor(corner).surplus * speed;
  const free = Math.max(1e-4, 2 * rotorGeometry(rotor).faceArea - 2 * pad.area);
  const most = MOST_BLOWN * (laminar + turbulent);
  return most > 0 ? most * (1 - exp(-(BLOWN_ON * flow * air.specificHeat) / (free * most))) : 0;
}

/** Factor of wheel and dust shield on the faces' convection: 1 for a half-open wheel without one (from memory). */
export function faceExposure(air: CornerAir): number {
  return (0.8 + 0.4 * air.wheelOpenArea) * (1 - 0.3 * air.shield);
}

/** Free section of the duct's jet where it meets a caliper, m² (from memory). */
const CALIPER_JET = 0.0015;

/** Heat transfer from a caliper, W/(m²·K): 10 standing to 60 at 50 m/s (from memory), the duct's jet joined in. */
export function caliperCoefficient({ air, constants }: Corner, speed: number): number {
  const flow = openAreaInSeries(ductFlowArea(air) * air.toCaliper, CALIPER_JET, constants.ductInletLoss);
  const jet = (flow * speed) / CALIPER_JET;
  return 10 + Math.sqrt(speed * speed + jet * jet);
}

/** What a passage pumps and how well its walls give heat, over straight vanes (from memory). */
const VANES: Readonly<Record<VaneType, { pump: number; wall: number }>> = {
  straight: { pump: 1, wall: 1 },
  pillar: { pump: 0.85, wall: 1.25 },
  curved: { pump: 1.2, wall: 1 },
  // Each row begins its boundary layer anew, at the price of some flow.
  'curved-staggered': { pump: 1.1, wall: 1.3 },
  'curved-reversed': { pump: 0.75, wall: 1 },
};

/** Air through the passage of a vented rotor. */
export interface Passage {
  /** kg/s */
  readonly massFlow: number;
  /** Share of it that came through the duct, 0 to 1 */
  readonly fresh: number;
  /** From the walls to the surroundings, W/K */
  readonly conductance: number;
}

const NO_PASSAGE: Passage = { massFlow: 0, fresh: 0, conductance: 0 };
/** Share of a fan's air speed that reaches the vanes of a standing rotor (from memory). */
const FAN_THROUGH = 0.15;

/**
 * Heat carried off by the air in a rotor's passage.
 * Pumping `v_in = 0.052·n·√(D² − d²)` (n in rev/min, m), `v_out = v_in·A_in/A_out`; turbulent
 * `Nu = 0.023·(1 + (d_h/l)^0.67)·Re^0.8·Pr^0.33` above Re = 1e4, laminar `1.86·(Re·Pr)^(1/3)·(d_h/l)^0.33`
 * (Limpert; from memory), between Re = 2300 and 1e4 linear between the two ends, as the VDI Heat Atlas (G1) does for
 * tubes. What of the duct's flow gets in joins by a power mean of exponent 2. The air takes no more than its capacity:
 * `ṁ·c_p·(1 − exp(−hA/ṁc_p))`; the share that comes round again from the wheel well takes less.
 * @param speed of the car, m/s
 * @param wheelRadius m
 * @param fan speed of a fan's air at a standing wheel, m/s
 * @param past speed of the air past the car, m/s: its own but for the wind
 */
export function passage(
  corner: Corner,
  air: AirProperties,
  speed: number,
  wheelRadius: number,
  fan = 0,
  past = speed,
): Passage {
  if (corner.drum) return NO_PASSAGE;
  const geometry = rotorGeometry(corner.rotor);
  const around = corner.air;
  if (geometry.inletArea <= 0 || speed + fan <= 0) return NO_PASSAGE;
  const { outerDiameter: D, innerDiameter: d } = corner.rotor;
  const vanes = VANES[corner.rotor.vaneType];
  const revolutions = (speed / (2 * Math.PI * wheelRadius)) * 60;
  const pumped = vanes.pump * 0.052 * revolutions * Math.sqrt(D * D - d * d);
  const ductFlow = air.density * ductOnRotor(corner).inlet * Math.max(past, fan);
  const driven = ductFlow / (air.density * geometry.inletArea);
  const inlet = Math.sqrt(pumped ** 2 + driven ** 2 + (FAN_THROUGH * fan) ** 2);
  const mean = 0.5 * inlet * (1 + geometry.inletArea / geometry.outletArea);
  const wallArea = geometry.cheekWall + geometry.vaneWall + geometry.holeWall;
  const walls =
    vanes.wall * corner.constants.vaneConvection * channelCoefficient(geometry, air, mean) * wallArea;
  const massFlow = air.density * inlet * geometry.inletArea;
  const capacity = massFlow * air.specificHeat;
  // A breath of nothing: what it carries off is lost in rounding.
  if (capacity < 1e-9) return NO_PASSAGE;
  const effectiveness = 1 - exp(-(walls * around.coolingFactor) / capacity);
  const fresh = Math.min(1, ductFlow / massFlow);
  const again = around.recirculation * (1 - fresh);
  const conductance = (capacity * effectiveness * (1 - again)) / (1 - again * (1 - effectiveness));
  return { massFlow, fresh, conductance };
}

/** Reynolds numbers up to which a channel's flow is laminar, and from which on it is turbulent. */
const LAMINAR_UP_TO = 2300;
const TURBULENT_FROM = 1e4;

/** Nusselt numbers of a channel in some air, over its Reynolds number; between the two it is on a line from end to end. */
interface ChannelFlow {
  readonly laminar: (reynolds: number) => number;
  readonly turbulent: (reynolds: number) => number;
  readonly laminarEnd: number;
  readonly turbulentBegin: number;
}
const flows = new WeakMap<RotorGeometry, { readonly prandtl: number; readonly flow: ChannelFlow }>();

function channelFlow(geometry: RotorGeometry, prandtl: number): ChannelFlow {
  const known = flows.get(geometry);
  if (known?.prandtl === prandtl) return known.flow;
  const slim = geometry.hydraulicDiameter / geometry.vaneLength;
  const [entryLaminar, entryTurbulent] = [power(slim, 0.33), power(slim, 0.67)];
  const byPrandtl = power(prandtl, 0.33);
  const laminar = (re: number) => 1.86 * cubeRoot(re * prandtl) * entryLaminar;
  const turbulent = (re: number) => 0.023 * (1 + entryTurbulent) * power(re, 0.8) * byPrandtl;
  const ends = { laminarEnd: laminar(LAMINAR_UP_TO), turbulentBegin: turbulent(TURBULENT_FROM) };
  const flow = { laminar, turbulent, ...ends };
  flows.set(geometry, { prandtl, flow });
  return flow;
}

/** Heat transfer from the walls of a vane channel, W/(m²·K). @param speed mean in the channel, m/s */
function channelCoefficient(geometry: RotorGeometry, air: AirProperties, speed: number): number {
  const { hydraulicDiameter: dh } = geometry;
  const reynolds = (air.density * speed * dh) / air.viscosity;
  const { laminar, turbulent, laminarEnd, turbulentBegin } = channelFlow(geometry, air.prandtl);
  const share = blend(reynolds, LAMINAR_UP_TO, TURBULENT_FROM);
  const slow = reynolds < LAMINAR_UP_TO ? laminar(reynolds) : laminarEnd;
  const fast = reynolds > TURBULENT_FROM ? turbulent(reynolds) : turbulentBegin;
  return (((1 - share) * slow + share * fast) * air.conductivity) / dh;
}

/**
 * Natural convection from a hot upright surface in still air: `Nu = 0.59·Ra^(1/4)`
 * (Incropera, Fundamentals of Heat and Mass Transfer, section 9.6; from memory), properties at film temperature.
 * @param surface K
 * @param ambient K
 * @param pressure Pa
 * @param height of the surface, m
 * @returns W/(m²·K)
 */
export function naturalCoefficient(
  surface: number,
  ambient: number,
  pressure: number,
  height: number,
): number {
  const difference = Math.max(0, surface - ambient);
  if (difference === 0) return 0;
  const film = 0.5 * (surface + ambient);
  const density = pressure / (287.05287 * film);
  const kinematic = airViscosity(film) / density;
  const rayleigh = (0.7 * STANDARD_GRAVITY * difference * height * height * height) / (film * kinematic ** 2);
  return (0.59 * Math.sqrt(Math.sqrt(rayleigh)) * airConductivity(film)) / height;
}
