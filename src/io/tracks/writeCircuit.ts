import { localPlane, type SampledLine } from '../../core';
import { type CircuitPlace, fromSi } from '../../model';
import { say } from '../../text/en/say/io';

/** A braking zone to mark on an exported circuit. */
export interface MarkedZone {
  readonly name: string;
  /** m from the start line */
  readonly from: number;
  readonly to: number;
  /** J */
  readonly energy: number;
  /** m/s */
  readonly entrySpeed: number;
  readonly exitSpeed: number;
}

/** Where a line that begins at the origin heading along x lies on Earth. */
function placed(line: SampledLine, place: CircuitPlace): (i: number) => readonly [number, number, number] {
  const plane = localPlane({ latitude: place.latitudeDeg, longitude: place.longitudeDeg });
  const bearing = (place.bearingDeg * Math.PI) / 180;
  const [east, north] = [Math.sin(bearing), Math.cos(bearing)];
  const last = line.x.length - 1;
  return (i) => {
    // What is missing at the seam is shared along the line, so that the file's line ends where it starts.
    const share = i / last;
    const x = line.x[i] - share * (line.x[last] - line.x[0]);
    const y = line.y[i] - share * (line.y[last] - line.y[0]);
    const { latitude, longitude } = plane.toEarth(x * east - y * north, x * north + y * east);
    return [longitude, latitude, place.heightM + line.height[i]];
  };
}

const seven = (value: number) => Math.round(value * 1e7) / 1e7;
const two = (value: number) => Math.round(value * 100) / 100;

function points(line: SampledLine, place: CircuitPlace): (readonly [number, number, number])[] {
  const at = placed(line, place);
  return Array.from(line.distance, (_, i) => {
    const [lon, lat, height] = at(i);
    return [seven(lon), seven(lat), two(height)] as const;
  });
}

/** A circuit as GeoJSON (RFC 7946): its line with heights, and its braking zones as lines along it. */
export function circuitGeoJson(
  name: string,
  line: SampledLine,
  place: CircuitPlace,
  zones: readonly MarkedZone[],
): string {
  const coordinates = points(line, place);
  const cells = line.distance.length - 1;
  const index = (distance: number) => Math.round((distance / line.length) * cells);
  const part = (from: number, to: number) => {
    const [a, b] = [index(from), Math.max(index(from) + 1, index(to))];
    return Array.from({ length: b - a + 1 }, (_, k) => coordinates[(a + k) % cells]);
  };
  const features = [
    {
      type: 'Feature',
      properties: { name, kind: 'circuit', lengthM: two(line.length) },
      geometry: { type: 'LineString', coordinates },
    },
    ...zones.map((zone, k) => ({
      type: 'Feature',
      properties: {
        name: zone.name || `Braking zone ${k + 1}`,
        kind: 'braking-zone',
        number: k + 1,
        entryKmh: two(fromSi(zone.entrySpeed, 'speed')),
        exitKmh: two(fromSi(zone.exitSpeed, 'speed')),
        energyKj: two(fromSi(zone.energy, 'energy')),
      },
      geometry: { type: 'LineString', coordinates: part(zone.from, zone.to) },
    })),
  ];
  return `${JSON.stringify({ type: 'FeatureCollection', features }, null, 1)}\n`;
}

const escaped = (text: string) =>
  text.replace(/[<>&"']/g, (c) => `&#${c.charCodeAt(0)};`).replace(/[^\P{Cc}\t\n]/gu, '');

/** A circuit as GPX 1.1: a closed track with heights, and a waypoint where each braking zone begins. */
export function circuitGpx(
  name: string,
  line: SampledLine,
  place: CircuitPlace,
  zones: readonly MarkedZone[],
): string {
  const all = points(line, place);
  const cells = line.distance.length - 1;
  const point = ([lon, lat, height]: readonly [number, number, number], tag: string, inner = '') =>
    `<${tag} lat="${lat}" lon="${lon}"><ele>${height}</ele>${inner}</${tag}>`;
  const marks = zones.map((zone, k) =>
    point(
      all[Math.round((zone.from / line.length) * cells) % cells],
      'wpt',
      `<name>${k + 1} ${escaped(zone.name)}</name>`,
    ),
  );
  const track = all.map((p) => point(p, 'trkpt'));
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    say.gpxVersionCreatorFervent,
    ...marks,
    `<trk><name>${escaped(name)}</name><trkseg>`,
    ...track,
    '</trkseg></trk>',
    '</gpx>',
    '',
  ].join('\n');
}
