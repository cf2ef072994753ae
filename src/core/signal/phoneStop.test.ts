import { describe, expect, test } from 'vitest';
import { simulatedPhone } from '../../server/standIns/phone';
import { phoneStop } from '.';

test('x', () => {
  for (const [speeds, motion] of [
    [true, true],
    [true, false],
    [false, true],
    [false, false],
  ] as const) {
    let worst = 0,
      inside = 0,
      e = 0,
      rms = 0,
      mean = 0,
      two = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const p = simulatedPhone({
        speed: 80 / 3.6,
        deceleration: 7.5,
        rate: 1,
        accuracy: 3,
        speeds,
        motion,
        seed,
      });
      const s = phoneStop(p.fixes, p.motion);
      const off = s.distance - p.truth.distance;
      mean += off / 60;
      worst = Math.max(worst, Math.abs(off));
      rms += (off * off) / 60;
      e += s.error / 60;
      if (p.truth.distance >= s.range[0] && p.truth.distance <= s.range[1]) inside++;
      if (Math.abs(off) < 2) two++;
    }
    console.log(
      speeds,
      motion,
      'worst',
      worst,
      mean,
      'rms',
      Math.sqrt(rms),
      'told',
      e,
      'inside',
      inside,
      'within2',
      two,
    );
  }
});
