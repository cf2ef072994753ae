/** A schedule that nothing can drive: what was asked and what was expected. */
export class ScheduleError extends RangeError {
  constructor(
    /** As a field's name */
    readonly what: string,
    readonly value: number,
    /** What would do, with its unit */
    readonly expected: string,
  ) {
    super(`Schedule, ${what}: ${value} was given; ${expected} was expected.`);
  }
}

/** @throws ScheduleError for what is not above zero, or has no end */
export function assertPositive(value: number, what: string, unit: string): void {
  if (!(value > 0 && value < Number.POSITIVE_INFINITY)) {
    throw new ScheduleError(what, value, `more than 0 ${unit}, and not without end,`);
  }
}

/** @throws ScheduleError for a speed that runs backwards or has no end, m/s */
export function assertSpeed(value: number, what: string): void {
  if (!(value >= 0 && value < Number.POSITIVE_INFINITY)) {
    throw new ScheduleError(what, value, '0 m/s or more, forwards and not without end,');
  }
}
