import {
  type BrakeState,
  CHANNEL,
  CHANNEL_COUNT,
  type Corner,
  type CornerNetwork,
  RadialBand,
  READ_PARTS,
} from '../brake';
import {
  type CreateIntegrator,
  createIntegrator,
  type HeatIntegrator,
  type HeldChannel,
  type KnownSteps,
  MOST_AT_ONCE,
  readOffAt,
} from '../heat';
import { OWN_ROOM, type Room } from '../numeric';
import { PadState } from './padState';
import { emptyWheel, type Kept, resizedWheel, type WheelRecord } from './record';

/** A step as one wheel is given it; written anew for each, so that the loop allocates nothing. */
export interface WheelStep {
  /** Whether the motor brakes alone, so that the pads do not touch */
  lifted: boolean;
  /** Friction power at its first stage and at its end, W */
  early: number;
  late: number;
}

/** Where in what the next step feels a temperature lies. */
export const FELT = { outer: 0, inner: 1, fluid: 2, hose: 3 } as const;

/** One wheel's brake being run: its network integrated, its state carried on, its record written. */
export class CornerRun {
  readonly integrator: HeatIntegrator;
  record: WheelRecord;
  /** Of the record, what is read off the network */
  private columns: readonly Float64Array[];
  /** Of the steps made last, s */
  private readonly lengths = new Float64Array(MOST_AT_ONCE);
  private readonly pads: PadState;
  private readonly band: RadialBand;
  /** Sample that the first of the steps planned ends at */
  private planned = 0;
  /** Whether the pads do not touch, because the motor brakes alone */
  private lifted = false;
  /** What the next step feels of its temperatures, K, and the nodes they are of */
  readonly felt = new Float64Array(Object.keys(FELT).length);
  private readonly feltNodes: readonly number[];
  /** Temperatures of the pads' faces after each of the steps made last, K */
  private readonly faceColumns: readonly Float64Array[];
  /** Pads conduct better the thinner they are */
  private readonly held: HeldChannel = { channel: CHANNEL.pad, value: 1 };

  /**
   * @param layout its network
   * @param begun the state it begins in; what no run moves yet is carried on from it
   * @param ambient temperature of the first air, K
   * @param kept what is recorded
   * @param create what hands out its integrator
   * @param room where its record lies
   */
  constructor(
    corner: Corner,
    readonly layout: CornerNetwork,
    private readonly begun: BrakeState,
    ambient: number,
    private readonly kept: Kept = 'all',
    create: CreateIntegrator = createIntegrator,
    private readonly room: Room = OWN_ROOM,
  ) {
    const { network, recorded } = layout;
    const { temperatures, radial } = begun;
    this.pads = new PadState(corner, begun);
    const { padFaces } = layout;
    this.feltNodes = [padFaces[0], padFaces[padFaces.length - 1], recorded.fluid[0], recorded.hose[0]];
    this.faceColumns = layout.padFaces.map(() => new Float64Array(MOST_AT_ONCE));
    this.band = new RadialBand(corner, radial, this.layout.ringHeatShare);
    const start = network.nodes.map(({ name }) => temperatures[name]);
    this.integrator = create(network, ambient, start);
    if (kept === 'all') this.integrator.keepRows();
    this.record = emptyWheel(1, network.nodes.length, kept);
    this.record.nodes.set(start.slice(0, this.record.nodes.length));
    this.columns = READ_PARTS.map((part) => this.record[part]);
    for (let k = 0; k < READ_PARTS.length; k++)
      this.columns[k][0] = readOffAt((network.readings ?? [])[k], start);
    this.record.rotorBulk[0] = this.integrator.mean();
    this.write(0, 1);
    this.pads.begin();
    this.rub(0);
  }

  /** Makes room for so many samples, keeping what is written. */
  reserve(samples: number): void {
    this.record = resizedWheel(this.record, samples, this.room);
    this.columns = READ_PARTS.map((part) => this.record[part]);
  }

  /** Begins a piece. @param steps all of it @param sample that the first ends at */
  begin({ drives }: KnownSteps, sample: number): void {
    if (this.kept === 'all') this.record.drive.set(drives, sample * CHANNEL_COUNT);
  }

  /**
   * Takes some steps of a piece of which all but the power is known; `next` makes them one by one.
   * @param from the first of them
   * @param count MOST_AT_ONCE at most
   * @param sample that the first ends at
   */
  plan(steps: KnownSteps, from: number, count: number, sample: number): void {
    const { held, lengths, record } = this;
    this.planned = sample;
    held.value = this.pads.thinning;
    for (let k = 0; k < count; k++) lengths[k] = steps.dt[from + k];
    this.pads.begin();
    this.integrator.plan(steps, from, count, held);
    if (this.kept !== 'all') return;
    const { drive } = record;
    for (let k = sample; k < sample + count; k++) drive[k * CHANNEL_COUNT + CHANNEL.pad] = held.value;
  }

  /** The heat of the step that is next. @param sample that it ends at */
  next({ early, late, lifted }: WheelStep, sample: number): void {
    const { integrator, record } = this;
    record.early[sample] = early;
    record.late[sample] = late;
    if (lifted || this.lifted) this.lift(lifted, sample);
    integrator.next(early, late);
  }

  /** Friction after the step that all wheels have made, which the next one asks for. @param sample that it ended at */
  rub(sample: number): void {
    const { felt, lengths } = this;
    this.integrator.writeSome(this.feltNodes, felt);
    this.pads.rub(this.record, felt, lengths, sample - this.planned, sample);
  }

  /** Makes all steps that are planned, with nothing braked in them. @param count of them @param sample of the first */
  coast(count: number, sample: number): void {
    const { integrator, record } = this;
    if (this.lifted) integrator.switchNext();
    this.lifted = false;
    record.early.fill(0, sample, sample + count);
    record.late.fill(0, sample, sample + count);
    integrator.coast();
  }

  /** Notes what came of the steps that were planned, once all wheels have made them. @param sample of the first */
  note(count: number, sample: number): void {
    const { integrator, record, columns, faceColumns } = this;
    if (this.kept === 'all') integrator.writeRows(record.nodes, sample * record.nodeCount, count);
    integrator.writeReadings(columns, 0, sample, count);
    integrator.writeReadings(faceColumns, columns.length, 0, count);
    integrator.writeTold(record.rotorBulk, sample, count);
    this.write(sample, count);
    this.pads.wear(record, this.lengths, faceColumns, sample, count);
  }

  /** Notes what came of steps in which nothing is braked. */
  noteCoast(count: number, sample: number): void {
    this.note(count, sample);
    this.integrator.writeSome(this.feltNodes, this.felt);
    this.pads.cool(this.record, this.faceColumns, sample, count);
  }

  /** Takes the pads off for the step that is next, or puts them on again. @param sample that it ends at */
  private lift(lifted: boolean, sample: number): void {
    const { integrator, record } = this;
    if (lifted !== this.lifted) integrator.switchNext();
    this.lifted = lifted;
    if (!lifted) return;
    integrator.alter(CHANNEL.applied, 0);
    integrator.alter(CHANNEL.released, 1);
    if (this.kept !== 'all') return;
    record.drive[sample * CHANNEL_COUNT + CHANNEL.applied] = 0;
    record.drive[sample * CHANNEL_COUNT + CHANNEL.released] = 1;
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

  /** Writes what follows of some samples from what is read off and told. */
  private write(sample: number, count: number): void {
    const { record, lengths } = this;
    this.band.steps(record, lengths, sample, count);
    this.pads.glazeTo(record, lengths, sample, count);
  }
}
