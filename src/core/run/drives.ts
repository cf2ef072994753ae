import type { AirProperties } from '../air';
import { CHANNEL_COUNT, cornerOfWheel, fillDrive } from '../brake';
import type { KnownSteps } from '../heat';
import type { BrakedCar, Steps } from '../schedule';
import type { DistinctWheel } from './distinct';

/** What drives each wheel's network: air past its faces, through its vanes and from its ducts. */
export class Drives {
  /** Steps with their drive in one air, by wheel: laps of one kind come again and again */
  private readonly before = new Map<Steps, { readonly air: AirProperties; readonly known: KnownSteps[] }>();

  constructor(
    private readonly car: BrakedCar,
    private readonly wheels: readonly DistinctWheel[],
  ) {}

  /** Every step with its drive channels, by wheel. */
  of(steps: Steps, air: AirProperties): KnownSteps[] {
    const before = this.before.get(steps);
    if (before?.air === air) return before.known;
    const { dt, event } = steps;
    const known = this.wheels.map((_, i) => {
      const drives = new Float64Array(dt.length * CHANNEL_COUNT);
      for (let k = 0; k < dt.length; k++) {
        const at = k * CHANNEL_COUNT;
        this.fill(drives, at, i, air, steps.speed[k], steps.airSpeed[k], steps.inZone[k] === 1, steps.fan);
      }
      return { dt, event, drives };
    });
    this.before.set(steps, { air, known });
    return known;
  }

  /**
   * Fills one row.
   * @param at where it begins
   * @param i which of the wheels
   * @param speed m/s
   * @param past the wheels, of the air, m/s
   * @param on whether the brakes are
   * @param fan of a fan's air, m/s
   */
  fill(
    rows: Float64Array,
    at: number,
    i: number,
    air: AirProperties,
    speed: number,
    past: number,
    on: boolean,
    fan: number,
  ): void {
    const corner = cornerOfWheel(this.car, this.wheels[i].wheel);
    fillDrive(rows, at, corner, air, speed, this.car.vehicle.wheelRadius, on, fan, past);
  }
}
