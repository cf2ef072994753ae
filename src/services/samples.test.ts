import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { demoProject } from '../../demo/project';
import { guessMapping, openLog, readLog, readReadings, readTrackFile, readZoneTable, trackLog } from '../io';
import { METRIC, readDocument, setupOf } from '../model';
import { circuitFrom, findLine } from './track/circuitFromTrack';
import { recordedLap } from './track/recordedLap';

const FOLDER = 'src/app/public/samples';
const bytes = (name: string) => new Uint8Array(readFileSync(`${FOLDER}/${name}`));
const text = (name: string) => readFileSync(`${FOLDER}/${name}`, 'utf8');

function track(name: string) {
  const read = readTrackFile(name, bytes(name));
  if (!read.ok) throw new Error(read.problems[0].message);
  return read.tracks[0];
}

describe('the sample files that ship', () => {
  it('are tracks of the demo circuit, one of them with times that agree with its line', () => {
    for (const name of ['anvil-park.gpx', 'sunday-recording.gpx']) {
      const line = findLine(track(name), null);
      if (!line.ok) throw new Error(line.problems[0].message);
      expect(line.line.length).toBeGreaterThan(3500);
      expect(line.line.length).toBeLessThan(3650);
      const made = circuitFrom(line, { bound: null, start: line.suggestedStart, reverse: false }, 'c', 'c');
      if (!made.ok) throw new Error(made.problems[0].message);
      expect(made.corners).toBe(7);
      const lap = recordedLap(track(name), made.circuit, setupOf(demoProject));
      if (name === 'anvil-park.gpx') expect(lap).toBeNull();
      else expect(lap).toMatchObject({ heavy: 7, heavyOfLine: 7, tame: false });
    }
    expect(trackLog(track('anvil-park.gpx')).ok).toBe(false);
  });

  it('are a log whose columns are recognised, a table of braking zones, and a part', async () => {
    const file = new Blob([bytes('anvil-log.csv')]);
    const named = Object.assign(file, { name: 'anvil-log.csv' });
    const opened = await openLog(named);
    if (!opened.ok) throw new Error(opened.problems[0].message);
    const log = await readLog(named, guessMapping(opened.layout), () => {});
    if (!log.ok) throw new Error(log.problems[0].message);
    expect(log.raw.time.length).toBeGreaterThan(900);
    expect(Object.keys(log.raw.channels)).toEqual(
      expect.arrayContaining(['speed', 'latitude', 'frontPressure', 'rotorFrontLeft']),
    );
    const zones = readZoneTable(text('braking-zones.csv'), METRIC);
    expect(zones).toMatchObject({ ok: true, zones: { length: 8 }, leftOut: [] });
    expect(readReadings(text('readings.csv'))).toMatchObject({ ok: true, observations: { length: 6 } });
    const parts = readDocument(text('parts.json'));
    expect(parts).toMatchObject({ ok: true, parts: [{ kind: 'duct', name: 'Hose of 80 mm, sample' }] });
  });
});
