import { brakingDeceleration, drivingAcceleration, type Forces } from './forces';
import type { WindyLine } from './wind';

/**
 * What a speed changes by along a line. Question and answer are fields: what is handed to a function or returned by it as
 * a number may be put on the heap, and a lap asks some thousand times.
 */
export interface Rate {
  /** What it is asked at, m/s */
  speed: number;
  /** m/s², in the direction that is gone */
  value: number;
  /** Finds the value at the speed. @param i point of the line */
  find(i: number): void;
}

/** Acceleration under full power. */
export class FullPower implements Rate {
  speed = 0;
  value = 0;

  constructor(
    private readonly forces: Forces,
    private readonly line: WindyLine,
  ) {}

  find(i: number): void {
    const { forces, speed } = this;
    const { curvature, grade, headwind } = this.line;
    this.value = drivingAcceleration(forces, speed, curvature[i], grade[i], headwind ? headwind[i] : 0);
  }
}

/** Deceleration with all the braking the driver uses. */
export class FullBraking implements Rate {
  speed = 0;
  value = 0;

  /**
   * @param most braking force of the brakes at each point, N; n + 1. Left out, the tyres are the limit
   * @param clicks on the driver's balance control at each point; n + 1. Left out, none
   */
  constructor(
    private readonly forces: Forces,
    private readonly line: WindyLine,
    private readonly most?: Float64Array,
    private readonly clicks?: Float64Array,
  ) {}

  find(i: number): void {
    const { forces, speed, most, clicks } = this;
    const { curvature, grade, headwind } = this.line;
    this.value = brakingDeceleration(
      forces,
      speed,
      curvature[i],
      grade[i],
      most ? most[i] : Number.POSITIVE_INFINITY,
      clicks ? clicks[i] : 0,
      headwind ? headwind[i] : 0,
    );
  }
}
