import { LentRoom, OWN_ROOM, type Room } from '../numeric';
import { type DayInput, DEFAULT_NUMERICS, daySchedule, type Numerics } from '../schedule';
import { DayObserver, DrivenDay } from './drivenDay';
import type { Kept } from './record';
import type { DayResult } from './result';
import { run } from './run';

/** Drives a day. @param room where its record lies */
function drive(input: DayInput, numerics: Numerics, kept: Kept, room: Room): DrivenDay {
  const schedule = daySchedule(input, numerics);
  const observer = new DayObserver(schedule.legs);
  const start = input.start ?? schedule.ambient;
  const { refinement } = numerics;
  const driven = run(input, input, schedule, start, [observer], { refinement, kept, room });
  return new DrivenDay(input, driven, observer);
}

/**
 * Computes a whole day: the laps, their braking work, and the temperatures of every brake part from the first lap to the
 * end of the last time standing.
 * @param input a valid day, SI
 * @param kept what of it is recorded
 * @throws RangeError naming what is not a number and where, or a speed at which the car would lift off
 * @throws StateError for a start that these brakes cannot be in
 */
export const simulateDay = (
  input: DayInput,
  numerics: Numerics = DEFAULT_NUMERICS,
  kept: Kept = 'all',
): DayResult => drive(input, numerics, kept, OWN_ROOM).told();

/** The same for who looks at a few named parts: no node's temperature is kept, and nothing is found that is not asked for. */
export const leanDay = (input: DayInput, numerics: Numerics = DEFAULT_NUMERICS): DrivenDay =>
  drive(input, numerics, 'parts', OWN_ROOM);

/** Room that no day is looked at in; more than one where a look drives a day itself. */
const idle: LentRoom[] = [];

/**
 * The same for who throws the day away once it is looked at.
 * @param look what is wanted of it: numbers, no series of its record, which the next day is written over
 */
export function lookAtDay<T>(
  input: DayInput,
  look: (day: DrivenDay) => T,
  numerics: Numerics = DEFAULT_NUMERICS,
): T {
  const room = idle.pop() ?? new LentRoom();
  try {
    return look(drive(input, numerics, 'parts', room));
  } finally {
    room.clear();
    idle.push(room);
  }
}
