import type { LapTrace } from '../lap';
import type { WheelRecord } from './record';
import type { StopHeat } from './result';
import type { LapSchedule } from './schedule';

/** Each stop of a lap as one wheel's brake went through it. @param sample the lap's first */
export function stopHeats(
  record: WheelRecord,
  trace: LapTrace,
  schedule: LapSchedule,
  sample: number,
): StopHeat[] {
  return trace.stops.map((_, stop) => {
    const first = schedule.stop.findIndex((s, k) => s === stop && schedule.inStop[k] === 1);
    let last = first;
    while (schedule.inStop[last + 1] === 1 && schedule.stop[last + 1] === stop) last++;
    const before = sample + first - 1;
    const after = sample + last;
    let facePeak = 0;
    let frictionLeast = Number.POSITIVE_INFINITY;
    let weighted = 0;
    let heat = 0;
    for (let i = before; i <= after; i++) {
      facePeak = Math.max(facePeak, record.rotorFace[i]);
      frictionLeast = Math.min(frictionLeast, record.friction[i]);
      if (i === before) continue;
      const made = 0.5 * (record.early[i] + record.late[i]) * schedule.dt[i - sample];
      weighted += 0.5 * (record.friction[i - 1] + record.friction[i]) * made;
      heat += made;
    }
    return {
      faceBefore: record.rotorFace[before],
      facePeak,
      faceAfter: record.rotorFace[after],
      bulkBefore: record.rotorBulk[before],
      bulkAfter: record.rotorBulk[after],
      padFaceBefore: record.padFace[before],
      fluidAfter: record.fluid[after],
      frictionBefore: record.friction[before],
      frictionLeast,
      frictionMean: heat > 0 ? weighted / heat : record.friction[before],
    };
  });
}
