import type { LogNote } from './channels';

/** A clock that jumps by quarter hours, to within this, was set: summer time, another zone, s. */
const ZONE = 900;
const ZONE_NEAR = 30;
/** A time that falls by more than this and then goes on begins anew, s. */
const RESTART = 2;
/** A longer gap is cut out but for this, s: whatever was hot is cold after it. */
const LONGEST_GAP = 3600;
/** A greater time is none: the seconds of any calendar are far less, s. */
const FARTHEST_TIME = 1e11;

/** A clock that rises. */
export interface MendedClock {
  /** s since the first sample, rising; n */
  readonly time: Float64Array;
  /** Samples of the log as read that have a time in it; n */
  readonly kept: number[];
  /** Where in `kept` a gap was cut out before a sample */
  readonly cuts: number[];
}

/** s; what a log without two samples is taken to have */
const lastStep = (time: readonly number[]): number =>
  time.length > 1 ? time[time.length - 1] - time[time.length - 2] : 0.1;

/**
 * Puts a log's clock right: what runs back or is none is left out, a clock that was set is set back, parts that begin anew
 * follow each other, gaps of over an hour are cut down to one.
 * @param time s, of any clock; NaN where there is none
 * @param notes told what was found
 */
export function mendClock(time: ArrayLike<number>, notes: LogNote[]): MendedClock {
  const kept: number[] = [];
  const cuts: number[] = [];
  const mended: number[] = [];
  let shift = 0;
  let last = Number.NEGATIVE_INFINITY;
  const back = { count: 0, first: -1 };
  const same = { count: 0, first: -1 };
  const missing = { count: 0, first: -1 };
  const restart = { count: 0, first: -1 };
  const far = { count: 0, first: -1 };
  const cut = { count: 0, first: -1, size: 0 };
  const count = (what: { count: number; first: number }, i: number) => {
    if (what.count === 0) what.first = i;
    what.count += 1;
  };
  for (let i = 0; i < time.length; i++) {
    // What is no number fails this as well.
    if (!(Math.abs(time[i]) <= FARTHEST_TIME)) {
      count(Number.isFinite(time[i]) ? far : missing, i);
      continue;
    }
    let t = time[i] + shift;
    const jump = t - last;
    if (kept.length > 0 && leapsAhead(last, t, time[i + 1] + shift)) {
      count(back, i);
      continue;
    }
    const near = i + 1 < time.length && Math.abs(time[i + 1] - time[i]) < 5;
    const quarters = kept.length > 0 && near ? quartersSet(jump) : 0;
    if (quarters !== 0) {
      shift -= quarters * ZONE;
      t = time[i] + shift;
      if (t <= last) {
        const more = last - t + 0.001;
        shift += more;
        t += more;
      }
      notes.push({ kind: 'clock-shift', channel: 'time', count: 1, first: i, size: quarters * ZONE });
    }
    const goesOn = i + 1 < time.length && time[i + 1] > time[i] && time[i + 1] - time[i] < 5;
    if (t < last - RESTART && goesOn) {
      // A time that begins anew with each lap or recording: the parts follow each other.
      const step = lastStep(mended);
      shift += last - t + step;
      t = last + step;
      count(restart, i);
    }
    if (t - last > LONGEST_GAP && kept.length > 0) {
      count(cut, i);
      cuts.push(kept.length);
      cut.size += t - last - LONGEST_GAP;
      shift -= t - last - LONGEST_GAP;
      t = last + LONGEST_GAP;
    }
    if (t < last) {
      count(back, i);
      continue;
    }
    if (t === last) {
      count(same, i);
      continue;
    }
    kept.push(i);
    mended.push(t);
    last = t;
  }
  const note = (kind: LogNote['kind'], what: { count: number; first: number; size?: number }) => {
    const { count: times, first, size = 0 } = what;
    if (times > 0) notes.push({ kind, channel: 'time', count: times, first, size });
  };
  note('missing', missing);
  note('far-time', far);
  note('cut', cut);
  note('restart', restart);
  note('time-back', back);
  note('same-time', same);
  const start = mended[0] ?? 0;
  return { time: Float64Array.from(mended, (t) => t - start), kept, cuts };
}

/** Quarter hours a clock was set by, by what time leapt, s; 0 where it was not. */
function quartersSet(jump: number): number {
  const quarters = Math.round(jump / ZONE);
  const off = Math.abs(jump - quarters * ZONE);
  // Forward jumps are as likely a pause as a clock set; only whole hours without a pause are taken for a zone.
  const zone = quarters < 0 || (quarters % 4 === 0 && off < 2);
  return zone && off < ZONE_NEAR ? quarters : 0;
}

/** Whether a sample is ahead of the one after it, which goes on from the one before: it alone is wrong. All in s. */
const leapsAhead = (before: number, own: number, after: number) =>
  own - before > RESTART && after > before - 0.001 && after <= own;
