import type { AirProperties } from '../air';
import { type AxleName, type CarState, CHANNEL_COUNT, type CornerNetwork, type WheelName } from '../brake';
import { OWN_ROOM, type Room } from '../numeric';
import {
  airAt,
  type BrakedCar,
  type GivenPiece,
  type Piece,
  type Schedule,
  type Site,
  type Start,
  type StopPiece,
} from '../schedule';
import { assertNumbers, auditOf } from './audit';
import type { CornerRun, WheelStep } from './cornerRun';
import { DemandStep } from './demandStep';
import { byWheel, type DistinctWheel, distinct } from './distinct';
import { Drives } from './drives';
import { stretchesOf, takeGiven } from './givenStep';
import type { Observer, PieceRun } from './observer';
import { readingOf } from './reading';
import { type DayRecord, type DaySeries, emptySeries, type Kept, resizedSeries } from './record';
import type { EnergyAudit } from './result';
import { type PadCondition, Sharing } from './sharing';
import { Stopping } from './stopping';
import { wheelRuns } from './wheelRuns';
import { writeFelt, ZoneForces } from './zoneForces';

export interface RunOptions {
  /** Whole factor on the number of cells through rotor and pad, 1 by default */
  readonly refinement?: number;
  /** Where friction comes from, `as hot` by default */
  readonly pads?: PadCondition;
  /** `all` by default */
  readonly kept?: Kept;
  /** Where its record lies; room of its own by default */
  readonly room?: Room;
}

/** What comes of a run. */
export interface RunResult {
  readonly record: DayRecord;
  /** The brakes as they are afterwards */
  readonly state: CarState;
  readonly audit: EnergyAudit;
  readonly layouts: Readonly<Record<WheelName, CornerNetwork>>;
  /** Heat steps computed, all wheels together */
  readonly steps: number;
}

/**
 * The one stepping loop: drives a car's brakes through a schedule from a state. A day, a published procedure, a failure
 * case and a logged drive differ in their schedule and in what observes them. Wheels of an axle that brake, cool and
 * begin alike are computed once.
 * @param car SI
 * @param start temperature of every part, K, or the state of each brake
 * @throws RangeError naming what is not a number and where
 * @throws StateError for a state that these brakes cannot be in
 */
export function run(
  car: BrakedCar,
  site: Site,
  schedule: Schedule,
  start: Start,
  observers: readonly Observer[] = [],
  options: RunOptions = {},
): RunResult {
  const runner = new Runner(car, site, schedule, start, options);
  try {
    const pieces = schedule.pieces();
    let next = pieces.next();
    while (!next.done) {
      const done = runner.piece(next.value);
      for (const observer of observers) observer.after(done, runner.record);
      const available = done.forces.map((force) => force.available);
      const of = (wheel: WheelName) => readingOf(runner.record.wheels[wheel], car, wheel, done);
      next = pieces.next({ available, duration: done.duration, stop: done.stop, of });
    }
    return runner.finish();
  } finally {
    for (const wheel of runner.runs) wheel.release();
  }
}

/** Room for samples over what is planned: brakes that fade make laps a little longer; and over what is needed beyond. */
const SPARE = 1.03;
const GROWTH = 1.3;

/** A run under way. */
class Runner {
  private readonly wheels: readonly DistinctWheel[];
  readonly runs: readonly CornerRun[];
  private readonly own: WheelStep = { lifted: false, early: 0, late: 0 };
  private readonly sharing: Sharing;
  private readonly forces: ZoneForces;
  private readonly step: DemandStep;
  private readonly drives: Drives;
  private series: DaySeries = emptySeries(1);
  /** The record while there is room in it */
  private told: DayRecord | null = null;
  private room = 1;
  /** The one that is written next */
  private sample = 1;
  /** s, at the end of the last piece */
  private time = 0;
  private lap = -1;
  private readonly recordRoom: Room;
  private ambient: number;
  private air: AirProperties;

  constructor(
    private readonly car: BrakedCar,
    private readonly site: Site,
    schedule: Schedule,
    start: Start,
    { refinement = 1, pads = 'as hot', kept = 'all', room = OWN_ROOM }: RunOptions,
  ) {
    this.recordRoom = room;
    this.ambient = schedule.ambient;
    this.air = airAt(site, this.ambient);
    this.wheels = distinct(car, schedule.sided, start);
    this.runs = wheelRuns(car, site, this.wheels, start, this.ambient, { refinement, kept, room });
    this.drives = new Drives(car, this.wheels, room);
    const runs = this.byWheel((i) => this.runs[i]);
    this.sharing = new Sharing(car, runs, pads);
    this.step = new DemandStep(this.sharing.state.demand);
    this.forces = new ZoneForces(car, this.sharing, room);
    this.reserve(schedule.samples);
  }

  /** The run as far as it has come. */
  get record(): DayRecord {
    this.told ??= { ...this.series, wheels: this.byWheel((i) => this.runs[i].record) };
    return this.told;
  }

  piece(piece: Piece): PieceRun {
    if (piece.ambient !== this.ambient) {
      this.ambient = piece.ambient;
      this.air = airAt(this.site, piece.ambient);
      for (const { integrator } of this.runs) integrator.setAmbient(piece.ambient);
    }
    const [first, startTime] = [this.sample, this.time];
    const came = piece.kind === 'given' ? this.given(piece) : this.stop(piece);
    this.time += came.duration;
    assertNumbers(this.wheels, this.runs, this.sample - 1, this.time, this.lap);
    return { piece, first, count: this.sample - first, startTime, airDensity: this.air.density, ...came };
  }

  finish(): RunResult {
    const { runs } = this;
    this.resize(this.sample);
    return {
      record: this.record,
      state: this.byWheel((i) => runs[i].state()),
      audit: auditOf(this.wheels, runs),
      layouts: this.byWheel((i) => runs[i].layout),
      steps: runs.length * (this.sample - 1),
    };
  }

  /** Runs a piece that is known beforehand. */
  private given(piece: GivenPiece): Pick<PieceRun, 'duration' | 'forces' | 'stop'> {
    const { runs } = this;
    const { steps } = piece;
    const [count, first] = [steps.dt.length, this.sample];
    this.reserve(count);
    if (piece.lap) {
      this.lap += 1;
      this.sharing.beginLap(piece.lap.session);
    }
    this.forces.begin(steps);
    const known = this.drives.of(steps, this.air);
    for (let i = 0; i < runs.length; i++) runs[i].begin(known[i], first);
    let k = 0;
    for (const { count: made, coasts } of stretchesOf(steps)) {
      for (let i = 0; i < runs.length; i++) runs[i].plan(known[i], k, made, this.sample);
      if (coasts) this.coast(made);
      else this.brake(piece, k, made);
      this.place(piece, k, made);
      this.sample += made;
      k += made;
    }
    const forces = piece.alone ? [] : this.forces.zones(steps, this.series.force, first);
    return { duration: steps.duration, forces, stop: null };
  }

  /** Makes the steps that are planned, in which nothing is braked. */
  private coast(count: number): void {
    const { runs, sample } = this;
    for (let i = 0; i < runs.length; i++) runs[i].coast(count, sample);
    for (let i = 0; i < runs.length; i++) runs[i].noteCoast(count, sample);
  }

  /** Makes the steps that are planned, in which something is braked. @param k the first of them in the piece */
  private brake(piece: GivenPiece, k: number, count: number): void {
    const { step, runs, sample, sharing, forces, series } = this;
    const { steps, alone } = piece;
    for (let j = 0; j < count; j++) {
      takeGiven(step, piece, k + j, this.air.density, this.car.vehicle.downforceArea);
      // What the motor brakes alone makes no heat, but the foot asks for it all the same; on a bench there is no foot.
      if (!alone) {
        sharing.takeCondition(sample + j - 1, step.ahead);
        sharing.solve(step);
        forces.step(steps, k + j, series.force, sample + j);
      }
      this.advance(sample + j, alone);
    }
    for (let i = 0; i < runs.length; i++) runs[i].note(count, sample);
  }

  /** Runs a stop whose speed follows from the brakes. */
  private stop(piece: StopPiece): Pick<PieceRun, 'duration' | 'forces' | 'stop'> {
    const { step, runs } = this;
    const stopping = new Stopping(piece, this.car, this.sharing, this.air.density);
    const known = runs.map(() => ({
      dt: new Float64Array(1),
      event: new Uint8Array(1),
      drives: new Float64Array(CHANNEL_COUNT),
    }));
    let elapsed = 0;
    for (;;) {
      this.sharing.takeCondition(this.sample - 1, 0);
      if (!stopping.next(step)) break;
      this.reserve(1);
      const { sample, series } = this;
      this.sharing.solve(step);
      stopping.take(step);
      writeFelt(series.force, sample, this.sharing.state);
      runs.forEach((run, i) => {
        known[i].dt[0] = step.dt;
        known[i].event[0] = step.event ? 1 : 0;
        this.drives.in(this.air)[i].fill(known[i].drives, 0, step.speed, true);
        run.begin(known[i], sample);
        run.plan(known[i], 0, 1, sample);
      });
      this.advance(sample);
      for (const run of runs) run.note(1, sample);
      elapsed += step.dt;
      series.time[sample] = this.time + elapsed;
      series.leg[sample] = piece.leg;
      series.lap[sample] = -1;
      this.sample += 1;
    }
    return { duration: elapsed, forces: [], stop: stopping.told() };
  }

  /** Carries every wheel over the step that is next; where something is braked, it has been shared. @param sample its end */
  private advance(sample: number, alone?: AxleName): void {
    const { step, sharing, own, runs, wheels } = this;
    const { early, late } = step;
    const hot = early > 0 || late > 0;
    for (let i = 0; i < runs.length; i++) {
      const { wheel, axle, also } = wheels[i];
      let share = axle === alone ? 1 : 0;
      if (hot && !alone)
        share = sharing.heat * (also ? 0.5 * sharing.axleShare(axle) : sharing.shares[wheel]);
      const rubs = alone ? share > 0 : sharing.rubs(axle);
      own.lifted = hot && step.braking && !rubs;
      own.early = share * early;
      own.late = share * late;
      runs[i].next(own, sample);
    }
    for (let i = 0; i < runs.length; i++) runs[i].rub(sample);
  }

  /** Writes when and where some steps of a piece end. @param k the first of them */
  private place({ steps, leg, lap }: GivenPiece, k: number, count: number): void {
    const { series, sample } = this;
    const driven = lap ? this.lap : -1;
    for (let j = 0; j < count; j++) {
      series.time[sample + j] = this.time + steps.time[k + j];
      series.leg[sample + j] = leg;
      series.lap[sample + j] = driven;
      if (!lap) continue;
      series.distance[sample + j] = steps.distance[k + j];
      series.zone[sample + j] = steps.zone[k + j];
    }
  }

  /** Makes room for more samples: at first for the run as planned, later, where it grows much longer, a good deal more. */
  private reserve(steps: number): void {
    const needed = this.sample + steps;
    if (needed <= this.room) return;
    this.room = Math.ceil((this.room === 1 ? SPARE : GROWTH) * needed);
    this.resize(this.room);
  }

  private resize(samples: number): void {
    this.series = resizedSeries(this.series, samples, this.recordRoom);
    for (const wheel of this.runs) wheel.reserve(samples);
    this.told = null;
  }

  private byWheel<T>(of: (index: number) => T): Record<WheelName, T> {
    return byWheel(this.wheels, of);
  }
}
