import type { Steps } from '../schedule';
import type { WheelRecord } from './record';
import type { ZoneHeat } from './result';
import { type ZoneSpan, zoneSpans } from './zoneForces';

/** Each braking zone of a lap as one wheel's brake went through it. @param sample the lap's first */
export function zoneHeats(record: WheelRecord, steps: Steps, sample: number): ZoneHeat[] {
  const heats: ZoneHeat[] = [];
  for (const span of zoneSpans(steps)) heats.push(zoneHeat(record, steps, sample, span));
  return heats;
}

function zoneHeat(record: WheelRecord, steps: Steps, sample: number, { from, to }: ZoneSpan): ZoneHeat {
  const before = sample + from - 1;
  const after = sample + to;
  let facePeak = 0;
  let bandPeak = 0;
  let frictionLeast = Number.POSITIVE_INFINITY;
  let weighted = 0;
  let heat = 0;
  for (let i = before; i <= after; i++) {
    facePeak = Math.max(facePeak, record.rotorFace[i]);
    bandPeak = Math.max(bandPeak, record.rotorBand[i]);
    frictionLeast = Math.min(frictionLeast, record.friction[i]);
    if (i === before) continue;
    const made = 0.5 * (record.early[i] + record.late[i]) * steps.dt[i - sample];
    weighted += 0.5 * (record.friction[i - 1] + record.friction[i]) * made;
    heat += made;
  }
  return {
    faceBefore: record.rotorFace[before],
    facePeak,
    bandPeak,
    faceAfter: record.rotorFace[after],
    bulkBefore: record.rotorBulk[before],
    bulkAfter: record.rotorBulk[after],
    padFaceBefore: record.padFace[before],
    fluidAfter: record.fluid[after],
    frictionBefore: record.friction[before],
    frictionLeast,
    frictionMean: heat > 0 ? weighted / heat : record.friction[before],
  };
}
