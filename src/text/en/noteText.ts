import type { LogNote } from '../../core';
import { LOG_COLUMN_NAMES } from '../../io';

const times = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`;

/** What was found in a log, in words, with the line of the file it was first found at. */
export function noteText(
  note: LogNote,
  lineOf: { readonly first: number; readonly perSample: number },
): string {
  const line = lineOf.first + note.first * lineOf.perSample;
  const at = lineOf.first > 1 ? `, first at line ${line}` : '';
  const name = note.channel === 'time' ? 'time' : LOG_COLUMN_NAMES[note.channel].toLowerCase();
  switch (note.kind) {
    case 'time-back':
      return `Time ran backwards at ${times(note.count, 'sample')}${at}; they were left out.`;
    case 'same-time':
      return `${times(note.count, 'sample')} had the same time as the one before${at}; they were left out.`;
    case 'clock-shift': {
      const hours = note.size / 3600;
      return `The clock was set by ${hours > 0 ? '+' : '−'}${Math.abs(hours)} h${at}: a change of time zone. It was set back.`;
    }
    case 'restart':
      return `The time began anew ${times(note.count, 'time')}${at}; the parts were joined.`;
    case 'far-time':
      return `${times(note.count, 'sample')} had a time past any calendar${at}; they were left out.`;
    case 'cut':
      return `${times(note.count, 'gap')} of over an hour${at}, cut down to an hour each; ${(note.size / 3600).toFixed(1)} h were taken out.`;
    case 'gap':
      return `${times(note.count, 'gap')} in the log, ${note.size.toFixed(1)} s together${at}; speed was carried over them in a line.`;
    case 'spike':
      return `${times(note.count, 'spike')} of ${name} that no car could follow${at}; they were bridged.`;
    case 'missing':
      return note.channel === 'time'
        ? `${times(note.count, 'sample')} had no time${at}; they were left out.`
        : `The ${name} never has a value.`;
    case 'out-of-range':
      return `${times(note.count, 'reading')} of ${name} ${note.count === 1 ? 'is' : 'are'} impossible${at}; left out.`;
    case 'no-speed':
      return 'The log has no speed; it was made from distance or positions, and is rougher for it.';
  }
}
