import type { AxleName } from '../brake';
import type { Braked } from '../schedule';

/** A stop whose speed followed from the brakes, as it was driven. */
export interface StopTold extends Braked {
  /** m/s */
  readonly from: number;
  readonly to: number;
  /** From first touch of the pedal, m and s */
  readonly distance: number;
  readonly time: number;
  /** Between 80 and 10 % of the speed; over the whole stop where it ends above */
  readonly meanDeceleration: number;
  /** Greatest pedal force, and those at the start and the end of full braking, N */
  readonly pedal: number;
  readonly pedalStart: number;
  readonly pedalEnd: number;
  /** m */
  readonly travel: number;
}

/** What limits a braking: who would have to give more for it to be shorter. */
export type ZoneLimit = 'tyres' | 'pedal' | 'travel' | 'fade' | 'cold';

/** What a braking zone asks of the driver's foot and of both axles. */
export interface ZoneForce {
  /** Greatest pedal force needed, N; infinite where no force makes the braking zone */
  readonly pedal: number;
  /** Pedal force of the braking zone's mean braking with the friction at its first bite, and with what stays at its end, N */
  readonly pedalBite: number;
  readonly pedalStay: number;
  /** Greatest line pressures, Pa */
  readonly frontPressure: number;
  readonly rearPressure: number;
  /** Greatest pedal travel, m */
  readonly travel: number;
  /** Part of it that closes what the corners before have knocked back, m */
  readonly knockBack: number;
  /** Brake balance of all braking at the start, over the braking zone's work, and at its end; and the ideal one */
  readonly share: StartMeanEnd;
  readonly ideal: StartMeanEnd;
  /** Brake balance and ideal share at the instant that asks most of the tyres, and the axle that is nearer to locking then */
  readonly hardest: { readonly share: number; readonly ideal: number };
  readonly locksFirst: AxleName;
  /** Least of available braking at the driver's limits over the braking needed, minus one; −1 where nothing brakes */
  readonly fadeMargin: number;
  /** Least braking available, N */
  readonly available: number;
  /** Greatest braking needed, N */
  readonly needed: number;
  /** How much longer the braking zone runs, m; null where the car does not stop: no braking is left, or over 1 km is missing */
  readonly extraDistance: number | null;
  readonly limit: ZoneLimit;
  /** Heat into the two front and the two rear brakes as the friction shared it, J */
  readonly frontHeat: number;
  readonly rearHeat: number;
  /** Work the motor took, J */
  readonly recovered: number;
}
export interface StartMeanEnd {
  readonly start: number;
  readonly mean: number;
  readonly end: number;
}
