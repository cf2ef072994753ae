import {
  type BrakeState,
  CHANNEL,
  CHANNEL_COUNT,
  type Corner,
  type CornerNetwork,
  RadialBand,
  rubbedMaterial,
} from '../brake';
import {
  type CreateIntegrator,
  createIntegrator,
  type HeatIntegrator,
  type HeldChannel,
  type KnownSteps,
  MOST_AT_ONCE,
} from '../heat';
import { integralInverse, integralTable } from '../numeric';
import { PadState } from './padState';
import { type Place, placesOf, type ReadOff, readAtOnce, readLater } from './readOff';
import { emptyWheel, type Kept, resizedWheel, type WheelRecord } from './record';

/** A step as one wheel is given it; written anew for each, so that the loop allocates nothing. */
export interface WheelStep {
  /** s */
  dt: number;
  /** Whether something is switched at its start */
  switched: boolean;
  /** Friction power at its first stage and at its end, W */
  early: number;
  late: number;
}

/** One wheel's brake being run: its network integrated, its state carried on, its record written. */
export class CornerRun {
  readonly integrator: HeatIntegrator;
  record: WheelRecord;
  private readonly places: Readonly<Record<ReadOff, Place>>;
  /** Temperature of every node, K: a row for each sample from `rowsFrom` on */
  private rows: Float64Array;
  private rowsFrom = 0;
  private readonly ringMass: number;
  private readonly integral: Float64Array;
  private readonly specificHeat: Float64Array;
  private lastBulk: number;
  /** Of the steps made last, s */
  private readonly lengths = new Float64Array(MOST_AT_ONCE);
  private readonly pads: PadState;
  private readonly band: RadialBand;
  /** Whether the channels of the piece under way are recorded, but for what its steps change in them */
  private driven = false;
  /** Whether the motor brakes alone, so that the pads do not touch */
  private lifted = false;
  /** Pads conduct better the thinner they are */
  private readonly held: HeldChannel = { channel: CHANNEL.pad, value: 1 };

  /**
   * @param layout its network
   * @param begun the state it begins in; what no run moves yet is carried on from it
   * @param ambient temperature of the first air, K
   * @param kept what is recorded
   * @param create what hands out its integrator
   */
  constructor(
    corner: Corner,
    readonly layout: CornerNetwork,
    private readonly begun: BrakeState,
    ambient: number,
    private readonly kept: Kept = 'all',
    create: CreateIntegrator = createIntegrator,
  ) {
    const { network, recorded } = layout;
    const { temperatures, radial } = begun;
    this.pads = new PadState(corner, begun, layout.padFaces);
    this.band = new RadialBand(corner, radial, this.layout.ringHeatShare);
    this.integrator = create(
      network,
      ambient,
      network.nodes.map(({ name }) => temperatures[name]),
    );
    this.places = placesOf(this.layout);
    this.specificHeat = rubbedMaterial(corner).specificHeat;
    this.integral = integralTable(this.specificHeat);
    this.ringMass = recorded.rotorBulk.reduce((sum, i) => sum + network.nodes[i].scale, 0);
    this.lastBulk = temperatures[network.nodes[this.layout.ringStart].name];
    this.record = emptyWheel(1, network.nodes.length, kept);
    this.rows = kept === 'all' ? this.record.nodes : new Float64Array(network.nodes.length);
    this.integrator.writeTemperatures(this.rows, 0);
    const { ringStart, ringCount } = this.layout;
    this.record.rotorBulk[0] = this.integrator.heat(ringStart, ringCount);
    this.write(0, 0, 1);
    this.end(0, 1);
  }

  /** Makes room for so many samples, keeping what is written. */
  reserve(samples: number): void {
    this.record = resizedWheel(this.record, samples);
    if (this.kept === 'all') this.rows = this.record.nodes;
  }

  /** Begins a piece. @param sample its first */
  begin(sample: number): void {
    this.driven = false;
    if (this.kept !== 'all') this.rowsFrom = sample;
  }

  /** Tells the channels of all steps of the piece begun. @param drives steps × CHANNEL_COUNT @param sample its first */
  known(drives: Float64Array, sample: number): void {
    this.driven = true;
    if (this.kept === 'all') this.record.drive.set(drives, sample * CHANNEL_COUNT);
  }

  /** Ends a piece: what no step asked for is written now. @param sample its first @param count of its samples */
  end(sample: number, count: number): void {
    const at = (sample - this.rowsFrom) * this.record.nodeCount;
    readLater(this.rows, at, this.places, this.record, sample, count);
  }

  /**
   * The heat of one step; the integrator's drive has been set. What comes of it is noted once all wheels have stepped.
   * @param sample that it ends at
   */
  step({ dt, switched, early, late }: WheelStep, sample: number): void {
    const { integrator, record } = this;
    record.early[sample] = early;
    record.late[sample] = late;
    this.lengths[0] = dt;
    if (switched) integrator.markEvent();
    integrator.drive[CHANNEL.pad] = this.pads.thinning;
    integrator.step(dt, early, late);
  }

  /** Notes what came of the step. */
  note(sample: number): void {
    const { integrator, pads, record, lengths } = this;
    const works = record.early[sample] > 0 || record.late[sample] > 0;
    if (works) this.bed();
    const at = this.rowAt(sample, 1);
    integrator.writeTemperatures(this.rows, at);
    if (this.kept === 'all') this.writeDrive(sample * CHANNEL_COUNT);
    integrator.writeTold(record.rotorBulk, sample, 1);
    this.write(sample, at, 1);
    if (works) pads.wear(record, lengths[0], this.rows, at, sample);
    record.worn[sample] = pads.worn;
  }

  /**
   * Steps of the piece under way in which nothing is braked, made at once.
   * @param from the first of them
   * @param count MOST_AT_ONCE at most
   */
  coast(steps: KnownSteps, from: number, count: number): void {
    const { integrator, held, lengths } = this;
    if (this.lifted) integrator.markEvent();
    this.lifted = false;
    held.value = this.pads.thinning;
    for (let k = 0; k < count; k++) lengths[k] = steps.dt[from + k];
    integrator.coast(steps, from, count, held);
  }

  /** Notes what came of them. @param sample of the first */
  noteCoast(count: number, sample: number): void {
    const { integrator, record, held, pads } = this;
    const at = this.rowAt(sample, count);
    integrator.writeRows(this.rows, at, count);
    if (this.kept === 'all') {
      for (let k = sample; k < sample + count; k++)
        record.drive[k * CHANNEL_COUNT + CHANNEL.pad] = held.value;
    }
    const { early, late, worn } = record;
    for (let k = sample; k < sample + count; k++) {
      early[k] = 0;
      late[k] = 0;
      worn[k] = pads.worn;
    }
    integrator.writeTold(record.rotorBulk, sample, count);
    this.write(sample, at, count);
  }

  /**
   * Takes the pads off for the step whose drive has been set, or leaves them as it says.
   * @returns whether that is otherwise than in the step before
   */
  lift(lifted: boolean): boolean {
    const { drive } = this.integrator;
    if (lifted) {
      drive[CHANNEL.applied] = 0;
      drive[CHANNEL.released] = 1;
    }
    const switched = lifted !== this.lifted;
    this.lifted = lifted;
    return switched;
  }

  /** The brake as it is now. */
  state(): BrakeState {
    const { nodes } = this.layout.network;
    const { pads } = this;
    return {
      ...this.begun,
      temperatures: Object.fromEntries(nodes.map(({ name }, i) => [name, this.integrator.temperature(i)])),
      radial: Array.from(this.band.excess),
      glaze: pads.glaze,
      bedded: pads.bedded,
      padThickness: pads.thickness(),
    };
  }

  /** Gives back what it computes with; nothing may be asked of it afterwards. */
  release(): void {
    this.integrator.release();
    this.band.release();
  }

  /** Heat supplied, stored and lost, J, of this one wheel. */
  audit(): { supplied: number; stored: number; lost: number } {
    const { supplied, lost } = this.integrator;
    return { supplied, lost, stored: this.integrator.stored() };
  }

  /** What braking adds to the film of pads that are not bedded yet. */
  private bed(): void {
    if (this.pads.bedded >= 1) return;
    const { padFaces } = this.layout;
    const faceOf = (side: number) => this.integrator.temperature(padFaces[side]);
    this.pads.bed(0.5 * (faceOf(0) + faceOf(padFaces.length - 1)), this.lengths[0]);
  }

  /** Where the row of a sample begins; makes room where a piece lasts longer than was known. @param count of rows */
  private rowAt(sample: number, count: number): number {
    const { nodeCount } = this.record;
    const at = (sample - this.rowsFrom) * nodeCount;
    const end = at + count * nodeCount;
    if (end > this.rows.length) {
      const longer = new Float64Array(2 * end);
      longer.set(this.rows);
      this.rows = longer;
    }
    return at;
  }

  /**
   * Writes what the steps after them ask of some samples whose rows of temperatures and whose ring's heat, in the place of
   * its temperature, J, are there. Column by column: what is returned or handed over as a number would be put on the heap.
   * @param at where the first row begins
   */
  private write(sample: number, at: number, count: number): void {
    const { record, rows, lengths, pads } = this;
    readAtOnce(rows, at, this.places, record, sample, count);
    this.writeBulk(record.rotorBulk, sample, count);
    this.band.steps(record, lengths, sample, count);
    pads.glazeTo(record, lengths, sample, count);
    pads.friction(record, rows, at, record.nodeCount, sample, count);
  }

  /** Temperature of the ring if its heat were spread evenly, in the place of its heat. */
  private writeBulk(bulk: Float64Array, sample: number, count: number): void {
    const { specificHeat, integral, ringMass } = this;
    let now = this.lastBulk;
    for (let k = sample; k < sample + count; k++) {
      now = integralInverse(specificHeat, integral, bulk[k] / ringMass, now, 2);
      bulk[k] = now;
    }
    this.lastBulk = now;
  }

  /** Records the drive channels of the step that ends; of a piece that is known only what a step can change. */
  private writeDrive(at: number): void {
    const { drive } = this.record;
    const now = this.integrator.drive;
    if (this.driven) {
      drive[at + CHANNEL.pad] = now[CHANNEL.pad];
      drive[at + CHANNEL.applied] = now[CHANNEL.applied];
      drive[at + CHANNEL.released] = now[CHANNEL.released];
    } else for (let c = 0; c < CHANNEL_COUNT; c++) drive[at + c] = now[c];
  }
}
