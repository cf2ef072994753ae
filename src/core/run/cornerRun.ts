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
  RECORDED_PARTS,
  rubbedMaterial,
  thinning,
  wornVolume,
} from '../brake';
import { type CreateIntegrator, createIntegrator, GAMMA, type HeatIntegrator } from '../heat';
import { integralInverse, integralTable } from '../numeric';
import { emptyWheel, type Kept, resizedWheel, type WheelRecord } from './record';

/** Parts that are read off one node or halfway between two; some, where the sides are apart, off the hotter one. */
const READ_OFF = RECORDED_PARTS.filter((part) => part !== 'rotorBulk' && part !== 'rotorBand');
const OF_HOTTER_SIDE: ReadonlySet<string> = new Set(['rotorFace', 'rotorInner', 'padFace', 'plate']);

/** What a state says is left of a pad that is worn through, m. */
const LEAST_LEFT = 1e-5;

/** One wheel's brake being run: its network integrated, its state carried on, its record written. */
export class CornerRun {
  readonly layout: CornerNetwork;
  readonly integrator: HeatIntegrator;
  record: WheelRecord;
  /** Where each part's temperature is written, and the two nodes it is read off */
  private targets: readonly Float64Array[] = [];
  private readonly first: Int32Array;
  private readonly second: Int32Array;
  private readonly ringMass: number;
  private readonly integral: Float64Array;
  private readonly specificHeat: Float64Array;
  private lastBulk: number;
  private glaze: number;
  private bedded: number;
  private readonly band: RadialBand;
  /** Whether the motor brakes alone, so that the pads do not touch */
  private lifted = false;
  /** Friction material one pad has lost, m */
  private worn = { outer: 0, inner: 0 };
  /** Where each part's nodes are the two sides', of which the hotter counts */
  private readonly hotter: readonly boolean[];

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
    this.first = Int32Array.from(READ_OFF, (part) => recorded[part][0]);
    this.second = Int32Array.from(READ_OFF, (part) => recorded[part][recorded[part].length - 1]);
    const apart = this.layout.padFaces.length > 1;
    this.hotter = READ_OFF.map((part) => apart && OF_HOTTER_SIDE.has(part));
    this.specificHeat = rubbedMaterial(corner).specificHeat;
    this.integral = integralTable(this.specificHeat);
    this.ringMass = recorded.rotorBulk.reduce((sum, i) => sum + network.nodes[i].scale, 0);
    this.lastBulk = temperatures[network.nodes[this.layout.ringStart].name];
    this.glaze = glaze;
    this.bedded = bedded;
    this.row = new Float64Array(network.nodes.length);
    this.record = this.into(emptyWheel(1, network.nodes.length, kept));
    this.write(0, 0);
  }

  /** What it began with; what no run moves yet is carried on from it. */
  private readonly begun: BrakeState;
  /** Mean of both pads then, m */
  private readonly begunThickness: number;
  /** Temperature of every node at the sample written last, K, where no row of them is kept for each */
  private readonly row: Float64Array;

  /** Makes room for so many samples, keeping what is written. */
  reserve(samples: number): void {
    this.record = this.into(resizedWheel(this.record, samples));
  }

  private into(record: WheelRecord): WheelRecord {
    this.targets = READ_OFF.map((part) => record[part]);
    return record;
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
    const { ringHeatShare } = this.layout;
    this.band.step(dt, ringHeatShare * early, ringHeatShare * late, this.lastBulk);
    record.early[sample] = early;
    record.late[sample] = late;
    if (early > 0 || late > 0) this.bed(dt);
    this.write(sample, dt);
    const work = dt * ((1 - GAMMA) * early + GAMMA * late);
    if (work > 0) this.wear(work, sample);
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
    let heat = 0;
    for (let i = ringStart; i < ringStart + ringCount; i++) heat += this.integrator.heat(i);
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
  private wear(work: number, sample: number): void {
    const { layout, record, corner, kept } = this;
    const { padFaces } = layout;
    const rate = corner.constants.padWear;
    const nodes = kept === 'all' ? record.nodes : this.row;
    const at = kept === 'all' ? sample * record.nodeCount : 0;
    const faceOf = (side: number) => nodes[at + padFaces[side]];
    this.worn.outer += (rate * wornVolume(0.5 * work, faceOf(0))) / corner.pad.area;
    this.worn.inner += (rate * wornVolume(0.5 * work, faceOf(padFaces.length - 1))) / corner.pad.area;
  }

  /** Friction of the pads at a row of node temperatures: the mean of both sides. */
  private frictionOf(nodes: Float64Array, at: number): number {
    const { padFaces } = this.layout;
    const of = (side: number) =>
      frictionAt(this.corner.pad, nodes[at + padFaces[side]], this.glaze, this.bedded);
    return padFaces.length === 1 ? of(0) : 0.5 * (of(0) + of(1));
  }

  private write(sample: number, dt: number): void {
    const { integrator, record, targets, first, second } = this;
    const all = this.kept === 'all';
    const nodes = all ? record.nodes : this.row;
    const at = all ? sample * record.nodeCount : 0;
    integrator.writeTemperatures(nodes, at);
    if (all) {
      for (let c = 0; c < CHANNEL_COUNT; c++) record.drive[sample * CHANNEL_COUNT + c] = integrator.drive[c];
    }
    for (let i = 0; i < targets.length; i++) {
      const [a, b] = [nodes[at + first[i]], nodes[at + second[i]]];
      targets[i][sample] = this.hotter[i] ? Math.max(a, b) : 0.5 * (a + b);
    }
    const bulk = this.bulk();
    record.rotorBulk[sample] = bulk;
    record.rotorBand[sample] = this.band.hottest(record.rotorFace[sample], bulk);
    if (sample > 0) {
      // A pad glazes where it is hottest over the radius, which is as much hotter as the rotor's band is.
      const over = (at: number) => record.padFace[at] + record.rotorBand[at] - record.rotorFace[at];
      this.glaze = glazeAfter(this.corner.pad, this.glaze, over(sample - 1), over(sample), dt);
    }
    record.glaze[sample] = this.glaze;
    record.bedded[sample] = this.bedded;
    record.friction[sample] = this.frictionOf(nodes, at);
  }
}
