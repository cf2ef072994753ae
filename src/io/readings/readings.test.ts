import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import type { Observation } from '../../model';
import { readingsJsonSchema, readReadings, writeReadings } from './readingsFile';

const read = (text: string): readonly Observation[] => {
  const found = readReadings(text);
  if (!found.ok) throw new Error(found.problems.map((p) => `${p.path}: ${p.message}`).join('\n'));
  return found.observations;
};
const refused = (text: string) => {
  const found = readReadings(text);
  return found.ok ? [] : found.problems.map(({ path, message }) => `${path}: ${message}`);
};

describe('a file of readings', () => {
  it('comes back as it went out, whatever is in it', () => {
    const every: Observation[] = [
      ...demoProject.drives[0].observations,
      {
        kind: 'spot',
        id: 'ir',
        excluded: 'misread',
        note: 'wet',
        wheel: 'rearRight',
        place: 'hub',
        valueC: 84.5,
        lap: 3,
        afterS: 400,
        instrument: 'infrared',
        emissivity: 0.8,
        errorK: 15,
      },
      { kind: 'faded', id: 'f', excluded: null, note: '', axle: 'rear', lap: 6 },
      { kind: 'glow', id: 'g', excluded: null, note: '', wheel: 'frontLeft', lap: 2, light: 'dark' },
      { kind: 'worn', id: 'w', excluded: null, note: '', wheel: 'frontRight', padMm: 0.35 },
      {
        kind: 'sensor',
        id: 's',
        excluded: null,
        note: '',
        wheel: 'rearLeft',
        place: 'fluid',
        channel: 'Fluid, rear',
        errorK: 9,
        samples: [{ s: 1.5, c: 71.2 }],
      },
    ];
    expect(read(writeReadings(every))).toEqual(every);
    expect(JSON.stringify(readingsJsonSchema())).toContain('fervent-kettle-readings');
  });

  it('may be a table as people keep it: wheels by letters, °F in the heading, usual values left out', () => {
    expect(
      read(
        'Kind,Wheel,Where,Reading (°F),Turned,Stopped after lap,Seconds,Instrument,Note\nspot,FL,,700,,9,55,,hot\npaint,rear right,edge,1000,no,,,,\n',
      ),
    ).toEqual([
      {
        kind: 'spot',
        id: 'reading-1',
        excluded: null,
        note: 'hot',
        wheel: 'frontLeft',
        place: 'disc',
        valueC: expect.closeTo(371.11, 2),
        lap: 9,
        afterS: 55,
        instrument: 'contact',
        emissivity: null,
        errorK: null,
      },
      {
        kind: 'paint',
        id: 'reading-2',
        excluded: null,
        note: '',
        wheel: 'rearRight',
        place: 'ringEdge',
        thresholdC: expect.closeTo(537.78, 2),
        turned: false,
      },
    ]);
    expect(read('kind,axle,lap\nboiled,front,6')).toMatchObject([
      { kind: 'boiled', sign: 'long pedal', lap: 6 },
    ]);
  });

  it('that cannot be read says where and what was expected, and nothing of it is taken', () => {
    expect(refused('kind,value\nspot,300')[0]).toMatch(/^line 1: .*name the columns/);
    expect(refused('kind,wheel\n')[0]).toMatch(/^line 2: There is no reading/);
    const lines = refused(
      'kind,wheel,value,lap,seconds\nspot,FL,300,9,55\nspot,FL,hot,9,55\nspot,XX,300,9,55',
    );
    expect(lines[0]).toMatch(/^line 3: valueC must be a number/);
    expect(lines[1]).toMatch(/^line 4: wheel must be one of/);
    expect(refused('{"format":"other"}')[0]).toMatch(/^format: must be "fervent-kettle-readings"/);
    expect(refused('{"format":')[0]).toMatch(/^line 1, column/);
    expect(
      refused('{"format":"fervent-kettle-readings","version":1,"observations":[{"kind":"spot"}]}').join('\n'),
    ).toMatch(/observations\[0\]\.wheel/);
  });
});
