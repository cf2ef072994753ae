import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recorded, slower } from '../../../tests/support/recorded';
import { loggedDay, type RawLog } from '../../core';
import { prepareLog } from '../../io/logs/prepareLog';
import {
  type EntryOf,
  METRIC,
  NOTHING_AT_WHEEL,
  newEntry,
  putEntry,
  toSi,
  US,
  type WheelFound,
} from '../../model';
import { entryDoubtText, findingText } from '../../text/en';
import { findingsOf } from './inspect';
import { drivenSetup, loadOf, loadOfDay } from './loads';
import { doubtsOfEntry } from './logbook';
import { asFahrenheit, asInches, takenAsInches } from './otherUnit';

const [car] = demoProject.cars;

describe('a reading in another unit', () => {
  it('is asked about where it is likely in inches and impossible in millimetres, never where it is only thin', () => {
    for (let expected = 4; expected <= 36; expected += 0.5) {
      for (let left = 0.3; left <= 1; left += 0.05) {
        const mm = left * expected;
        expect(asInches(mm, expected), `${mm} of ${expected}`).toBeNull();
        expect(asInches(mm / 25.4, expected), `${mm} in inches of ${expected}`).toBeCloseTo(mm, 9);
      }
      expect(asInches(0, expected)).toBeNull();
    }
    expect(asFahrenheit(249, 270)).toBeNull();
    expect(asFahrenheit(275, 270)).toBeNull();
    expect(asFahrenheit(340, 270)).toBeCloseTo(171.11, 2);
  });

  it('is found at the wheel it was typed at, and taken as inches leaves the rest as it was', () => {
    const found: WheelFound = {
      ...NOTHING_AT_WHEEL,
      innerLeadingMm: 0.26,
      innerTrailingMm: 0.25,
      outerLeadingMm: 7,
      outerTrailingMm: 7.1,
      rotorMm: [0.97, 0.98],
    };
    const blank = newEntry('inspection', { id: 'inches', carId: car.id, date: '2026-11-28' });
    const entry: EntryOf<'inspection'> = { ...blank, wheels: { ...blank.wheels, frontLeft: found } };
    const project = putEntry(demoProject, entry);
    const asked = findingsOf(project, car, entry).filter(({ kind }) => kind === 'reads like inches');
    expect(asked.map((own) => 'part' in own && own.part)).toEqual(['inner', 'rotor']);
    expect(asked.every((own) => 'wheel' in own && own.wheel === 'frontLeft')).toBe(true);
    // Until it is answered the thin pad still stops the car.
    expect(findingsOf(project, car, entry)[0]).toMatchObject({ kind: 'thin', weight: 'stop' });
    for (const units of [METRIC, US])
      expect(findingText(asked[0], units).means).toMatch(/^Read in inches it would be (6\.35 mm|0\.250 in)/);

    const inner = takenAsInches(found, 'inner');
    expect(inner).toEqual({ ...found, innerLeadingMm: 6.604, innerTrailingMm: 6.35 });
    expect(takenAsInches(inner, 'rotor').rotorMm).toEqual([24.638, 24.892]);
    expect(takenAsInches(found, 'outer')).toMatchObject({ innerLeadingMm: 0.26, outerLeadingMm: 177.8 });
    const mended = { ...entry, wheels: { ...entry.wheels, frontLeft: takenAsInches(inner, 'rotor') } };
    expect(findingsOf(project, car, mended).some(({ kind }) => kind === 'reads like inches')).toBe(false);
  });

  it('in °F is asked about where no fluid of this kind boils so high', () => {
    const fluid = newEntry('fluid', { id: 'hot', carId: car.id, date: '2026-11-28' });
    const test = (boilingC: number) => ({ ...fluid, deed: 'boil test' as const, boilingC });
    expect(doubtsOfEntry(demoProject, test(240))).toEqual([]);
    const [doubt] = doubtsOfEntry(demoProject, test(345));
    expect(doubt).toMatchObject({ kind: 'boils over dry', boilingC: 345 });
    expect(entryDoubtText(doubt, METRIC)).toMatch(
      /^345 °C is over what .* Was it read in °F\? Then it is 174 °C\.$/,
    );
  });
});

describe('what a session took', () => {
  const setup = drivenSetup(demoProject, {
    carId: car.id,
    planId: 'plan-tarn-anvil',
    circuitId: demoProject.circuits[0].id,
    name: 'Logged',
    outLaps: 2,
    hotLaps: 3,
    airC: demoProject.plans[0].sessions[0].ambientC,
    track: 'dry',
    sets: {},
  });
  if (!setup) throw new Error('the demo has its car, plan and circuit');
  const raw = recorded({});
  const ofLog = (log: RawLog) => {
    const { input, pieces, ambient } = prepareLog(log, setup);
    return loadOfDay(loggedDay(input, 'Log', pieces, ambient));
  };
  const byLog = ofLog(raw);

  it('goes by its own log: a log of the plan’s very laps takes what the plan takes', () => {
    const byLaps = loadOf(setup);
    for (const wheel of ['frontLeft', 'rearRight'] as const) {
      expect(byLog[wheel].energyMj / byLaps[wheel].energyMj).toBeCloseTo(1, 1);
      expect(byLog[wheel].innerPadMm / byLaps[wheel].innerPadMm).toBeGreaterThan(0.85);
      expect(byLog[wheel].innerPadMm / byLaps[wheel].innerPadMm).toBeLessThan(1.15);
      // Parked long enough for the fluid to be hottest.
      expect(Math.abs(byLog[wheel].fluidC - byLaps[wheel].fluidC)).toBeLessThan(6);
    }
  });

  it('is less where the log was driven slower, as no plan of its laps knows', () => {
    const slow = ofLog(slower(raw, 0.85));
    expect(slow.frontLeft.energyMj).toBeLessThan(0.8 * byLog.frontLeft.energyMj);
    expect(slow.frontLeft.innerPadMm).toBeLessThan(0.8 * byLog.frontLeft.innerPadMm);
    expect(slow.frontLeft.rotorC).toBeLessThan(byLog.frontLeft.rotorC - 30);
    expect(toSi(slow.frontLeft.rotorC, 'temperature')).toBeGreaterThan(300);
  });
});
