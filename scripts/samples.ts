import { mkdirSync, writeFileSync } from 'node:fs';
import { demoProject } from '../demo/project';
import { writeParts } from '../src/model';
import { LOGGER_COLUMNS, loggerCsv, simulatedLog } from '../src/server/standIns/logger';
import { exportedGpx } from '../tests/support/logs';

/** Writes the sample files that ship with the program, from the demo. */
const FOLDER = 'src/app/public/samples';
mkdirSync(FOLDER, { recursive: true });
const put = (name: string, text: string) => writeFileSync(`${FOLDER}/${name}`, text);

/** The points of a track stand beside each other: a file of thousands of lines is nothing to look at. */
const joined = (gpx: string) => gpx.replace(/>\s*\n\s*(?=<(trkpt|ele|time|\/trkpt))/g, '>');

put('anvil-park.gpx', joined(exportedGpx(0)));

const of = (laps: number, rate: number) =>
  simulatedLog({ planId: demoProject.selectedPlanId, laps, rate, noise: 1, seed: 3 });
// The out lap and the first hot laps of it.
const ROWS = 1000;
const log = [...loggerCsv(of(2, 3))].join('').split('\n').slice(0, ROWS);
put('anvil-log.csv', `${log.join('\n')}\n`);

const at = (name: (typeof LOGGER_COLUMNS)[number]) => LOGGER_COLUMNS.indexOf(name);
const begun = Date.UTC(2026, 4, 3, 9, 30);
const points = [...of(3, 5).rows()].flatMap((row) => {
  const [time, lat, lon] = [row[at('Time (s)')], row[at('Latitude (deg)')], row[at('Longitude (deg)')]];
  if (time === null || lat === null || lon === null) return [];
  return `<trkpt lat="${lat.toFixed(7)}" lon="${lon.toFixed(7)}"><time>${new Date(begun + 1000 * time).toISOString()}</time></trkpt>`;
});
put(
  'sunday-recording.gpx',
  `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Fervent Kettle" xmlns="http://www.topografix.com/GPX/1/1">\n<trk><name>Sunday</name><trkseg>\n${points.join('')}\n</trkseg></trk>\n</gpx>\n`,
);

put(
  'braking-zones.csv',
  'Corner,From (km/h),To (km/h),Braking distance (m),To the next (m)\nGatepost,158,72,,310\nOrchard,146,96,,240\nCrook,139,58,,180\nMill,116,70,,420\nStile,133,84,,150\nFord,110,61,,330\nBarn,148,96,,260\nRick,138,77,,390\n',
);

put(
  'parts.json',
  writeParts([
    {
      kind: 'duct',
      id: 'sample-duct',
      name: 'Hose of 80 mm, sample',
      note: 'An invented part to try the import with.',
      price: 2,
      massKg: 0.5,
      source: 'Invented',
      values: { areaCm2: 50, coefficientPercent: 45 },
    },
  ]),
);

put(
  'readings.csv',
  [
    'kind,wheel,axle,place,value (°C),turned,lap,seconds after the stop,instrument,note',
    'spot,FL,,disc,386,,9,60,contact,',
    'spot,FR,,disc,385,,9,90,contact,',
    'spot,RL,,disc,160,,9,120,contact,',
    'paint,FL,,caliper,160,yes,,,,strip',
    'paint,FL,,caliper,171,no,,,,strip',
    'boiled,,front,,,,,,,the pedal stayed firm',
    '',
  ].join('\n'),
);

put(
  'stops.csv',
  [
    'Run,Setup,Stop,From (km/h),To (km/h),Distance (m),Marks (m),Time (s),Pedal (N),ABS,Temperature (°C),Slope (%),Note',
    'Before,Standard pads,1,80.4,0,,30+9.2,3.6,210,no,92,0.5,tape of 30 m',
    'Before,Standard pads,2,79.2,0,38.6,,,235,no,148,0.5,',
    'Before,Standard pads,3,81,0,41.1,,,270,no,196,0.5,',
    'Before,Standard pads,4,80.1,0,41.4,,,310,no,231,0.5,',
    'After,Track pads,1,79.6,0,38.4,,,205,yes,90,0.5,',
    'After,Track pads,2,80.8,0,39.2,,,200,yes,143,0.5,',
    'After,Track pads,3,80,0,38.5,,,205,yes,190,0.5,',
    'After,Track pads,4,79.5,0,38.3,,,210,yes,226,0.5,',
    '',
  ].join('\n'),
);
