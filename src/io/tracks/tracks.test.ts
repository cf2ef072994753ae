import { describe, expect, it } from 'vitest';
import { demoProject } from '../../../demo/project';
import { recordFigure } from '../../../tests/support/validation';
import { localPlane, randomNumbers, sampleLine } from '../../core';
import { type Circuit, circuitInput, circuitSchema } from '../../model';
import { circuitFrom, findLine } from '../../services/track/circuitFromTrack';
import { readTrackFile } from './trackFile';
import { circuitGeoJson, circuitGpx } from './writeCircuit';

const bytes = (text: string) => new TextEncoder().encode(text);
const [anvil] = demoProject.circuits;
function lineOf(circuit: Circuit) {
  const input = circuitInput(circuit);
  if (input.kind !== 'line' || !circuit.place) throw new Error('a placed line was expected');
  return { line: sampleLine(input.segments, 3), place: circuit.place };
}
const zones = [
  { name: 'Hammer & "Tongs" <1>', from: 300, to: 360, energy: 8e5, entrySpeed: 50, exitSpeed: 20 },
];
const exported = {
  gpx: circuitGpx(anvil.name, lineOf(anvil).line, lineOf(anvil).place, zones),
  geojson: circuitGeoJson(anvil.name, lineOf(anvil).line, lineOf(anvil).place, zones),
};
function problem(name: string, content: string | Uint8Array): string {
  const read = readTrackFile(name, typeof content === 'string' ? bytes(content) : content);
  if (read.ok) throw new Error(`${name} was read`);
  const [{ path, message }] = read.problems;
  return `${path}: ${message}`;
}

/**
 * Geodesic length by the inverse formula of T. Vincenty, Survey Review 23 (1975), on GRS 80 or WGS 84; m. An
 * independent way to the same distances as the plane's.
 */
function vincenty(lat1: number, lon1: number, lat2: number, lon2: number): number {
  const [a, f] = [6378137, 1 / 298.257222101];
  const b = a * (1 - f);
  const rad = Math.PI / 180;
  const [u1, u2] = [lat1, lat2].map((lat) => Math.atan((1 - f) * Math.tan(lat * rad)));
  const l = (lon2 - lon1) * rad;
  let lambda = l;
  let [sinS, cosS, s, cosA2, cos2m] = [0, 0, 0, 0, 0];
  for (let i = 0; i < 50; i++) {
    const x = Math.cos(u2) * Math.sin(lambda);
    const y = Math.cos(u1) * Math.sin(u2) - Math.sin(u1) * Math.cos(u2) * Math.cos(lambda);
    sinS = Math.hypot(x, y);
    cosS = Math.sin(u1) * Math.sin(u2) + Math.cos(u1) * Math.cos(u2) * Math.cos(lambda);
    s = Math.atan2(sinS, cosS);
    const sinA = (Math.cos(u1) * Math.cos(u2) * Math.sin(lambda)) / sinS;
    cosA2 = 1 - sinA * sinA;
    cos2m = cosS - (2 * Math.sin(u1) * Math.sin(u2)) / cosA2;
    const c = (f / 16) * cosA2 * (4 + f * (4 - 3 * cosA2));
    lambda = l + (1 - c) * f * sinA * (s + c * sinS * (cos2m + c * cosS * (2 * cos2m * cos2m - 1)));
  }
  const q = (cosA2 * (a * a - b * b)) / (b * b);
  const big = 1 + (q / 16384) * (4096 + q * (q * (320 - 175 * q) - 768));
  const small = (q / 1024) * (256 + q * (q * (74 - 47 * q) - 128));
  const d =
    small *
    sinS *
    (cos2m +
      (small / 4) *
        (cosS * (2 * cos2m * cos2m - 1) -
          (small / 6) * cos2m * (4 * sinS * sinS - 3) * (4 * cos2m * cos2m - 3)));
  return b * big * (s - d);
}

describe('metres from degrees', () => {
  it('are checked with a formula that gives the published distance (GDA94 Technical Manual, Flinders Peak to Buninyong)', () => {
    const dms = (d: number, m: number, s: number) => d + m / 60 + s / 3600;
    const distance = vincenty(
      -dms(37, 57, 3.7203),
      dms(144, 25, 29.5244),
      -dms(37, 39, 10.1561),
      dms(143, 55, 35.3839),
    );
    expect(Math.abs(distance - 54972.271)).toBeLessThan(0.002);
    recordFigure({
      id: 'projection',
      what: 'Flinders Peak to Buninyong by the formula the projection is checked with',
      expected: '54972.271',
      computed: distance,
      unit: 'm',
      source: 'GDA94 Technical Manual; Vincenty, Survey Review 23 (1975)',
    });
  });
  it('agree with it to a millimetre a kilometre, from the equator to the far north', () => {
    let worst = 0;
    for (const [lat, lon] of [
      [0.2, 12],
      [-37.9, 144.4],
      [46.2, -31],
      [68, 179.999],
    ]) {
      const plane = localPlane({ latitude: lat, longitude: lon });
      for (const [dx, dy] of [
        [0.01, 0],
        [0, 0.012],
        [-0.015, 0.009],
      ]) {
        const [x, y] = plane.toPlane(lat + dy, lon + dx);
        const truth = vincenty(lat, lon, lat + dy, lon + dx);
        worst = Math.max(worst, Math.abs(Math.hypot(x, y) - truth) / truth);
        expect(Math.abs(Math.hypot(x, y) - truth) / truth).toBeLessThan(1e-6);
        const back = plane.toEarth(x, y);
        expect(back.latitude).toBeCloseTo(lat + dy, 9);
        // Past the date line the count goes on at the other side.
        expect(back.longitude).toBeCloseTo(lon + dx > 180 ? lon + dx - 360 : lon + dx, 9);
      }
    }
    recordFigure({
      id: 'projection',
      what: 'Distances on the plane against that formula, 0° to 68° north, up to 2 km',
      expected: 'under 1',
      computed: 1e6 * worst,
      unit: 'mm/km',
      source: 'Vincenty, Survey Review 23 (1975), on WGS 84',
    });
    expect(() => localPlane({ latitude: 95, longitude: 0 })).toThrow(/95/);
  });
});

describe('an exported circuit', () => {
  it.each(['gpx', 'geojson'] as const)('as %s comes back with its shape, length, place and names', (kind) => {
    const read = readTrackFile(`anvil.${kind}`, bytes(exported[kind]));
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.notes).toEqual([]);
    const found = findLine(read.tracks[0], null);
    if (!found.ok) throw new Error(found.problems[0].message);
    const { line, place } = lineOf(anvil);
    expect(Math.abs(found.line.length / line.length - 1)).toBeLessThan(0.002);
    const back = circuitFrom(found, { bound: null, start: 0, reverse: false }, 'c', 'Anvil again');
    if (!back.ok) throw new Error(back.problems[0].message);
    expect(back.circuit.place?.latitudeDeg).toBeCloseTo(place.latitudeDeg, 4);
    expect(back.circuit.place?.longitudeDeg).toBeCloseTo(place.longitudeDeg, 4);
    expect(Math.abs((back.circuit.place?.bearingDeg ?? 0) - place.bearingDeg)).toBeLessThan(1.5);
    expect(Math.abs(back.circuit.altitudeM - anvil.altitudeM)).toBeLessThan(2);
    expect(circuitSchema.safeParse(back.circuit).success).toBe(true);
    expect(back.corners).toBe(7);
    expect(exported[kind]).toContain('Tongs');
    if (kind === 'gpx') expect(exported.gpx).not.toContain('<1>');
  });
  it('driven the other way has every corner on the other hand', () => {
    const read = readTrackFile('a.gpx', bytes(exported.gpx));
    if (!read.ok) throw new Error('not read');
    const found = findLine(read.tracks[0], null);
    if (!found.ok) throw new Error('no line');
    const hands = (reverse: boolean) => {
      const made = circuitFrom(found, { bound: null, start: found.suggestedStart, reverse }, 'c', 'c');
      if (!made.ok || made.circuit.layout.kind !== 'line') throw new Error('no circuit');
      return made.circuit.layout.segments.flatMap((s) => (s.kind === 'corner' ? [s.hand] : []));
    };
    const other = hands(true)
      .reverse()
      .map((hand) => (hand === 'left' ? 'right' : 'left'));
    expect(new Set(other)).toEqual(new Set(hands(false)));
    expect(other.filter((h) => h === 'left').length).toBe(hands(false).filter((h) => h === 'left').length);
  });
});

describe('tables of points', () => {
  const { line } = lineOf(anvil);
  const rows = Array.from(line.x, (x, i) => [x, line.y[i], line.height[i]]);
  it('with x and y in metres, a decimal comma and semicolons', () => {
    const text = `Anvil survey\n\nx [m];y [m];height [m]\n${rows
      .map((r) => r.map((v) => v.toFixed(2).replace('.', ',')).join(';'))
      .join('\r\n')}\n`;
    const read = readTrackFile('survey.txt', bytes(text));
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.kind).toBe('CSV');
    expect(read.tracks[0].metric).toBe(true);
    expect(read.tracks[0].a[5]).toBeCloseTo(line.x[5], 2);
    const found = findLine(read.tracks[0], null);
    expect(found.ok && found.origin).toBeNull();
  });
  it('without a position are refused with what they have', () => {
    expect(problem('a.csv', 'time,speed\n1,2\n2,3\n3,4\n4,5\n')).toMatch(
      /line 1, column 1: No columns of latitude.*“speed”/,
    );
  });
});

describe('KML', () => {
  it('is read', () => {
    const random = randomNumbers(1);
    const points = Array.from({ length: 200 }, (_, i) => {
      const angle = (i / 200) * 2 * Math.PI;
      return `${-31 + 0.004 * Math.cos(angle) + 1e-6 * random.normal()},${46 + 0.003 * Math.sin(angle)},12`;
    });
    const kml = `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>Ring</name><LineString><coordinates>${points.join(' ')}</coordinates></LineString></Placemark></Document></kml>`;
    const read = readTrackFile('ring.gpx', bytes(kml));
    if (!read.ok) throw new Error(read.problems[0].message);
    expect(read.kind).toBe('KML');
    expect(read.notes.join()).toMatch(/name says gpx, the content is KML/);
    const found = findLine(read.tracks[0], null);
    expect(found.ok && found.line.length).toBeGreaterThan(1900);
  });
});

describe('bad files of tracks are refused, clearly and with their place', () => {
  const gpx = exported.gpx;
  it.each([
    ['empty', '', /empty/],
    ['blank', ' \n\n ', /blanks/],
    ['cut off', gpx.slice(0, 4000), /line \d+, column \d+: .*cut off/],
    ['broken', gpx.replace('</trkseg>', '</trkseq>'), /line \d+, column \d+/],
    ['another XML', '<?xml version="1.0"?><svg xmlns="x"/>', /<svg>; <gpx> or <kml> was expected/],
    ['no line', '<gpx version="1.1"><wpt lat="1" lon="2"/></gpx>', /holds no line/],
    [
      'few points',
      JSON.stringify({
        type: 'LineString',
        coordinates: [
          [1, 2],
          [1, 3],
        ],
      }),
      /has 2 points/,
    ],
    ['broken JSON', '{"type":"FeatureCollection",\n "features": [,]}', /line 2, column/],
    [
      'off the globe',
      JSON.stringify({ type: 'LineString', coordinates: Array.from({ length: 9 }, (_, i) => [i, 91]) }),
      /latitude 91/,
    ],
  ])('%s', (_, content, expected) => {
    expect(problem('x.gpx', content)).toMatch(expected);
  });
  it('binary, packed and pictured', () => {
    expect(problem('x.gpx', Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0, 0, 0]))).toMatch(/zip/);
    expect(
      problem(
        'x.gpx',
        Uint8Array.from({ length: 200 }, (_, i) => (i * 37) % 256),
      ),
    ).toMatch(/binary data/);
  });
  it('entities that expand or reach outside are refused before anything is parsed', () => {
    const bomb = `<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY a "${'x'.repeat(100)}"><!ENTITY b "&a;&a;">]>\n<gpx>&b;</gpx>`;
    const outside = `<?xml version="1.0"?>\n<!DOCTYPE gpx [<!ENTITY f SYSTEM "file:///etc/passwd">]>\n<gpx><trk><name>&f;</name></trk></gpx>`;
    for (const content of [bomb, outside]) {
      expect(problem('x.gpx', content)).toMatch(/^line 2, column 1: .*nothing was read/);
    }
  });
  it('UTF-16 and Latin-1 are read as what they are', () => {
    const utf16 = Uint8Array.from([
      0xff,
      0xfe,
      ...Array.from(gpx).flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]),
    ]);
    const read = readTrackFile('x.gpx', utf16);
    expect(read.ok && read.notes).toEqual(['Read as UTF-16LE.']);
    const latin = Uint8Array.from(gpx.replace('Anvil', 'Anv\u00efl'), (c) => c.charCodeAt(0));
    const other = readTrackFile('x.gpx', latin);
    expect(other.ok && [other.notes, other.tracks[0].name]).toEqual([
      ['Read as Latin-1.'],
      'Anv\u00efl Park',
    ]);
  });
  it('points all in one place, and a line that is no lap', () => {
    const track = (of: (i: number) => readonly [number, number]) => {
      const read = readTrackFile(
        'x.json',
        bytes(
          JSON.stringify({ type: 'LineString', coordinates: Array.from({ length: 50 }, (_, i) => of(i)) }),
        ),
      );
      if (!read.ok) throw new Error('not read');
      const found = findLine(read.tracks[0], null);
      return found.ok ? '' : found.problems[0].message;
    };
    expect(track(() => [-31, 46])).toMatch(/All 50 points lie at the same place/);
    expect(track((i) => [-31 + i * 0.001, 46])).toMatch(/No lap was found.*\d+ m apart/);
  });
  it('a line that crosses itself is read and said', () => {
    const eight = Array.from({ length: 400 }, (_, i) => {
      const t = (i / 200) * 2 * Math.PI;
      return [-31 + 0.004 * Math.sin(t), 46 + 0.0015 * Math.sin(2 * t)];
    });
    const read = readTrackFile('8.json', bytes(JSON.stringify({ type: 'LineString', coordinates: eight })));
    if (!read.ok) throw new Error('not read');
    const found = findLine(read.tracks[0], null);
    if (!found.ok) throw new Error('no line');
    expect(found.crossings).toBe(1);
    expect(circuitFrom(found, { bound: null, start: 0, reverse: false }, 'c', 'Eight').ok).toBe(true);
  });
});
