import type { AirProperties } from '../air';
import { CHANNEL_COUNT, CornerDrive, cornerOfWheel } from '../brake';
import type { KnownSteps } from '../heat';
import { OWN_ROOM, type Room } from '../numeric';
import type { BrakedCar, Steps } from '../schedule';
import type { DistinctWheel } from './distinct';

/** What drives each wheel's network: air past its faces, through its vanes and from its ducts. */
export class Drives {
  /** Steps with their drive in one air, by wheel: laps of one kind come again and again */
  private readonly before = new Map<Steps, { readonly air: AirProperties; readonly known: KnownSteps[] }>();
  private corners: { readonly air: AirProperties; readonly drives: readonly CornerDrive[] } | null = null;

  constructor(
    private readonly car: BrakedCar,
    private readonly wheels: readonly DistinctWheel[],
    private readonly room: Room = OWN_ROOM,
  ) {}

  /** Every step with its drive channels, by wheel. */
  of(steps: Steps, air: AirProperties): KnownSteps[] {
    const before = this.before.get(steps);
    if (before?.air === air) return before.known;
    const { dt, event, speed, airSpeed, inZone, fan } = steps;
    const known: KnownSteps[] = [];
    // Loops: a closure that is made for each day is compiled anew again and again.
    for (const corner of this.in(air)) {
      const drives = this.room.floats(dt.length * CHANNEL_COUNT);
      for (let k = 0; k < dt.length; k++) {
        corner.fill(drives, k * CHANNEL_COUNT, speed[k], inZone[k] === 1, fan, airSpeed[k]);
      }
      known.push({ dt, event, drives });
    }
    this.before.set(steps, { air, known });
    return known;
  }

  /** What fills the rows of each wheel in some air. */
  in(air: AirProperties): readonly CornerDrive[] {
    if (this.corners?.air !== air) {
      const { wheelRadius } = this.car.vehicle;
      const of = ({ wheel }: DistinctWheel) =>
        new CornerDrive(cornerOfWheel(this.car, wheel), air, wheelRadius);
      this.corners = { air, drives: this.wheels.map(of) };
    }
    return this.corners.drives;
  }
}
