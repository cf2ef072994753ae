import { ownAddress } from '../ui/ownAddress';

/** Invented files that ship with the program, one for each way in. */
export const SAMPLES = {
  circuit: { file: 'anvil-park.gpx', what: 'a line of a circuit: Circuit, From a file' },
  recording: { file: 'sunday-recording.gpx', what: 'laps with times: Circuit, From a file' },
  log: { file: 'anvil-log.csv', what: 'a logger’s table: Track' },
  zones: { file: 'braking-zones.csv', what: 'a table to paste: Enter my car, The circuit' },
  readings: { file: 'readings.csv', what: 'readings of a drive: Track, Calibrate' },
  stops: { file: 'stops.csv', what: 'stops of two setups: Track, Test, Record' },
  parts: { file: 'parts.json', what: 'parts for the shelf: Files, Import' },
} as const;

/** A sample as if it had been chosen. @throws Error when it cannot be fetched */
export async function sampleFile(id: keyof typeof SAMPLES): Promise<File> {
  const { file } = SAMPLES[id];
  const answer = await fetch(ownAddress(`samples/${file}`));
  if (!answer.ok) throw new Error(`${file}: ${answer.status}`);
  return new File([await answer.blob()], file);
}
