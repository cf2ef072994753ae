import {
  type BrakeState,
  beddedAfter,
  CHANNEL,
  CHANNEL_COUNT,
  type Corner,
  type CornerNetwork,
  cornerNetwork,
  frictionAt,
  glazeAfter,
  RadialBand,
  rubbedMaterial,
  thinning,
  wornVolume,
} from '../brake';
import { type CreateIntegrator, createIntegrator, GAMMA, type HeatIntegrator } from '../heat';
import { integralInverse, integralTable } from '../numeric';
import { type Place, placesOf, type ReadOff, readLater, readOff } from './readOff';
import { emptyWheel, type Kept, resizedWheel, type WheelRecord } from './record';

/** What a state says is left of a pad that is worn through, m. */
const LEAST_LEFT = 1e-5;

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
  private glaze: number;
  /** The pad's face where it is hottest, at the sample written last, K */
  private padBand = 0;
  private bedded: number;
  private readonly band: RadialBand;
  /** Whether the channels of the piece under way are recorded, but for what its steps change in them */
  private driven = false;
  /** Whether the motor brakes alone, so that the pads do not touch */
  private lifted = false;
  /** Friction material one pad has lost, m */
  private worn = { outer: 0, inner: 0 };

  /**
   * @param start gives the state it begins in for its network
   * @param ambient temperature of the first air, K
   * @param pressure of the air, Pa
   * @param refinement whole factor on the number of cells
   * @param kept what is recorded
   * @param create what hands out its integrator
   */
  constructor(
    private readonly corner: Corner,
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
    const { temperatures, glaze, bedded, radial, padThickness } = this.begun;
    this.begunThickness = 0.5 * (padThickness.inner + padThickness.outer);
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
    this.glaze = glaze;
    this.bedded = bedded;
    this.record = emptyWheel(1, network.nodes.length, kept);
    this.rows = kept === 'all' ? this.record.nodes : new Float64Array(network.nodes.length);
    this.write(0, 0, 0, 0);
    this.end(0, 1);
  }

  /** What it began with; what no run moves yet is carried on from it. */
  private readonly begun: BrakeState;
  /** Mean of both pads then, m */
  private readonly begunThickness: number;

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
    const { integrator, worn } = this;
    if (event) integrator.markEvent();
    integrator.drive[CHANNEL.pad] = thinning(
      this.corner.pad.thickness,
      this.begunThickness - 0.5 * (worn.outer + worn.inner),
    );
    integrator.step(dt, early, late);
  }

  /** Notes what came of the step. */
  note(dt: number, early: number, late: number, sample: number): void {
    const { record } = this;
    record.early[sample] = early;
    record.late[sample] = late;
    if (early > 0 || late > 0) this.bed(dt);
    this.write(sample, dt, early, late);
    const work = dt * ((1 - GAMMA) * early + GAMMA * late);
    if (work > 0) this.wear(work, (sample - this.rowsFrom) * record.nodeCount);
    record.worn[sample] = Math.max(this.worn.outer, this.worn.inner);
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

  /** Temperature of the ring if its heat were spread evenly, K. */
  bulk(): number {
    const { ringStart, ringCount } = this.layout;
    const heat = this.integrator.heat(ringStart, ringCount);
    this.lastBulk = integralInverse(this.specificHeat, this.integral, heat / this.ringMass, this.lastBulk, 2);
    return this.lastBulk;
  }

  /** The brake as it is now. */
  state(): BrakeState {
    const { nodes } = this.layout.network;
    const { inner, outer } = this.begun.padThickness;
    // A pad worn through is worn through.
    const left = (thickness: number, worn: number) => Math.max(LEAST_LEFT, thickness - worn);
    return {
      ...this.begun,
      temperatures: Object.fromEntries(nodes.map(({ name }, i) => [name, this.integrator.temperature(i)])),
      radial: Array.from(this.band.excess),
      glaze: this.glaze,
      bedded: this.bedded,
      padThickness: { inner: left(inner, this.worn.inner), outer: left(outer, this.worn.outer) },
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
    if (this.bedded >= 1) return;
    const { padFaces } = this.layout;
    const faceOf = (side: number) => this.integrator.temperature(padFaces[side]);
    const face = 0.5 * (faceOf(0) + faceOf(padFaces.length - 1));
    this.bedded = beddedAfter(this.corner.pad, this.bedded, face, dt);
  }

  /** Wears each side's pad by its half of the work, J. */
  private wear(work: number, at: number): void {
    const { layout, rows, corner } = this;
    const { padFaces } = layout;
    const rate = corner.constants.padWear;
    const faceOf = (side: number) => rows[at + padFaces[side]];
    this.worn.outer += (rate * wornVolume(0.5 * work, faceOf(0))) / corner.pad.area;
    this.worn.inner += (rate * wornVolume(0.5 * work, faceOf(padFaces.length - 1))) / corner.pad.area;
  }

  /** Friction of the pads at a row of node temperatures: the mean of both sides. */
  private frictionOf(at: number): number {
    const { rows, glaze, bedded } = this;
    const { pad } = this.corner;
    const { padFaces } = this.layout;
    const first = frictionAt(pad, rows[at + padFaces[0]], glaze, bedded);
    if (padFaces.length === 1) return first;
    return 0.5 * (first + frictionAt(pad, rows[at + padFaces[1]], glaze, bedded));
  }

  /** Where the row of a sample begins; makes room where a piece lasts longer than was known. */
  private rowAt(sample: number): number {
    const at = (sample - this.rowsFrom) * this.record.nodeCount;
    if (at + this.record.nodeCount > this.rows.length) {
      const longer = new Float64Array(2 * (at + this.record.nodeCount));
      longer.set(this.rows);
      this.rows = longer;
    }
    return at;
  }

  private write(sample: number, dt: number, early: number, late: number): void {
    const { integrator, record, places, layout } = this;
    const at = this.rowAt(sample);
    const { rows } = this;
    integrator.writeTemperatures(rows, at);
    if (this.kept === 'all') this.writeDrive(sample * CHANNEL_COUNT);
    const rotorFace = readOff(rows, at, places.rotorFace);
    const padFace = readOff(rows, at, places.padFace);
    record.rotorFace[sample] = rotorFace;
    record.padFace[sample] = padFace;
    record.fluid[sample] = readOff(rows, at, places.fluid);
    record.hose[sample] = readOff(rows, at, places.hose);
    const before = this.lastBulk;
    const bulk = this.bulk();
    const inRing = layout.ringHeatShare;
    const band = this.band.step(dt, inRing * early, inRing * late, before, bulk, rotorFace);
    record.rotorBulk[sample] = bulk;
    record.rotorBand[sample] = band;
    // A pad glazes where it is hottest over the radius, which is as much hotter as the rotor's band is.
    const hottest = padFace + band - rotorFace;
    if (sample > 0) this.glaze = glazeAfter(this.corner.pad, this.glaze, this.padBand, hottest, dt);
    this.padBand = hottest;
    record.glaze[sample] = this.glaze;
    record.bedded[sample] = this.bedded;
    record.friction[sample] = this.frictionOf(at);
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
