import { describe, expect, it } from 'vitest';
import { plainBrakes } from '../../../tests/support/vehicles';
import { STANDARD_GRAVITY } from '../constants';
import { modulation } from './modulation';

const chassis = {
  mass: 1000,
  wheelbase: 2.5,
  frontWeight: 0.5,
  gravityHeight: 0.5,
  frontDownforce: 0.4,
};
const brakes = plainBrakes(0.7);
const input = { brakes, chassis, wheelRadius: 0.3 } as unknown as Parameters<typeof modulation>[0];
const friction = { front: 0.4, rear: 0.4 };

describe('modulation', () => {
  it('of brakes without help is a straight line: each tenth of g the same, half of the foot at half of the braking', () => {
    const { full, half, perTenth, width, limit } = modulation(input, friction, 0.9);
    expect(limit).toBe('tyres');
    expect(half.z).toBeCloseTo(full.z / 2, 12);
    expect(half.pedal / full.pedal).toBeCloseTo(0.5, 6);
    expect(width).toBeCloseTo(full.pedal / 2, 6);
    // By hand: force = 2·(µ·2·A·r/R)·(shares 1.4 and 0.6)·p, p = pedal·ratio/A_cylinder.
    const perPascal = (2 * 2 * 0.4 * 2e-3 * 0.12 * (1.4 + 0.6)) / 0.3;
    const newton = (0.1 * 1000 * STANDARD_GRAVITY) / ((perPascal * 4) / 4e-4);
    expect(perTenth).toBeCloseTo(newton, 6);
  });

  it('ends where the first axle’s tyres do: more grip more braking, and by the foot where that is short', () => {
    const { full } = modulation(input, friction, 0.9);
    // Brake balance 0.7 against its load: z·0.7 = µ·(0.5 + z·h/L).
    expect(full.z).toBeCloseTo((0.9 * 0.5) / (0.7 - 0.9 * 0.2), 5);
    const weak = { ...input, brakes: { ...brakes, forceLimit: 100 } };
    const foot = modulation(weak, friction, 0.9);
    expect(foot.limit).toBe('pedal');
    expect(foot.full.pedal).toBeCloseTo(100, 3);
  });

  it('of less friction asks more of the foot for the same and is wider; of a booster less and narrower', () => {
    const good = modulation(input, friction, 0.9);
    const cold = modulation(input, { front: 0.2, rear: 0.2 }, 0.9);
    expect(cold.perTenth / good.perTenth).toBeCloseTo(2, 6);
    const boosted = modulation(
      { ...input, brakes: { ...brakes, booster: { gain: 4, knee: 1e6 } } },
      friction,
      0.9,
    );
    expect(good.width / boosted.width).toBeCloseTo(4, 6);
  });
});
