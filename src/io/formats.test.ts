import { describe, expect, it } from 'vitest';
import { acceptedBy, doorOf, FORMATS } from './formats';

describe('kinds of files', () => {
  it('dropped on the window go to the page that reads them, whatever the case of their ending', () => {
    for (const [name, door] of [
      ['sunday.GPX', 'tracks'],
      ['park.kml', 'tracks'],
      ['line.geojson', 'tracks'],
      ['morning.csv', 'log'],
      ['dash.LOG', 'log'],
      ['notes.txt', 'log'],
      ['season.json', 'project'],
      ['a folder', 'project'],
      ['archive.tar', 'project'],
    ] as const) {
      expect(doorOf(name), name).toBe(door);
    }
  });

  it('are accepted by a chooser only where they can be read', () => {
    expect(acceptedBy('tracks').split(',').sort()).toEqual(
      ['.csv', '.geojson', '.gpx', '.json', '.kml', '.txt'].sort(),
    );
    expect(acceptedBy('log')).not.toContain('.geojson');
    expect(acceptedBy('project')).toBe('.json');
    // What only goes out is accepted nowhere.
    const doors = ['project', 'tracks', 'log'] as const;
    for (const ending of ['svg', 'png']) {
      expect(doors.some((door) => acceptedBy(door).split(',').includes(`.${ending}`))).toBe(false);
    }
    for (const { endings, mime } of Object.values(FORMATS)) {
      expect(endings[0]).toMatch(/^[a-z]+$/);
      expect(mime).toMatch(/^[a-z]+\/[a-z+.-]+$/);
    }
  });
});
