import { type AirProperties, airConductivity, airViscosity } from '../air';
import { STANDARD_GRAVITY } from '../constants';
import { exp, power, Recent, type UniformTable, uniformTable } from '../numeric';
import type { Corner, CornerAir } from './parts';
import { rotorGeometry } from './rotorGeometry';

/** Linear from 0 to 1 between two Reynolds numbers. */
export function blend(reynolds: number, low: number, high: number): number {
  return Math.min(1, Math.max(0, (reynolds - low) / (high - low)));
}

/** Exponents of the Reynolds number on a rotor's faces. */
const LAMINAR = 0.55;
const TURBULENT = 0.8;
/** Height of a face over the air for which the faces' correlation is taken as it stands, K (own assumption). */
const REFERENCE_RISE = 300;

/**
 * Heat transfer from the friction faces of a rotor in a wheel, 300 K over the air.
 * `Nu = 0.70·Re^0.55` below Re = 2.4e5, `0.04·Re^0.8` above, on road speed and rotor diameter
 * (Limpert, Brake Design and Safety; from memory). The two do not meet, so they are blended over 2.0e5 to 2.8e5; air
 * properties are those of the approaching air, at other temperatures of the face times `filmFactors`.
 */
export class FaceFilm {
  /** Both parts at the speed passed, W/(m²·K) */
  laminar = 0;
  turbulent = 0;

  /** @param diameter outer, m */
  constructor(
    private readonly air: AirProperties,
    private readonly diameter: number,
  ) {}

  /** @param speed of the air, m/s */
  pass(speed: number): void {
    const { air, diameter } = this;
    const reynolds = (air.density * Math.max(0, speed) * diameter) / air.viscosity;
    const share = blend(reynolds, 2.0e5, 2.8e5);
    const scale = air.conductivity / diameter;
    // Mostly one of the two alone; a power is what costs here.
    this.laminar = share < 1 ? scale * (1 - share) * 0.7 * power(reynolds, LAMINAR) : 0;
    this.turbulent = share > 0 ? scale * share * 0.04 * power(reynolds, TURBULENT) : 0;
  }
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
  const conductivity = airConductivity(reference);
  const flow = flowOf(reference);
  const factors = (exponent: number) =>
    uniformTable(
      FILMS.map(
        (film) =>
          [film.kelvin, (film.conductivity / conductivity) * power(film.flow / flow, exponent)] as const,
      ),
    );
  const made = { laminar: factors(LAMINAR), turbulent: factors(TURBULENT) };
  films.set(key, made);
  return made;
}

/** ρ/µ of air over that at some other temperature: at one pressure a gas's density goes with 1/T. */
const flowOf = (kelvin: number): number => 1 / (kelvin * airViscosity(kelvin));

/** Air at the knots of the common table from 200 K up. */
const FILMS = Array.from({ length: 200 }, (_, i) => {
  const kelvin = 203.15 + 10 * i;
  return { kelvin, conductivity: airConductivity(kelvin), flow: flowOf(kelvin) };
});

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
export function ductOnRotor({ rotor, air, constants }: Corner): { inlet: number; surplus: number } {
  const all = ductFlowArea(air) * (1 - air.toCaliper);
  const inlet = openAreaInSeries(all, rotorGeometry(rotor).inletArea, constants.ductInletLoss);
  return { inlet, surplus: all - inlet };
}

/** Share of the heat a duct's air could carry that it picks up from faces it is blown onto (from memory). */
const BLOWN_ON = 0.04;
/** The most it adds to what passing air takes off: its jet is no faster than the car and meets about half of them (from memory). */
const MOST_BLOWN = 0.5;

/**
 * Exponent, over speed in m/s and over what faces have without it in W/(m²·K), of what a duct adds to their heat transfer,
 * which what does not go into a passage blows onto: a share of its air's capacity over the area the pads leave free.
 */
export function blownOn(corner: Corner, air: AirProperties): number {
  const { rotor, drum, pad } = corner;
  if (drum) return 0;
  const free = Math.max(1e-4, 2 * rotorGeometry(rotor).faceArea - 2 * pad.area);
  return (BLOWN_ON * air.density * ductOnRotor(corner).surplus * air.specificHeat) / (free * MOST_BLOWN);
}

/**
 * What a duct adds to the heat transfer of the faces, up to half of what they have without it, W/(m²·K).
 * @param faces what they have without it
 * @param blown `blownOn` of the corner
 * @param speed m/s
 */
export function ductOnFaces(faces: number, blown: number, speed: number): number {
  return faces > 0 ? MOST_BLOWN * faces * (1 - exp(-(blown * speed) / faces)) : 0;
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
