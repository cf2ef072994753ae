import type { DayInput } from './input';
import { ProcedureRun, type ProcedureStop } from './procedure';

const KMH = 1 / 3.6;

/** One requirement of a rule against what was computed. */
export interface Requirement {
  readonly what: 'distance' | 'deceleration' | 'pedal' | 'kept' | 'prescribed';
  /** m, m/s², N or a share */
  readonly limit: number;
  readonly value: number;
  /** Whether the value must lie under or over the limit */
  readonly must: 'not exceed' | 'reach';
  readonly met: boolean;
  readonly source: string;
}

export interface ProcedureResult {
  readonly stops: readonly ProcedureStop[];
  readonly requirements: readonly Requirement[];
}

const R13H = 'UN R13-H';
const needs = (
  what: Requirement['what'],
  value: number,
  must: Requirement['must'],
  limit: number,
  source: string,
): Requirement => ({
  what,
  value,
  must,
  limit,
  source,
  met: must === 'reach' ? value >= limit : value <= limit,
});

/** Pedal forces a rule allows, N. UN R13-H; 49 CFR 571.135. */
const RULE_PEDAL = { least: 65, most: 500 } as const;

const start = (input: DayInput, celsius: number, engineEngaged: boolean) => ({
  temperature: 273.15 + celsius,
  ambient: input.sessions[0].ambient,
  engineEngaged,
});

function coldRequirements(stop: ProcedureStop): Requirement[] {
  const v = stop.from / KMH;
  return [
    needs('distance', stop.distance, 'not exceed', 0.1 * v + 0.006 * v * v, R13H),
    needs('deceleration', stop.meanDeceleration, 'reach', 6.43, R13H),
    needs('pedal', stop.pedal, 'not exceed', RULE_PEDAL.most, R13H),
    needs('pedal', stop.pedal, 'reach', RULE_PEDAL.least, R13H),
  ];
}

/** Cold stop from 100 km/h with the engine disconnected: brakes at 80 °C, pedal up to 500 N. UN R13-H, annex 3, type 0. */
export function coldStop(input: DayInput): ProcedureResult {
  const run = new ProcedureRun(input, start(input, 80, false));
  const stop = run.stop(100 * KMH, 0, { atMost: RULE_PEDAL.most });
  return { stops: [stop], requirements: coldRequirements(stop) };
}

/** The heating sequence's speeds: from 80 % of top speed, at most 120 km/h, to half of that, m/s. */
export function heatingSpeeds(topSpeed: number): readonly [number, number] {
  const from = Math.min(0.8 * topSpeed, 120 * KMH);
  return [from, from / 2];
}
const SNUBS = 15;
/** From the start of one to the start of the next, s. */
const SNUB_CYCLE = 45;
const SNUB_DECELERATION = 3;
/** Evenly back to speed between snubs, m/s²; the rule leaves it to the car. */
const SNUB_ACCELERATION = 1.5;

/**
 * Heating and hot stop, UN R13-H annex 3 type I and 49 CFR 571.135 S7.13: a cold stop, then 15 snubs at 3 m/s², 45 s
 * apart, then at once the stop again with no more pedal force than the cold one took.
 */
export function hotStop(input: DayInput, topSpeed: number): ProcedureResult {
  const cold = coldStop(input).stops[0];
  const run = new ProcedureRun(input, start(input, 80, true));
  const [from, to] = heatingSpeeds(topSpeed);
  const stops: ProcedureStop[] = [];
  for (let k = 0; k < SNUBS; k++) {
    const snub = run.stop(from, to, { deceleration: SNUB_DECELERATION });
    stops.push(snub);
    const left = SNUB_CYCLE - snub.time;
    const back = Math.min(left, (from - to) / SNUB_ACCELERATION);
    // After the last one the car goes straight on to the hot stop.
    if (k === SNUBS - 1) break;
    run.roll(to, from, back);
    if (left > back) run.roll(from, from, left - back);
  }
  run.roll(to, cold.from, Math.max(1, (cold.from - to) / SNUB_ACCELERATION));
  const hot = run.stop(cold.from, 0, { atMost: Math.min(RULE_PEDAL.most, cold.pedal) });
  return {
    stops: [...stops, hot],
    requirements: [
      needs(
        'kept',
        hot.meanDeceleration / cold.meanDeceleration,
        'reach',
        0.6,
        'UN R13-H type I; 49 CFR 571.135 S7.13',
      ),
      needs('prescribed', hot.meanDeceleration / 6.43, 'reach', 0.75, 'UN R13-H type I (from memory)'),
      needs('pedal', hot.pedal, 'not exceed', RULE_PEDAL.most, R13H),
    ],
  };
}

export interface RepeatedStops {
  /** m/s */
  readonly speed: number;
  readonly count: number;
  /** m/s² */
  readonly deceleration: number;
  /** Rolling back to speed between them, s */
  readonly pause: number;
}

/** Equal stops in a row from one speed, each held at a deceleration as far as brakes, foot and tyres allow. */
export function repeatedStops(
  input: DayInput,
  { speed, count, deceleration, pause }: RepeatedStops,
): ProcedureResult {
  const run = new ProcedureRun(input, start(input, 60, false));
  const stops: ProcedureStop[] = [];
  for (let k = 0; k < count; k++) {
    if (k > 0) run.roll(0, speed, pause);
    stops.push(run.stop(speed, 0, { deceleration }));
  }
  return { stops, requirements: [] };
}

/** Distance put right for the speed it was driven at: `s·(v_target/v)²`. SAE J299. */
export const correctedDistance = (distance: number, speed: number, target: number): number =>
  distance * (target / speed) ** 2;

/**
 * Mean fully developed deceleration, m/s²: `(vb² − ve²)/(25.92·(se − sb))`. UN R13-H, annex 3.
 * @param vb,ve km/h; at 80 and 10 % of the initial speed
 * @param sb,se m
 */
export const meanFullyDeveloped = (vb: number, ve: number, sb: number, se: number): number =>
  (vb * vb - ve * ve) / (25.92 * (se - sb));

/** Mean deceleration of a stop from a speed over a distance, m/s²: `v²/2s`. */
export const meanOverDistance = (speed: number, distance: number): number => (speed * speed) / (2 * distance);
