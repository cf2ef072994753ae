import {
  type BrakeState,
  CHANNEL,
  CHANNEL_COUNT,
  type Corner,
  type CornerNetwork,
  cornerNetwork,
  RadialBand,
  rubbedMaterial,
} from '../brake';
import {
  type CreateIntegrator,
  createIntegrator,
  GAMMA,
  type HeatIntegrator,
  type HeldChannel,
  type KnownSteps,
} from '../heat';
import { integralInverse, integralTable } from '../numeric';
import { PadState } from './padState';
import { type Place, placesOf, type ReadOff, readLater, readOff } from './readOff';
import { emptyWheel, type Kept, resizedWheel, type WheelRecord } from './record';

/** One wheel's brake being run: its network integrated, its state carried on, its record written. */
export class CornerRun {
  readonly layout: CornerNetwork;
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
  private readonly pads: PadState;
  private readonly band: RadialBand;
  /** Whether the channels of the piece under way are recorded, but for what its steps change in them */
  private driven = false;
  /** Whether the motor brakes alone, so that the pads do not touch */
  private lifted = false;
  /** Pads conduct better the thinner they are */
  private readonly held: HeldChannel = { channel: CHANNEL.pad, value: 1 };

  /**
   * @param start gives the state it begins in for its network
   * @param ambient temperature of the first air, K
   * @param pressure of the air, Pa
   * @param refinement whole factor on the number of cells
   * @param kept what is recorded
   * @param create what hands out its integrator
   */
  constructor(
    corner: Corner,
    start: (layout: CornerNetwork) => BrakeState,
    ambient: number,
    pressure: number,
    refinement: number,
    private readonly kept: Kept = 'all',
    create: CreateIntegrator = createIntegrator,
  ) {
    this.layout = cornerNetwork(corner, ambient, pressure, refinement);
    const { network, recorded } = this.layout;
    this.begun = start(this.layout);
    const { temperatures, radial } = this.begun;
    this.pads = new PadState(corner, this.begun, this.layout.padFaces);
    this.band = new RadialBand(corner, radial);
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
    this.write(0, 0, 0, 0, 0, this.integrator.heat(ringStart, ringCount));
    this.end(0, 1);
  }

  /** What it began with; what no run moves yet is carried on from it. */
  private readonly begun: BrakeState;

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
    readLater(this.rows, sample - this.rowsFrom, this.places, this.record, sample, count);
  }

  /**
   * The heat of one step; the integrator's drive has been set. What comes of it is noted once all wheels have stepped.
   * @param dt s
   * @param event whether something is switched at its start
   * @param early friction power at the step's first stage, W
   * @param late friction power at its end, W
   */
  step(dt: number, event: boolean, early: number, late: number): void {
    const { integrator } = this;
    if (event) integrator.markEvent();
    integrator.drive[CHANNEL.pad] = this.pads.thinning;
    integrator.step(dt, early, late);
  }

  /** Notes what came of the step. */
  note(dt: number, early: number, late: number, sample: number): void {
    const { integrator, pads, record } = this;
    if (early > 0 || late > 0) this.bed(dt);
    const at = this.rowAt(sample, 1);
    integrator.writeTemperatures(this.rows, at);
    if (this.kept === 'all') this.writeDrive(sample * CHANNEL_COUNT);
    this.write(sample, at, dt, early, late, integrator.told(0));
    const work = dt * ((1 - GAMMA) * early + GAMMA * late);
    if (work > 0) pads.wear(work, this.rows, at);
    record.worn[sample] = pads.worn;
  }

  /**
   * Steps of the piece under way in which nothing is braked, made at once.
   * @param from the first of them
   * @param count MOST_AT_ONCE at most
   */
  coast(steps: KnownSteps, from: number, count: number): void {
    const { integrator, held } = this;
    if (this.lifted) integrator.markEvent();
    this.lifted = false;
    held.value = this.pads.thinning;
    integrator.coast(steps, from, count, held);
  }

  /** Notes what came of them. @param sample of the first */
  noteCoast({ dt }: KnownSteps, from: number, count: number, sample: number): void {
    const { integrator, record, held } = this;
    const at = this.rowAt(sample, count);
    integrator.writeRows(this.rows, at, count);
    for (let k = 0; k < count; k++) {
      const now = sample + k;
      if (this.kept === 'all') record.drive[now * CHANNEL_COUNT + CHANNEL.pad] = held.value;
      this.write(now, at + k * record.nodeCount, dt[from + k], 0, 0, integrator.told(k));
    }
    record.worn.fill(this.pads.worn, sample, sample + count);
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
  private bed(dt: number): void {
    if (this.pads.bedded >= 1) return;
    const { padFaces } = this.layout;
    const faceOf = (side: number) => this.integrator.temperature(padFaces[side]);
    this.pads.bed(0.5 * (faceOf(0) + faceOf(padFaces.length - 1)), dt);
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
   * Writes what is told of a sample whose row of temperatures is there.
   * @param at where it begins
   * @param heat of the ring, J
   */
  private write(sample: number, at: number, dt: number, early: number, late: number, heat: number): void {
    const { record, places, pads, rows } = this;
    const rotorFace = readOff(rows, at, places.rotorFace);
    const padFace = readOff(rows, at, places.padFace);
    record.early[sample] = early;
    record.late[sample] = late;
    record.rotorFace[sample] = rotorFace;
    record.padFace[sample] = padFace;
    record.fluid[sample] = readOff(rows, at, places.fluid);
    record.hose[sample] = readOff(rows, at, places.hose);
    const before = this.lastBulk;
    // Temperature of the ring if its heat were spread evenly.
    const bulk = integralInverse(this.specificHeat, this.integral, heat / this.ringMass, before, 2);
    this.lastBulk = bulk;
    const inRing = this.layout.ringHeatShare;
    const band = this.band.step(dt, inRing * early, inRing * late, before, bulk, rotorFace);
    record.rotorBulk[sample] = bulk;
    record.rotorBand[sample] = band;
    // A pad glazes where it is hottest over the radius, which is as much hotter as the rotor's band is.
    pads.glazeTo(padFace + band - rotorFace, dt);
    record.glaze[sample] = pads.glaze;
    record.bedded[sample] = pads.bedded;
    record.friction[sample] = pads.friction(rows, at);
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
