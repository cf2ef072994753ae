import { gpx, kml } from '@tmcw/togeojson';
import { DOMParser, type Document, ParseError } from '@xmldom/xmldom';
import type { Refused } from '../project';
import { decodeText } from './encoding';
import type { FileTrack, TrackFile } from './fileTrack';
import { readPointTable } from './pointTable';
import { placeAt, placeOf, refuse } from './refusal';

/** Fewest points that make a line. */
const FEWEST = 8;
/** Most points that are taken from a file; a day at 10 Hz. */
const MOST = 2_000_000;

/**
 * Reads the lines of a GPX, KML, GeoJSON or CSV file. What it is, is told from its content; a name that says otherwise
 * is noted. Definitions of entities and references to outside are refused before anything is parsed.
 */
export function readTrackFile(name: string, bytes: Uint8Array): TrackFile | Refused {
  const decoded = decodeText(bytes);
  if ('problem' in decoded) {
    return refuse(`${decoded.problem} A GPX, KML, GeoJSON or CSV file was expected.`);
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
    notes.push(`The name says ${told}, the content is ${read.kind}; it was read as what it is.`);
  }
  const tracks = read.tracks.filter((track) => track.a.length >= FEWEST);
  if (tracks.length === 0) {
    const most = read.tracks.reduce((count, track) => Math.max(count, track.a.length), 0);
    return refuse(
      most === 0
        ? `The ${read.kind} file holds no line. A track, a route or a line was expected.`
        : `The longest line in the file has ${most} points; at least ${FEWEST} are needed for a circuit.`,
    );
  }
  const points = tracks.reduce((sum, track) => sum + track.a.length, 0);
  if (points > MOST) return refuse(`The file has ${points} points; at most ${MOST} are read.`);
  const bad = tracks.map(outside).find((problem) => problem !== null);
  if (bad) return refuse(bad);
  return { ok: true, kind: read.kind, tracks, notes: [...notes, ...read.notes] };
}

function outside({ name, a, b, metric }: FileTrack): string | null {
  const most = metric ? [1e7, 1e7] : [90, 180];
  for (let i = 0; i < a.length; i++) {
    if (Math.abs(a[i]) <= most[0] && Math.abs(b[i]) <= most[1]) continue;
    return metric
      ? `Point ${i + 1} of “${name}” is at ${a[i]}, ${b[i]} m, which is no place on a circuit.`
      : `Point ${i + 1} of “${name}” has latitude ${a[i]} and longitude ${b[i]}; they must be within 90 and 180 degrees.`;
  }
  return null;
}

type Read = TrackFile | Refused;

function readXml(text: string): Read {
  const doctype = /<!(DOCTYPE|ENTITY)/i.exec(text);
  if (doctype) {
    return refuse(
      'The file defines a document type or entities. Such definitions can blow up or reach outside, and no track needs them; nothing was read.',
      placeAt(text, doctype.index),
    );
  }
  let document: Document;
  try {
    document = new DOMParser({
      onError: (level, message, context) => {
        if (level === 'warning') return;
        throw new Error(`${message}@@${JSON.stringify(context?.locator ?? null)}`);
      },
    }).parseFromString(text, 'text/xml');
  } catch (error) {
    return brokenXml(error, text);
  }
  const root = document.documentElement?.localName?.toLowerCase();
  if (root !== 'gpx' && root !== 'kml') {
    return refuse(
      `The file is XML, but its root is <${root ?? '?'}>; <gpx> or <kml> was expected.`,
      placeOf(1, 1),
    );
  }
  const collection = root === 'gpx' ? gpx(document) : kml(document);
  const tracks: FileTrack[] = [];
  for (const feature of collection.features) collect(feature, tracks);
  const kind = root === 'gpx' ? 'GPX' : 'KML';
  return { ok: true, kind, tracks, notes: [] };
}

function brokenXml(error: unknown, text: string): Refused {
  const raw = error instanceof ParseError || error instanceof Error ? error.message : String(error);
  const [message, located] = raw.split('@@');
  let place = '';
  try {
    const at = located
      ? (JSON.parse(located) as { lineNumber?: number; columnNumber?: number } | null)
      : null;
    if (at?.lineNumber) place = placeOf(at.lineNumber, at.columnNumber ?? 1);
  } catch {
    // Without a place the message stands alone.
  }
  const cut = !/<\/\s*(gpx|kml)\s*>\s*$/i.test(text);
  const why = message.replace(/\s+/g, ' ').slice(0, 160);
  return refuse(
    cut
      ? `The file ends before its last element is closed: it looks cut off. (${why})`
      : `The XML cannot be read: ${why}`,
    place || placeAt(text, text.length),
  );
}

function readGeoJson(text: string): Read {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const position = /position (\d+)/.exec(String(error));
    const at = position ? Number(position[1]) : text.length;
    return refuse(
      'The file is not JSON: it breaks here. GeoJSON with a line was expected.',
      placeAt(text, at),
    );
  }
  const tracks: FileTrack[] = [];
  collect(value, tracks);
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
