import type { EntryKind, Path, Quantity } from '../../model';

/** How a cell is written: as it is, as a number with a unit, yes or no, several joined, or by a thing's name. */
type CellForm = 'text' | 'number' | 'flag' | 'points' | 'words' | 'set' | 'circuit' | 'plan' | 'event';

/** A column of the logbook as a table. */
export interface LogColumn {
  readonly head: string;
  readonly path: Path;
  readonly form: CellForm;
  readonly quantity: Quantity | null;
  /** Kinds of line that have it; null for all */
  readonly of: readonly EntryKind[] | null;
}

const column = (
  head: string,
  path: Path,
  form: CellForm,
  of: readonly EntryKind[] | null,
  quantity: Quantity | null = null,
): LogColumn => ({ head, path, form, quantity, of });

const WHEELS = { FL: 'frontLeft', FR: 'frontRight', RL: 'rearLeft', RR: 'rearRight' } as const;
const MEASURED = {
  'inner leading': 'innerLeadingMm',
  'inner trailing': 'innerTrailingMm',
  'outer leading': 'outerLeadingMm',
  'outer trailing': 'outerTrailingMm',
  rotor: 'rotorMm',
  runout: 'runoutMm',
  growth: 'growthMm',
} as const;

const SETS = ['Front pads', 'Front rotors', 'Rear pads', 'Rear rotors'] as const;

/** Columns in the order they are written; cracks, states and pictures are in the file of the project alone. */
export const LOG_COLUMNS: readonly LogColumn[] = [
  column('Date', ['date'], 'text', null),
  column('Time', ['time'], 'text', null),
  column('What', ['name'], 'text', null),
  column('By', ['by'], 'text', null),
  column('Note', ['note'], 'text', null),
  column('Event', ['eventId'], 'event', null),
  column('Circuit', ['circuitId'], 'circuit', ['session']),
  column('Driven like', ['planId'], 'plan', ['session']),
  column('Hot laps', ['hotLaps'], 'number', ['session'], 'count'),
  column('Out and in', ['outLaps'], 'number', ['session'], 'count'),
  column('Air', ['airC'], 'number', ['session'], 'temperature'),
  column('Track', ['track'], 'text', ['session']),
  column('Pedal', ['pedal'], 'text', ['session']),
  column('Symptoms', ['symptoms'], 'words', ['session']),
  column('Incident', ['incident'], 'flag', ['session', 'note']),
  ...SETS.map((head) =>
    column(head, ['sets', head.toLowerCase()], 'set', ['session', 'inspection', 'fitted']),
  ),
  column('Done', ['deed'], 'text', ['fluid']),
  column('Copper', ['copperPpm'], 'number', ['fluid'], 'count'),
  column('Water', ['waterPercent'], 'number', ['fluid'], 'percent'),
  column('Boiled at', ['boilingC'], 'number', ['fluid'], 'temperature'),
  column('Used', ['usedCm3'], 'number', ['fluid'], 'volume'),
  column('New in the calipers', ['newPercent'], 'number', ['fluid'], 'percent'),
  ...Object.entries(WHEELS).flatMap(([short, wheel]) =>
    Object.entries(MEASURED).map(([name, key]) =>
      column(
        `${short} ${name}`,
        ['wheels', wheel, key],
        key === 'rotorMm' ? 'points' : 'number',
        ['inspection'],
        'smallLength',
      ),
    ),
  ),
];
