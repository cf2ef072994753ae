import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { cornerOf } from '../../project';
import { airProperties } from '../air';
import { CHANNEL, cornerNetwork } from '../brake';
import { fillDrive } from '../session/schedule';
import { AMBIENT, GAMMA, Integrator, type Network, tableAt } from './index';

/**
 * The network's own definition integrated by another method: classical Runge-Kutta with steps far under the smallest
 * cell's time constant. Nothing of the integrator is used, only nodes, links and sources.
 */
class RungeKutta {
  readonly temperature: Float64Array;
  readonly drive: Float64Array;

  constructor(
    private readonly network: Network,
    private readonly ambient: number,
  ) {
    this.temperature = new Float64Array(network.nodes.length).fill(ambient);
    this.drive = new Float64Array(network.channels).fill(1);
  }

  private rate(at: Float64Array, power: number): Float64Array {
    const heat = new Float64Array(at.length);
    for (const source of this.network.sources) heat[source.node] += source.share * power;
    for (const link of this.network.links) {
      const ta = at[link.from];
      const tb = link.to === AMBIENT ? this.ambient : at[link.to];
      let g = link.coefficient * this.drive[link.channel];
      if (link.factor) g *= tableAt(link.factor, 0.5 * (ta + tb));
      const flow = g * (ta - tb) + link.radiation * (ta ** 4 - tb ** 4);
      heat[link.from] -= flow;
      if (link.to !== AMBIENT) heat[link.to] += flow;
    }
    return heat.map((q, i) => {
      const { scale, table } = this.network.nodes[i];
      return q / (table ? scale * tableAt(table, at[i]) : scale);
    });
  }

  step(dt: number, power: (share: number) => number): void {
    const t = this.temperature;
    const along = (k: Float64Array, by: number) => t.map((v, i) => v + by * k[i]);
    const k1 = this.rate(t, power(0));
    const k2 = this.rate(along(k1, dt / 2), power(0.5));
    const k3 = this.rate(along(k2, dt / 2), power(0.5));
    const k4 = this.rate(along(k3, dt), power(1));
    for (let i = 0; i < t.length; i++) t[i] += (dt / 6) * (k1[i] + 2 * k2[i] + 2 * k3[i] + k4[i]);
  }
}

const AMBIENT_K = 297;
const air = airProperties(1.19, AMBIENT_K);

describe('a whole corner, against Runge-Kutta on the same network', () => {
  // A car whose cheeks are of iron, one whose ring is solid, one of carbon.
  it.each([
    ['vented iron', cornerOf(demoProject.cars[0].front), 90_000],
    ['solid iron', cornerOf(demoProject.cars[1].rear), 40_000],
    ['carbon', cornerOf(demoProject.cars[2].front), 350_000],
  ])('%s: within 0.5 K after every braking and every roll', (_name, corner, peak) => {
    const { network, ringStart, padFace, fluid, plate } = cornerNetwork(corner, AMBIENT_K, 101_325);
    const ours = new Integrator(network, AMBIENT_K, AMBIENT_K);
    const theirs = new RungeKutta(network, AMBIENT_K);
    const compare = () => {
      for (const node of [ringStart, ringStart + 3, padFace, plate, fluid]) {
        expect(Math.abs(ours.temperature(node) - theirs.temperature[node])).toBeLessThan(0.5);
      }
    };
    const phase = (
      seconds: number,
      steps: number,
      speed: number,
      power: (time: number) => number,
      applied: boolean,
    ) => {
      for (const side of [ours, theirs]) fillDrive(side.drive, corner, air, speed, 0.3, applied);
      ours.markEvent();
      const dt = seconds / steps;
      for (let k = 0; k < steps; k++) ours.step(dt, power((k + GAMMA) * dt), power((k + 1) * dt));
      const fine = Math.ceil(seconds / 0.0008);
      const small = seconds / fine;
      for (let k = 0; k < fine; k++) theirs.step(small, (share) => power((k + share) * small));
      compare();
    };
    for (let stop = 0; stop < 3; stop++) {
      phase(2.4, 20, 35, (time) => peak * (1 - time / 2.6), true);
      phase(6, 24, 30, () => 0, false);
    }
    phase(30, 40, 0, () => 0, false);
    expect(ours.temperature(ringStart)).toBeGreaterThan(AMBIENT_K + 50);
    expect(ours.drive[CHANNEL.still]).toBe(1);
  });
});
