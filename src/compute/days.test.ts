import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it, vi } from 'vitest';
import { demoProject } from '../../demo/project';
import { oneSession } from '../../tests/support/sessions';
import { type DayInput, judgedDay, leftAtWorse, simulateDay } from '../core';
import { applyWhatIf, dayInput, setupOf } from '../model';
import { Days } from './days';
import { Judging } from './judging';
import type { WorkerClient } from './workerClient';

const demo = setupOf(demoProject);
const setup = { ...demo, plan: oneSession(demo.plan, { hotLaps: 3, paddockMin: 8 }) };
const withMass = (massKg: number) => applyWhatIf(setup, { massKg });

/** Days whose one worker writes down what it is asked for, and the mass that it is asked with. */
function daysOf(wrong: (mass: number) => boolean = () => false) {
  const asked: string[] = [];
  const note = (what: string, { vehicle }: DayInput) => {
    if (wrong(vehicle.mass)) throw new RangeError('cannot be driven');
    asked.push(`${what} ${vehicle.mass.toFixed(0)}`);
  };
  const engine = {
    drive: (day: DayInput) => {
      note('drive', day);
      return simulateDay(day);
    },
    leftAtWorse: (day: DayInput) => {
      note('left', day);
      return leftAtWorse(day);
    },
    simulate: async (day: DayInput) => {
      note('both', day);
      return judgedDay(day);
    },
    warm: () => {},
  };
  const client = { call: async (use: (remote: typeof engine) => unknown) => use(engine) };
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  const days = new Days(new Judging(client as unknown as WorkerClient<typeof engine>, null), queries);
  const move = async (mass: number) => {
    const wanted = withMass(mass);
    days.moved.request(wanted);
    await vi.waitFor(() => expect(days.moved.getState()).toMatchObject({ running: false, error: null }));
    expect(days.moved.getState().done?.input).toBe(wanted);
    return days.moved.getState().done?.value.result;
  };
  const mass = (massKg: number) => dayInput(withMass(massKg)).vehicle.mass.toFixed(0);
  return { days, asked, move, mass };
}

describe('the days of a page', () => {
  it('drive one that comes next ahead, and take it when it is asked for', async () => {
    const { days, asked, move, mass } = daysOf();
    await move(1400);
    days.driveAhead(withMass(1410));
    days.driveAhead(withMass(1410));
    // What is known already is not driven again.
    days.driveAhead(withMass(1400));
    const result = await move(1410);
    expect(asked).toEqual([
      `drive ${mass(1400)}`,
      `left ${mass(1400)}`,
      `drive ${mass(1410)}`,
      `left ${mass(1410)}`,
    ]);
    const itself = judgedDay(dayInput(withMass(1410)));
    expect(result?.margins).toEqual(itself.margins);
    expect(result?.verdict).toEqual(itself.verdict);
    // Of another that is asked for instead, what was driven ahead says nothing.
    days.driveAhead(withMass(1420));
    expect((await move(1500))?.peaks).toEqual(simulateDay(dayInput(withMass(1500))).peaks);
  });

  it('show one as soon as it is driven where another of its plan is known, of no other plan', async () => {
    const seenOf = async (saved: typeof setup) => {
      const { days, asked, move } = daysOf();
      days.saved.request(saved);
      await vi.waitFor(() => expect(days.saved.getState().done?.input).toBe(saved));
      const seen: number[] = [];
      days.moved.subscribe(() => {
        if (days.moved.getState().done) seen.push(asked.filter((what) => what.startsWith('left')).length);
      });
      await move(1400);
      return seen;
    };
    // Shown before what is left of it is asked for, and once more afterwards.
    expect((await seenOf(setup))[0]).toBe(0);
    expect(Math.min(...(await seenOf({ ...setup, plan: { ...setup.plan, id: 'another' } })))).toBe(1);
  });

  it('say nothing of a day driven ahead that cannot be, until it is asked for', async () => {
    const { days, move } = daysOf((mass) => mass > Number(dayInput(withMass(1450)).vehicle.mass));
    await move(1400);
    days.driveAhead(withMass(1500));
    await move(1410);
    expect(days.moved.getState().error).toBeNull();
    days.driveAhead(withMass(1500));
    days.moved.request(withMass(1500));
    await vi.waitFor(() => expect(days.moved.getState().error?.message).toBe('cannot be driven'));
    // The last good one stays.
    expect(days.moved.getState().done?.input.car.massKg).toBe(1410);
  });
});
