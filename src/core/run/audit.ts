import type { CornerRun } from './cornerRun';
import type { DistinctWheel } from './distinct';
import type { EnergyAudit } from './result';

/** Heat of all wheels: what went in, what is stored, what went out, J; and the share that is missing. */
export function auditOf(wheels: readonly DistinctWheel[], runs: readonly CornerRun[]): EnergyAudit {
  let [supplied, stored, lost] = [0, 0, 0];
  runs.forEach((wheel, i) => {
    const count = wheels[i].also ? 2 : 1;
    const one = wheel.audit();
    supplied += count * one.supplied;
    stored += count * one.stored;
    lost += count * one.lost;
  });
  const residual = supplied > 0 ? Math.abs(supplied - stored - lost) / supplied : 0;
  return { supplied, stored, lost, residual };
}

/**
 * @param time of the sample, s
 * @param lap counted from 0
 * @throws RangeError naming the wheel whose rotor has no temperature at a sample, and when that was
 */
export function assertNumbers(
  wheels: readonly DistinctWheel[],
  runs: readonly CornerRun[],
  sample: number,
  time: number,
  lap: number,
): void {
  runs.forEach(({ record }, i) => {
    if (Number.isFinite(record.rotorBulk[sample])) return;
    const when = `after ${time.toFixed(1)} s (lap ${lap + 1})`;
    throw new RangeError(`The rotor of wheel ${wheels[i].wheel} has no temperature ${when}.`);
  });
}
