import { createHash } from 'node:crypto';
import { expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { oneSession } from '../../../tests/support/sessions';
import { dayInput, newTest, setupOf } from '../../model';
import { bedding, beddingQuestion, benchPlan, loadOf, tryOut } from '../../services';
import { WHEELS } from '../brake';
import { buffersIn, LentRoom } from '../numeric';
import { leanDay, lookAtDay, simulateDay } from './day';
import { nodesAt } from './flows';
import { judgedDay, leftAtWorse } from './judgedDay';

it('a day that keeps named parts alone is the same day in every figure, and says so where nodes are asked of it', () => {
  for (const id of ['plan-tarn-anvil', 'plan-skarn-fen']) {
    const setup = setupOf(demoProject, id);
    // Wheels of an axle alike and apart.
    const plan = oneSession(setup.plan, { hotLaps: 2, paddockMin: 3 });
    const input = dayInput({ ...setup, plan });
    const [whole, lean] = [simulateDay(input), leanDay(input).told()];
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

const short = (id: string, hotLaps: number) => {
  const setup = setupOf(demoProject, id);
  return { ...setup, plan: oneSession(setup.plan, { hotLaps, paddockMin: 3 }) };
};

it('a day that is looked at and thrown away is the same day, whatever lay in its room before', () => {
  const setups = [short('plan-skarn-fen', 3), short('plan-tarn-anvil', 1), short('plan-ovel-nettle', 2)];
  for (const setup of setups) {
    const input = dayInput(setup);
    const lean = leanDay(input).told();
    // A look may drive a day itself.
    const inner = lookAtDay(input, (day) => {
      const other = lookAtDay(dayInput(setups[0]), ({ margins }) => margins);
      expect(day.told()).toEqual(lean);
      return other;
    });
    expect(inner).toEqual(leanDay(dayInput(setups[0])).margins);
    expect(lookAtDay(input, (day) => day.record.time.buffer.byteLength)).toBeGreaterThanOrEqual(2 ** 21);
  }
});

it('what is told of a day is its own: who moves it to another thread takes nothing from the next one', () => {
  const setup = short('plan-skarn-fen', 2);
  const input = dayInput(setup);
  const series = (told: object) =>
    [...buffersIn(told)].map((own) => createHash('sha1').update(new Uint8Array(own)).digest('hex'));
  const before = series(simulateDay(input));
  const [work] = demoProject.preparations;
  const bedded = beddingQuestion(setupOf(demoProject), work);
  const bench = { ...newTest(setup.car, { id: 't', name: 'T', date: '2027-01-01' }).bench, bedding: true };
  const tellings: (() => object)[] = [
    () => simulateDay(input),
    () => leanDay(input).told(),
    () => judgedDay(input, undefined, 'parts'),
    () => bedding(bedded as NonNullable<typeof bedded>),
    () => benchPlan(setup, bench),
  ];
  for (const tell of tellings) {
    const told = tell();
    const own = [...buffersIn(told)];
    expect(own.length).toBeGreaterThan(0);
    const moved = series(structuredClone(told, { transfer: own }));
    expect(own.every((buffer) => buffer.byteLength === 0)).toBe(true);
    expect(series(tell())).toEqual(moved);
    expect(series(simulateDay(input))).toEqual(before);
  }
  // Laps of one kind share a copy.
  const { trace, laps } = simulateDay(input);
  const hot = laps.filter(({ kind }) => kind === 'hot');
  expect(hot.map((lap) => lap.trace === trace)).toEqual([true, true]);
});

it('what is asked of a day is the same in whatever order it is asked', () => {
  const input = dayInput(short('plan-ovel-nettle', 2));
  const whole = simulateDay(input, undefined, 'parts');
  const names = Object.keys(whole) as (keyof typeof whole)[];
  for (const order of [names, [...names].reverse()]) {
    lookAtDay(input, (day) => {
      for (const name of order) if (name !== 'laps') expect(day[name]).toEqual(whole[name]);
      // Found once, however often it is asked for.
      for (const name of ['margins', 'fade', 'peaks', 'strain', 'verdict'] as const)
        expect(day[name]).toBe(day[name]);
      day.laps.forEach((lap, k) => {
        expect(lap.told(lap.trace)).toEqual(whole.laps[k]);
        expect(lap.wheels).toBe(lap.wheels);
      });
    });
  }
});

it('nothing that is told of a day that is thrown away lies in its room', () => {
  const setup = short('plan-tarn-anvil', 2);
  for (const told of [tryOut(setup), loadOf(setup), leftAtWorse(dayInput(setup))])
    expect([...buffersIn(told)]).toEqual([]);
});

it('room is lent anew once it is cleared, each piece zero and by itself, also beyond what there was', () => {
  const room = new LentRoom();
  const [a, b, c] = [room.floats(3), room.ints(3), room.floats(2)];
  a.fill(1);
  b.fill(2);
  c.fill(3);
  expect([[...a], [...b], [...c]]).toEqual([
    [1, 1, 1],
    [2, 2, 2],
    [3, 3],
  ]);
  const large = room.floats(2 ** 20);
  expect(large.every((value) => value === 0)).toBe(true);
  expect([...a]).toEqual([1, 1, 1]);
  large.fill(4);
  room.clear();
  const again = room.floats(4);
  expect(again.buffer).toBe(large.buffer);
  expect([...again]).toEqual([0, 0, 0, 0]);
  // What a very long day took is not kept for ever.
  room.floats(2 ** 22);
  room.clear();
  expect(room.floats(1).buffer.byteLength).toBe(2 ** 21);
});
