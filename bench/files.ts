import { closeSync, existsSync, mkdirSync, openSync, readSync, statSync, writeSync } from 'node:fs';
import { demoProject } from '../demo/project';
import { mendLog, smoothSpeed } from '../src/core';
import { type ByteSource, guessMapping, openLog, prepareLog, readLog, readTrackFile } from '../src/io';
import { setupOf } from '../src/model';
import { LOGGER_COLUMNS, simulatedLog } from '../src/server/standIns/logger';
import { analyseLog, circuitFrom, findLine } from '../src/services';
import { DAY_FILE } from './dayFile';

/** One simulated stint is written again and again, with its clock going on, until the file is as large. */
const DAY_BYTES = 100e6;

function writeDay(): void {
  mkdirSync('.cache', { recursive: true });
  if (existsSync(DAY_FILE) && statSync(DAY_FILE).size >= DAY_BYTES) return;
  const log = simulatedLog({ planId: 'plan-tarn-anvil', laps: 8, rate: 100, noise: 1, seed: 2 });
  const rows = [...log.rows()];
  const file = openSync(DAY_FILE, 'w');
  writeSync(file, `${LOGGER_COLUMNS.join(',')}\n`);
  let written = 0;
  for (let stint = 0; written < DAY_BYTES; stint++) {
    const offset = (stint * rows.length) / 100;
    let text = '';
    for (const row of rows) {
      text += `${(Number(row[0]) + offset).toFixed(2)},${row
        .slice(1)
        .map((v) => v ?? '')
        .join(',')}\n`;
    }
    written += writeSync(file, text);
  }
  closeSync(file);
}

/** A file on disk, read in pieces as a browser reads a File. */
function onDisk(path: string): ByteSource {
  const file = openSync(path, 'r');
  return {
    name: path,
    size: statSync(path).size,
    slice: (from, to) => ({
      arrayBuffer: async () => {
        const bytes = new Uint8Array(to - from);
        readSync(file, bytes, 0, bytes.length, from);
        return bytes.buffer;
      },
    }),
  };
}

async function readDay() {
  writeDay();
  const source = onDisk(DAY_FILE);
  const before = process.memoryUsage().rss;
  let most = before;
  let pieces = 0;
  const start = performance.now();
  const opened = await openLog(source);
  if (!opened.ok) throw new Error(opened.problems[0].message);
  const read = await readLog(source, guessMapping(opened.layout), () => {
    most = Math.max(most, process.memoryUsage().rss);
    pieces += 1;
  });
  if (!read.ok) throw new Error(read.problems[0].message);
  const readMs = performance.now() - start;
  const mendStart = performance.now();
  const mended = mendLog(read.raw);
  smoothSpeed(mended);
  const smoothMs = performance.now() - mendStart;
  const setup = setupOf(demoProject);
  const analyseStart = performance.now();
  const analysis = analyseLog(prepareLog(read.raw, setup), setup);
  most = Math.max(most, process.memoryUsage().rss);
  return {
    megabytes: source.size / 1e6,
    rows: read.rows,
    readSeconds: readMs / 1000,
    megabytesPerSecond: source.size / 1000 / readMs,
    progressTold: pieces,
    mendAndSmoothSeconds: smoothMs / 1000,
    wholeAnalysisSeconds: (performance.now() - analyseStart) / 1000,
    laps: analysis.day.laps.length,
    memoryMostMb: most / 1e6,
    memoryAboveStartMb: (most - before) / 1e6,
  };
}

function readTrack() {
  const log = simulatedLog({ planId: 'plan-ovel-nettle', laps: 20, rate: 20, noise: 1, seed: 3 });
  const points = [];
  for (const row of log.rows()) {
    if (row[4] === null) continue;
    points.push(
      `<trkpt lat="${row[4]}" lon="${row[5]}"><ele>${row[6]}</ele><time>2026-05-01T10:00:00Z</time></trkpt>`,
    );
    if (points.length === 20_000) break;
  }
  const text = `<?xml version="1.0"?><gpx version="1.1" creator="bench" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('\n')}</trkseg></trk></gpx>`;
  const bytes = new TextEncoder().encode(text);
  const times: [number, number, number][] = [];
  for (let i = 0; i < 5; i++) {
    const a = performance.now();
    const read = readTrackFile('bench.gpx', bytes);
    if (!read.ok) throw new Error(read.problems[0].message);
    const b = performance.now();
    const found = findLine(read.tracks[0], null);
    if (!found.ok) throw new Error(found.problems[0].message);
    const c = performance.now();
    const made = circuitFrom(found, { bound: null, start: found.suggestedStart, reverse: false }, 'c', 'c');
    if (!made.ok) throw new Error(made.problems[0].message);
    times.push([b - a, c - b, performance.now() - c]);
  }
  times.sort((x, y) => x[0] + x[1] + x[2] - (y[0] + y[1] + y[2]));
  const [parse, line, corners] = times[2];
  return {
    points: points.length,
    parseMs: parse,
    lineMs: line,
    cornersMs: corners,
    allMs: parse + line + corners,
  };
}

const track = readTrack();
console.log(JSON.stringify({ track, day: await readDay() }));
