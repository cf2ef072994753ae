import { AXLES, type DayResult, hottestLap, lapHeat, lapTime } from '../core';
import { METRIC, type Setup, siText } from '../model';
import { type ZoneRow, zoneRows } from '../report';
import {
  beyondSense,
  clockText,
  doubtNote,
  fadeText,
  LIMIT_TEXT,
  limitText,
  marginText,
  momentText,
  temperatureText,
  verdictText,
  wheelWords,
} from '../text/en';
import { say } from '../text/en/say/cli';

/** What the braking zone table shows of the hotter front wheel, °C. */
function front(wheels: ZoneRow['wheels']): number[] {
  const { frontLeft, frontRight } = wheels;
  const w = frontRight.bulkAfterC > frontLeft.bulkAfterC ? frontRight : frontLeft;
  return [w.faceBeforeC, w.facePeakC, w.bulkBeforeC, w.bulkAfterC, w.fluidC];
}

/** Verdict, table of the hottest hot lap's braking zones, margins and energy balance, for a terminal. */
export function reportText(setup: Setup, result: DayResult): string {
  const verdict = verdictText(result, METRIC);
  const hottest = hottestLap(result);
  const seconds = lapTime(result.trace);
  const lines = [
    `${setup.plan.name}: ${setup.car.name} at ${setup.circuit.name}`,
    '',
    `${verdict.state}. ${verdict.sentence}`,
    ...verdict.notes,
    doubtNote(result.doubt),
    '',
    say.lapSBrakeEnergy(
      clockText(seconds),
      seconds.toFixed(2),
      siText(lapHeat(result.trace), 'energy', METRIC),
      (lapHeat(result.trace) / seconds / 1000).toFixed(1),
    ),
    '',
    say.brakingZonesLapHottest(hottest),
    ...zoneTable(zoneRows(setup, result, hottest)),
    '',
    'Margins',
    ...marginTable(result),
    ...footTable(result),
    '',
    say.energyMjStoredCarried(
      (result.audit.supplied / 1e6).toFixed(3),
      (result.audit.stored / 1e6).toFixed(3),
      (result.audit.lost / 1e6).toFixed(3),
      (100 * result.audit.residual).toExponential(1),
    ),
  ];
  return `${lines.join('\n')}\n`;
}

function zoneTable(rows: readonly ZoneRow[]): string[] {
  return table(
    [
      '',
      'zone',
      'in km/h',
      'out',
      'm/s²',
      's',
      'm',
      'kJ',
      'peak kW',
      'front %',
      'pedal N',
      'reserve %',
      'surface',
      'peak',
      'core',
      'after',
      'fluid',
      'cooling s',
    ],
    rows.map((r) => [
      String(r.zone),
      r.name,
      ...[r.entryKmh, r.exitKmh].map((v) => v.toFixed(0)),
      ...[r.decelerationMs2, r.timeS].map((v) => v.toFixed(1)),
      ...[r.lengthM, r.energyKj, r.peakPowerKw, r.frontSharePercent].map((v) => v.toFixed(0)),
      r.pedalN === null ? '—' : r.pedalN.toFixed(0),
      fadeText(r.fadeMarginPercent / 100).replace(' %', ''),
      ...front(r.wheels).map((v) => v.toFixed(0)),
      r.airTimeS.toFixed(1),
    ]),
  );
}

function marginTable(result: DayResult): string[] {
  return table(
    ['wheel', 'part', 'worst', 'limit', 'margin', 'when'],
    AXLES.flatMap((axle) => result.margins.filter((m) => m.axle === axle)).map((m) => [
      wheelWords(m.axle, m.side),
      m.part === 'bite' ? 'cold bite' : LIMIT_TEXT[m.part].name,
      temperatureText(m.worst, METRIC),
      temperatureText(m.limit, METRIC),
      marginText(m, METRIC),
      momentText(m.at, result),
    ]),
    2,
  );
}

/** What the driver's foot is asked. */
function footTable(result: DayResult): string[] {
  return table(
    ['foot', '', 'worst', 'limit', 'margin', 'when'],
    result.forceMargins.map((m) => [
      'driver',
      LIMIT_TEXT[m.part].name,
      beyondSense(m) ? '—' : limitText(m.part, m.worst, METRIC),
      limitText(m.part, m.limit, METRIC),
      marginText(m, METRIC),
      momentText(m.at, result),
    ]),
    2,
  );
}

/** Columns as wide as their longest cell; the first `left` ones to the left, the others to the right. */
function table(head: readonly string[], rows: readonly (readonly string[])[], left = 2): string[] {
  const all = [head, ...rows];
  const widths = head.map((_, c) => Math.max(...all.map((row) => row[c].length)));
  return all.map((row) =>
    row
      .map((cell, c) => (c < left ? cell.padEnd(widths[c]) : cell.padStart(widths[c])))
      .join('  ')
      .trimEnd(),
  );
}
