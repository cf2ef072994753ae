import Papa from 'papaparse';
import type { Refused } from '../../model';
import { say } from '../../text/en/say/io';
import { guessMapping } from '../logs/logMapping';
import { unitLabelled } from '../logs/logUnits';
import { placeOf, refuse } from '../refusal';
import { findLayout, numberOf } from '../tables/csvLayout';
import type { FileTrack, TrackFile } from './fileTrack';

/** Reads a table of points: latitude and longitude, or x and y in metres, with heights and times where there are any. */
export function readPointTable(text: string): TrackFile | Refused {
  const layout = findLayout(text.slice(0, 200_000));
  if (!layout.ok) return layout;
  const guess = guessMapping(layout);
  const use = (as: string) => guess.uses.find((u) => u.as === as);
  const [lat, lon] = [use('latitude'), use('longitude')];
  const [east, north] = [use('east'), use('north')];
  const metric = !(lat && lon);
  const [a, b] = metric ? [east, north] : [lat, lon];
  if (!a || !b) {
    return refuse(
      say.noColumnsLatitudeLongitude(
        layout.columns
          .slice(0, 12)
          .map((c) => `“${c.name}”`)
          .join(', '),
      ),
      placeOf(Math.max(1, layout.firstLine - 1), 1),
    );
  }
  const rows = Papa.parse<string[]>(text, { delimiter: layout.delimiter, skipEmptyLines: false }).data;
  const value = (row: readonly string[], u: { column: number; as: string; unit: string } | undefined) => {
    if (!u) return Number.NaN;
    const cell = row[u.column] ?? '';
    if (u.as === 'time' && cell.includes('-')) return Date.parse(cell) / 1000;
    const number = numberOf(cell, layout.decimal);
    const unit = unitLabelled(u.as as 'height', u.unit);
    return number === null ? Number.NaN : number * unit.scale + unit.offset;
  };
  const [height, time] = [use('height'), use('time')];
  const points: [number, number, number, number][] = [];
  const skipped = { count: 0, first: 0 };
  rows.slice(layout.firstLine - 1).forEach((row, i) => {
    if (row.every((cell) => cell.trim() === '')) return;
    const point: [number, number, number, number] = [
      value(row, a),
      value(row, b),
      value(row, height),
      value(row, time),
    ];
    if (Number.isFinite(point[0]) && Number.isFinite(point[1])) points.push(point);
    else {
      if (skipped.count === 0) skipped.first = layout.firstLine + i;
      skipped.count += 1;
    }
  });
  const column = (k: number) => Float64Array.from(points, (p) => p[k]);
  const track: FileTrack = {
    name: 'table',
    a: column(0),
    b: column(1),
    metric,
    height: column(2),
    time: column(3),
  };
  const notes = skipped.count > 0 ? [say.rowsWithoutPositionWere(skipped.count, skipped.first)] : [];
  return { ok: true, kind: 'CSV', tracks: [track], notes };
}
