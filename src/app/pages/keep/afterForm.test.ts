import { addDays, format, parseISO } from 'date-fns';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../../demo/project';
import { attemptEdit, type EntryOf, type LogEntry, putEvent } from '../../../model';
import { entriesOf, nextPlanned, plannedOf } from '../../../services';
import { begunWith, sessionOf, written } from './afterForm';

const [car] = demoProject.cars;
const [plan] = demoProject.plans;
const entries = entriesOf(demoProject, car.id);
const at = (date: string) => begunWith(entries, plan, { date, time: '14:05', planned: null });
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
    expect(begunWith([], plan, { date: '2026-11-28', time: '', planned: null })).toMatchObject({
      outLaps: 2,
      by: '',
    });
  });

  it('begins as the next session of the day’s event was planned, and goes on to the one after it', () => {
    const [season] = demoProject.seasons;
    const [[eventId, first]] = Object.entries(season.events);
    const event = { ...first, days: 2 };
    const second = format(addDays(parseISO(event.date), 1), 'yyyy-MM-dd');
    let project = putEvent(demoProject, season.id, eventId, event);
    const found: string[] = [];
    for (let k = 0; k <= Object.keys(event.sessions).length; k++) {
      const planned = nextPlanned(project, car.id, second);
      if (!planned) break;
      const values = begunWith(entriesOf(project, car.id), plan, { date: second, time: '10:00', planned });
      expect(values).toMatchObject({
        name: planned.session.name,
        hotLaps: planned.session.hotLaps,
        airC: planned.session.airC,
        circuitId: event.circuitId,
        eventId,
      });
      found.push(planned.session.name);
      project = written(project, values, known);
      expect(plannedOf(project, project.entries.at(-1) as LogEntry)?.sessionId).toBe(planned.sessionId);
    }
    expect(found).toEqual(
      Object.values(event.sessions)
        .toSorted((a, b) => a.n - b.n)
        .map(({ name }) => name),
    );
    // The day after it, and for another car, nothing is planned.
    expect(nextPlanned(demoProject, car.id, '2027-12-24')).toBeNull();
    expect(nextPlanned(demoProject, 'car-skarn', second)).toBeNull();
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
