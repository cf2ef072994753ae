import type { Outcome, Piece, Schedule } from './piece';
import { givenPiece, listedSchedule, stopPiece } from './piece';
import { rollSteps } from './unbraked';

const KMH = 1 / 3.6;
/** Greatest pedal force the rules allow, N. UN R13-H; 49 CFR 571.135. */
export const RULE_PEDAL = { least: 65, most: 500 } as const;

/** Speed the cold and the hot stop begin at, m/s (100 km/h). */
const STOP_SPEED = 100 * KMH;

/**
 * Cold stop from 100 km/h with the engine disconnected, pedal up to 500 N. UN R13-H, annex 3, type 0.
 * @param ambient K
 */
export function coldStopSchedule(ambient: number): Schedule {
  return listedSchedule([stopPiece({ from: STOP_SPEED, to: 0, ask: { atMost: RULE_PEDAL.most }, ambient })]);
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
 * Heating and hot stop, UN R13-H annex 3 type I and 49 CFR 571.135 S7.13: 15 snubs at 3 m/s², 45 s apart, then at once
 * the cold stop again with no more pedal force than it took.
 * @param ambient K
 * @param topSpeed m/s
 * @param coldPedal greatest pedal force of the cold stop, N
 */
export function hotStopSchedule(ambient: number, topSpeed: number, coldPedal: number): Schedule {
  const [from, to] = heatingSpeeds(topSpeed);
  const engineEngaged = true;
  const roll = (a: number, b: number, duration: number) => givenPiece(rollSteps(a, b, duration), ambient);
  return {
    ambient,
    sided: false,
    samples: 0,
    legs: [{ session: 0, kind: 'hot' }],
    *pieces(): Generator<Piece, void, Outcome> {
      for (let k = 0; k < SNUBS; k++) {
        const ask = { deceleration: SNUB_DECELERATION };
        const { duration } = yield stopPiece({ from, to, ask, ambient, engineEngaged });
        // After the last one the car goes straight on to the hot stop.
        if (k === SNUBS - 1) break;
        const left = SNUB_CYCLE - duration;
        const back = Math.min(left, (from - to) / SNUB_ACCELERATION);
        yield roll(to, from, back);
        if (left > back) yield roll(from, from, left - back);
      }
      yield roll(to, STOP_SPEED, Math.max(1, (STOP_SPEED - to) / SNUB_ACCELERATION));
      const ask = { atMost: Math.min(RULE_PEDAL.most, coldPedal) };
      yield stopPiece({ from: STOP_SPEED, to: 0, ask, ambient, engineEngaged });
    },
  };
}
