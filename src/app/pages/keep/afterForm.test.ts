import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { attemptEdit, type EntryOf } from '../../../model';
import { entriesOf } from '../../../services';
import { begunWith, sessionOf, written } from './afterForm';

const [car] = demoProject.cars;
const [plan] = demoProject.plans;
const entries = entriesOf(demoProject, car.id);
const at = (date: string) => begunWith(entries, plan, { date, time: '14:05' });
let n = 0;
const known = { carId: car.id, entries, load: null, newId: () => `new-${++n}` };

describe('what is put down after a session', () => {
  it('begins as the last session of the same day was, and as the plan on another', () => {
    expect(at('2026-10-03')).toMatchObject({
      name: 'Session 4',
      hotLaps: 6,
      airC: 12,
      by: 'Imke',
      pedal: 'firm',
    });
    expect(at('2026-11-28')).toMatchObject({
      name: 'Session 1',
      hotLaps: 11,
      airC: 24,
      circuitId: plan.circuitId,
    });
    expect(at('2026-11-28').symptoms).toEqual([]);
    expect(begunWith([], plan, { date: '2026-11-28', time: '' })).toMatchObject({ outLaps: 2, by: '' });
  });

  it('knows the sets that were on the car on that day, and keeps no time that is none', () => {
    const session = sessionOf({ ...at('2026-11-28'), time: '25:99' }, { id: 'a', carId: car.id, entries });
    expect(session.time).toBeNull();
    expect(session.sets['front rotors']).toBe('set-fr-1');
    expect(sessionOf(at('2026-04-01'), { id: 'a', carId: car.id, entries }).sets).toEqual({});
  });

  it('is one line where nothing was read, and goes to inspection, calibration and fluid where something was', () => {
    const plain = written(demoProject, at('2026-11-28'), known);
    expect(plain.entries).toHaveLength(demoProject.entries.length + 1);
    expect(plain.drives).toHaveLength(demoProject.drives.length);
    const read = {
      ...at('2026-11-28'),
      discC: { frontLeft: 310, frontRight: null, rearLeft: null, rearRight: 190 },
      padMm: { frontLeft: 6.1, frontRight: null, rearLeft: null, rearRight: null },
      secondsAfter: 75,
      level: 'minimum' as const,
      boiled: true,
    };
    const whole = written(demoProject, read, known);
    const added = whole.entries.slice(demoProject.entries.length);
    expect(added.map(({ kind }) => kind)).toEqual(['session', 'inspection', 'fluid']);
    const looked = added[1] as EntryOf<'inspection'>;
    expect(Object.keys(looked.wheels)).toEqual(['frontLeft']);
    expect(looked).toMatchObject({ fluid: { level: 'minimum' }, sets: { 'front pads': 'set-fp-3' } });
    const drive = whole.drives.at(-1);
    expect(drive?.id).toBe((added[0] as EntryOf<'session'>).driveId);
    // One lap out, eleven hot, one in: the car stood after the thirteenth.
    expect(drive?.observations).toMatchObject([
      { wheel: 'frontLeft', valueC: 310, afterS: 75, lap: 13 },
      { wheel: 'rearRight', valueC: 190, afterS: 75, lap: 13 },
    ]);
    expect(attemptEdit(demoProject, () => whole).ok).toBe(true);
  });
});
