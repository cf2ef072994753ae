import { kml } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import { SaxesParser } from 'saxes';
import { type Refused, readJson } from '../../model';
import { say } from '../../text/en/say/io';
import { placeAt, placeOf, refuse } from '../refusal';
import { decodeText } from '../tables/encoding';
import type { FileTrack, TrackFile } from './fileTrack';
import { readPointTable } from './pointTable';

/** Fewest points that make a line. */
const FEWEST = 8;
/** Deepest that elements may be nested: readers of trees overflow far beyond. */
const DEEPEST = 64;
/** Most points that are taken from a file; a day at 10 Hz. */
const MOST = 2_000_000;

/**
 * Reads the lines of a GPX, KML, GeoJSON or CSV file. What it is, is told from its content; a name that says otherwise
 * is noted. Definitions of entities and references to outside are refused before anything is parsed.
 */
export function readTrackFile(name: string, bytes: Uint8Array): TrackFile | Refused {
  const decoded = decodeText(bytes);
  if ('problem' in decoded) {
    return refuse(say.gpxKmlGeojsonCsv(decoded.problem));
  }
  const { text, encoding } = decoded;
  const notes: string[] = [];
  if (encoding !== 'utf-8')
    notes.push(`Read as ${encoding === 'windows-1252' ? 'Latin-1' : encoding.toUpperCase()}.`);
  const start = text.trimStart();
  const read = start.startsWith('<')
    ? readXml(text)
    : start.startsWith('{') || start.startsWith('[')
      ? readGeoJson(text)
      : readPointTable(text);
  if (!read.ok) return read;
  const told = /\.(gpx|kml|geojson|csv)$/i.exec(name)?.[1].toLowerCase();
  if (told && told !== read.kind.toLowerCase()) {
    notes.push(say.nameSaysContentWas(told, read.kind));
  }
  const tracks = read.tracks.filter((track) => track.a.length >= FEWEST);
  if (tracks.length === 0) {
    const most = read.tracks.reduce((count, track) => Math.max(count, track.a.length), 0);
    return refuse(most === 0 ? say.fileHoldsNoLine(read.kind) : say.longestLineFileHas(most, FEWEST));
  }
  const points = tracks.reduce((sum, track) => sum + track.a.length, 0);
  if (points > MOST) return refuse(say.fileHasPointsMost(points, MOST));
  const bad = tracks.map(outside).find((problem) => problem !== null);
  if (bad) return refuse(bad);
  return { ok: true, kind: read.kind, tracks, notes: [...notes, ...read.notes] };
}

function outside({ name, a, b, metric }: FileTrack): string | null {
  const most = metric ? [1e7, 1e7] : [90, 180];
  for (let i = 0; i < a.length; i++) {
    // A position that is no number fails this as well.
    if (Math.abs(a[i]) <= most[0] && Math.abs(b[i]) <= most[1]) continue;
    return metric
      ? say.pointMWhichNo(i + 1, name, a[i], b[i])
      : say.pointHasLatitudeLongitude(i + 1, name, a[i], b[i]);
  }
  return null;
}

type Read = TrackFile | Refused;

function readXml(text: string): Read {
  const doctype = /<!(DOCTYPE|ENTITY)/i.exec(text);
  if (doctype) {
    return refuse(say.fileDefinesDocumentType, placeAt(text, doctype.index));
  }
  const read = readGpx(text);
  if ('broken' in read) return brokenXml(read.broken, read.place, text);
  if (read.root === 'gpx') return { ok: true, kind: 'GPX', tracks: read.tracks, notes: [] };
  if (read.root !== 'kml') {
    return refuse(say.fileXmlButRoot(read.root), placeOf(1, 1));
  }
  const document = new DOMParser({ onError: () => {} }).parseFromString(text, 'text/xml');
  const tracks: FileTrack[] = [];
  for (const feature of kml(document).features) collect(feature, tracks);
  return { ok: true, kind: 'KML', tracks, notes: [] };
}

/** A line of a GPX file while it is read. */
interface GpxLine {
  name: string;
  points: number[];
}

/**
 * Goes once through an XML document: whether it is well formed, what its root is, and, of a GPX file, its tracks (their
 * segments joined) and routes. A tree of so many points would take several times as long.
 */
function readGpx(
  text: string,
): { root: string; tracks: FileTrack[] } | { broken: string; place: readonly [number, number] } {
  const parser = new SaxesParser({ position: true });
  const lines: GpxLine[] = [];
  const open: string[] = [];
  let root = '';
  let line: GpxLine | null = null;
  let [lat, lon, height, time] = [Number.NaN, Number.NaN, Number.NaN, Number.NaN];
  let inner = '';
  let broken: { broken: string; place: readonly [number, number] } | null = null;
  parser.on('error', (error) => {
    broken ??= { broken: error.message.replace(/^\d+:\d+: /, ''), place: [parser.line, parser.column + 1] };
    throw error;
  });
  parser.on('opentag', ({ name, attributes }) => {
    const local = name.replace(/^.*:/, '').toLowerCase();
    if (open.length === 0) root = local;
    open.push(local);
    if (open.length > DEEPEST) parser.fail(say.elementsNestedMoreThan(DEEPEST));
    inner = '';
    if (local === 'trk' || local === 'rte') line = { name: 'line', points: [] };
    if (local === 'trkpt' || local === 'rtept') {
      lat = attributes.lat === undefined ? Number.NaN : Number(attributes.lat);
      lon = attributes.lon === undefined ? Number.NaN : Number(attributes.lon);
      height = Number.NaN;
      time = Number.NaN;
    }
  });
  parser.on('text', (part) => {
    inner += part;
  });
  parser.on('cdata', (part) => {
    inner += part;
  });
  parser.on('closetag', () => {
    const local = open.pop();
    const parent = open[open.length - 1];
    if (local === 'ele' && inner.trim() !== '') height = Number(inner);
    else if (local === 'time' && (parent === 'trkpt' || parent === 'rtept'))
      time = Date.parse(inner.trim()) / 1000;
    else if (local === 'name' && line && (parent === 'trk' || parent === 'rte'))
      line.name = inner.trim().slice(0, 80);
    else if (local === 'trkpt' || local === 'rtept') line?.points.push(lat, lon, height, time);
    else if ((local === 'trk' || local === 'rte') && line) {
      lines.push(line);
      line = null;
    }
    inner = '';
  });
  try {
    parser.write(text).close();
  } catch (error) {
    return broken ?? { broken: (error as Error).message, place: [parser.line, parser.column + 1] };
  }
  const column = (points: readonly number[], k: number) =>
    Float64Array.from({ length: points.length / 4 }, (_, i) => points[4 * i + k]);
  const tracks = lines.map(({ name, points }): FileTrack => {
    const [a, b, heights, times] = [0, 1, 2, 3].map((k) => column(points, k));
    return { name, a, b, metric: false, height: heights, time: times };
  });
  return { root, tracks };
}

function brokenXml(message: string, [line, column]: readonly [number, number], text: string): Refused {
  const cut = !/<\/\s*(\w+:)?(gpx|kml)\s*>\s*$/i.test(text);
  const why = message.replace(/\s+/g, ' ').slice(0, 160);
  return refuse(cut ? say.fileEndsBeforeLast(why) : `The XML cannot be read: ${why}`, placeOf(line, column));
}

function readGeoJson(text: string): Read {
  const json = readJson(text, 'GeoJSON with a line');
  if (!('value' in json)) return refuse(json.message, json.place);
  const tracks: FileTrack[] = [];
  collect(json.value, tracks);
  return { ok: true, kind: 'GeoJSON', tracks, notes: [] };
}

/** Anything with the shape of a GeoJSON object; nothing of it is trusted. */
interface Loose {
  readonly type?: unknown;
  readonly features?: unknown;
  readonly geometry?: unknown;
  readonly geometries?: unknown;
  readonly coordinates?: unknown;
  readonly properties?: {
    readonly name?: unknown;
    readonly coordinateProperties?: { readonly times?: unknown };
  } | null;
}

function collect(value: unknown, into: FileTrack[], name = '', times: unknown = null, depth = 0): void {
  if (typeof value !== 'object' || value === null || depth > 8) return;
  const object = value as Loose;
  const inner = (list: unknown) => {
    if (Array.isArray(list)) for (const item of list) collect(item, into, name, times, depth + 1);
  };
  const parts = (list: unknown) => {
    if (!Array.isArray(list)) return;
    list.forEach((line, i) => {
      addLine(into, `${name || 'line'} ${i + 1}`, line, Array.isArray(times) ? times[i] : null);
    });
  };
  switch (object.type) {
    case 'FeatureCollection':
      inner(object.features);
      break;
    case 'GeometryCollection':
      inner(object.geometries);
      break;
    case 'Feature': {
      const title = typeof object.properties?.name === 'string' ? object.properties.name.slice(0, 80) : '';
      collect(object.geometry, into, title, object.properties?.coordinateProperties?.times, depth + 1);
      break;
    }
    case 'LineString':
      addLine(into, name || 'line', object.coordinates, times);
      break;
    case 'MultiLineString':
    case 'Polygon':
      parts(object.coordinates);
      break;
    default:
  }
}

function addLine(into: FileTrack[], name: string, coordinates: unknown, times: unknown): void {
  if (!Array.isArray(coordinates)) return;
  const kept: { a: number; b: number; height: number; time: number }[] = [];
  coordinates.forEach((point, i) => {
    if (!Array.isArray(point) || typeof point[0] !== 'number' || typeof point[1] !== 'number') return;
    const when = Array.isArray(times) ? Date.parse(String(times[i])) / 1000 : Number.NaN;
    kept.push({
      a: point[1],
      b: point[0],
      height: typeof point[2] === 'number' ? point[2] : Number.NaN,
      time: when,
    });
  });
  const column = (key: 'a' | 'b' | 'height' | 'time') => Float64Array.from(kept, (p) => p[key]);
  into.push({
    name,
    a: column('a'),
    b: column('b'),
    metric: false,
    height: column('height'),
    time: column('time'),
  });
}
