import { expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { dayInput, setupOf } from '../../model';
import { WHEELS } from '../brake';
import { leanDay, simulateDay } from './day';
import { nodesAt } from './flows';
import { judgedDay } from './judgedDay';

it('a day that keeps named parts alone is the same day in every figure, and says so where nodes are asked of it', () => {
  for (const id of ['plan-tarn-anvil', 'plan-skarn-fen']) {
    const setup = setupOf(demoProject, id);
    // Wheels of an axle alike and apart.
    const plan = oneSession(setup.plan, { hotLaps: 2, paddockMin: 3 });
    const input = dayInput({ ...setup, plan });
    const [whole, lean] = [simulateDay(input), leanDay(input)];
    const bare = ({ record, ...rest }: typeof whole) => rest;
    expect(bare(lean)).toEqual(bare(whole));
    for (const wheel of WHEELS) {
      const [a, b] = [whole.record.wheels[wheel], lean.record.wheels[wheel]];
      expect({ ...b, nodes: a.nodes, drive: a.drive }).toEqual(a);
      expect([b.nodes.length, b.drive.length]).toEqual([0, 0]);
      expect(a.nodes.length).toBe(whole.record.time.length * a.nodeCount);
    }
    expect(nodesAt(whole.record.wheels.rearLeft, 1).length).toBe(whole.record.wheels.rearLeft.nodeCount);
    expect(() => nodesAt(lean.record.wheels.rearLeft, 1)).toThrow(RangeError);
    const judged = judgedDay(input, undefined, 'parts');
    expect(judged.verdict).toEqual(judgedDay(input).verdict);
    expect(judged.record.wheels.frontLeft.nodes.length).toBe(0);
  }
});
