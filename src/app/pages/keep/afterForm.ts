import {
  addDrive,
  driveOf,
  type EntryOf,
  type fluidFoundSchema,
  type LogEntry,
  lastOf,
  NOTHING_AT_WHEEL,
  NOTHING_OF_FLUID,
  newEntry,
  type Plan,
  type Project,
  putEntry,
  type Setup,
  type StoredDrive,
} from '../../../model';
import { fittedOn, type PlannedOfEvent, setupOfSession } from '../../../services';
import type { DrivenLoad } from '../../shared/drivenLoad';

export type WheelId = 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight';
export const WHEEL_IDS: readonly WheelId[] = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'];

/** What is put down after a session in a minute; last values are kept. */
export interface AfterValues {
  readonly date: string;
  readonly time: string;
  readonly by: string;
  readonly name: string;
  readonly eventId: string | null;
  readonly plannedId: string | null;
  readonly circuitId: string;
  readonly planId: string;
  readonly outLaps: number;
  readonly hotLaps: number;
  readonly airC: number;
  readonly track: EntryOf<'session'>['track'];
  readonly pedal: EntryOf<'session'>['pedal'];
  readonly symptoms: EntryOf<'session'>['symptoms'];
  readonly incident: boolean;
  /** Kept log it was recorded by */
  readonly log: EntryOf<'session'>['log'];
  readonly note: string;
  /** Disc by a contact thermometer, °C, by wheel; null not read */
  readonly discC: Readonly<Record<WheelId, number | null>>;
  readonly secondsAfter: number;
  /** Thinnest pad seen, mm, by wheel; null not looked at */
  readonly padMm: Readonly<Record<WheelId, number | null>>;
  readonly level: (typeof fluidFoundSchema.shape.level.options)[number];
  readonly boiled: boolean;
}

const none = { frontLeft: null, frontRight: null, rearLeft: null, rearRight: null } as const;

/** What the form begins with: as the event's next session was planned, else as the last one was, of the plan on the workbench where there is none. */
export function begunWith(
  entries: readonly LogEntry[],
  plan: Plan,
  {
    date,
    time,
    planned,
  }: { readonly date: string; readonly time: string; readonly planned: PlannedOfEvent | null },
): AfterValues {
  const last = lastOf(entries, 'session');
  const laps = plan.sessions[0].legs.find(({ kind }) => kind === 'hot');
  const today = entries.filter((entry) => entry.kind === 'session' && entry.date === date).length;
  const begun: AfterValues = {
    date,
    time,
    by: last?.by ?? '',
    name: `Session ${today + 1}`,
    eventId: last?.date === date ? last.eventId : null,
    plannedId: null,
    circuitId: last?.date === date ? last.circuitId : plan.circuitId,
    planId: plan.id,
    outLaps: last?.outLaps ?? 2,
    hotLaps: last?.date === date ? last.hotLaps : laps && 'laps' in laps ? laps.laps : 8,
    airC: last?.date === date ? last.airC : plan.sessions[0].ambientC,
    track: last?.date === date ? last.track : 'dry',
    pedal: 'firm',
    symptoms: [],
    incident: false,
    log: null,
    note: '',
    discC: none,
    secondsAfter: 120,
    padMm: none,
    level: 'not looked at',
    boiled: false,
  };
  return planned ? { ...begun, ...asPlanned(planned) } : begun;
}

/** What is taken from the plan of an event's session. */
export const asPlanned = ({ eventId, event, sessionId, session }: PlannedOfEvent): Partial<AfterValues> => ({
  name: session.name,
  eventId,
  plannedId: sessionId,
  circuitId: event.circuitId,
  hotLaps: session.hotLaps,
  airC: session.airC,
});

/** The session that was driven, as a line of the logbook. */
export function sessionOf(
  values: AfterValues,
  {
    id,
    carId,
    entries,
  }: { readonly id: string; readonly carId: string; readonly entries: readonly LogEntry[] },
): EntryOf<'session'> {
  const { date, time, circuitId, planId } = values;
  return {
    ...newEntry('session', { id, carId, date, circuitId, planId }),
    name: values.name,
    time: /^([01]\d|2[0-3]):[0-5]\d$/.test(time) ? time : null,
    by: values.by,
    note: values.note,
    eventId: values.eventId,
    plannedId: values.plannedId,
    outLaps: values.outLaps,
    hotLaps: values.hotLaps,
    airC: values.airC,
    track: values.track,
    pedal: values.pedal,
    symptoms: [...values.symptoms],
    incident: values.incident,
    log: values.log,
    sets: fittedOn(entries, date),
  };
}

/** Readings of the discs as a drive for the calibration; null where nothing was read. */
function driveFor(values: AfterValues, setup: Setup, id: string): StoredDrive | null {
  const read = WHEEL_IDS.flatMap((wheel) => {
    const valueC = values.discC[wheel];
    return valueC === null ? [] : [{ wheel, valueC }];
  });
  if (read.length === 0) return null;
  const drive = driveOf(setup, { id, name: values.name, date: values.date, log: null });
  return {
    ...drive,
    observations: read.map(({ wheel, valueC }) => ({
      kind: 'spot',
      id: `${id}-${wheel}`,
      excluded: null,
      note: '',
      wheel,
      place: 'disc',
      valueC,
      lap: values.outLaps + values.hotLaps,
      afterS: values.secondsAfter,
      instrument: 'contact',
      emissivity: null,
      errorK: null,
    })),
  };
}

/** Puts it all down at once: the session, its readings, what was seen of pads and fluid. One undo takes all of it back. */
export function written(
  project: Project,
  values: AfterValues,
  known: {
    readonly carId: string;
    readonly entries: readonly LogEntry[];
    readonly load: DrivenLoad | null;
    readonly newId: () => string;
  },
): Project {
  const session = sessionOf(values, { id: known.newId(), carId: known.carId, entries: known.entries });
  const setup = setupOfSession(project, session);
  const drive = setup ? driveFor(values, setup, known.newId()) : null;
  let next = putEntry(project, {
    ...session,
    driveId: drive?.id ?? null,
    load: known.load?.load ?? null,
    loadBy: known.load?.by ?? null,
  });
  if (drive) next = addDrive(next, drive);
  const seen = WHEEL_IDS.filter((wheel) => values.padMm[wheel] !== null);
  if (seen.length > 0 || values.level !== 'not looked at') {
    const inspection = newEntry('inspection', { id: known.newId(), carId: known.carId, date: values.date });
    next = putEntry(next, {
      ...inspection,
      name: `After ${values.name}`.slice(0, 80),
      time: session.time,
      by: values.by,
      eventId: values.eventId,
      sets: session.sets,
      // One figure a wheel: the thinner of its two pads, whichever that was.
      wheels: Object.fromEntries(
        seen.map((wheel) => [wheel, { ...NOTHING_AT_WHEEL, innerLeadingMm: values.padMm[wheel] }]),
      ),
      fluid: { ...NOTHING_OF_FLUID, level: values.level },
    });
  }
  if (values.boiled) {
    const fluid = newEntry('fluid', { id: known.newId(), carId: known.carId, date: values.date });
    next = putEntry(next, {
      ...fluid,
      name: 'Boiled',
      time: session.time,
      by: values.by,
      deed: 'over temperature',
    });
  }
  return next;
}
