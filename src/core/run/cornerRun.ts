import {
  CHANNEL_COUNT,
  type Corner,
  type CornerNetwork,
  cornerNetwork,
  frictionAt,
  glazeAfter,
  rubbedMaterial,
} from '../brake';
import { Integrator } from '../heat';
import { integralInverse, integralTable } from '../numeric';
import { emptyWheel, resizedWheel, type WheelRecord } from './record';

/** A wheel's network being integrated, with the temperatures people ask for. */
export class CornerRun {
  readonly layout: CornerNetwork;
  readonly integrator: Integrator;
  record: WheelRecord;
  private readonly ringMass: number;
  private readonly integral: Float64Array;
  private readonly specificHeat: Float64Array;
  private readonly start: number;
  private lastBulk: number;
  private glaze = 0;

  /**
   * @param ambient temperature of everything at the start, K
   * @param samples that will be written
   */
  constructor(
    private readonly corner: Corner,
    ambient: number,
    pressure: number,
    refinement: number,
    samples: number,
  ) {
    this.layout = cornerNetwork(corner, ambient, pressure, refinement);
    const { network, ringStart, ringCount } = this.layout;
    this.integrator = new Integrator(network, ambient, ambient);
    this.specificHeat = rubbedMaterial(corner).specificHeat;
    this.integral = integralTable(this.specificHeat);
    this.ringMass = network.nodes
      .slice(ringStart, ringStart + ringCount)
      .reduce((sum, node) => sum + node.scale, 0);
    this.start = ambient;
    this.lastBulk = ambient;
    this.record = emptyWheel(samples, network.nodes.length);
    this.write(0, 0);
  }

  /** Makes room for at least so many samples, keeping what is written. */
  reserve(samples: number): void {
    this.record = resizedWheel(this.record, samples);
  }

  /** One step of a lap. @param drive rows of drive channels, k the one to use; early, late W */
  step(
    drive: Float64Array,
    k: number,
    dt: number,
    event: boolean,
    early: number,
    late: number,
    sample: number,
  ): void {
    const { integrator, record } = this;
    for (let c = 0; c < CHANNEL_COUNT; c++) integrator.drive[c] = drive[k * CHANNEL_COUNT + c];
    if (event) integrator.markEvent();
    integrator.step(dt, early, late);
    record.early[sample] = early;
    record.late[sample] = late;
    this.write(sample, dt);
  }

  /** One step of evenly spread power, W; the drive channels have been set. */
  free(dt: number, event: boolean, power: number, sample: number): void {
    if (event) this.integrator.markEvent();
    this.integrator.step(dt, power, power);
    this.write(sample, dt);
  }

  /** Runs the car standing; the drive channels have been set. */
  stand(steps: readonly number[], sample: number): void {
    this.integrator.markEvent();
    for (let k = 0; k < steps.length; k++) {
      this.integrator.step(steps[k], 0, 0);
      this.write(sample + k, steps[k]);
    }
  }

  /** Temperature of the ring if its heat were spread evenly, K. */
  bulk(): number {
    const { ringStart, ringCount } = this.layout;
    let heat = 0;
    for (let i = ringStart; i < ringStart + ringCount; i++) heat += this.integrator.heat(i);
    this.lastBulk = integralInverse(this.specificHeat, this.integral, heat / this.ringMass, this.lastBulk, 2);
    return this.lastBulk;
  }

  private write(sample: number, dt: number): void {
    const { layout, integrator, record } = this;
    const { nodeCount, nodes } = record;
    const at = sample * nodeCount;
    integrator.writeTemperatures(nodes, at);
    for (let c = 0; c < CHANNEL_COUNT; c++) record.drive[sample * CHANNEL_COUNT + c] = integrator.drive[c];
    record.rotorFace[sample] = nodes[at + layout.ringStart];
    record.rotorBulk[sample] = this.bulk();
    record.rotorInner[sample] = nodes[at + layout.ringStart + layout.cheekCount - 1];
    record.hat[sample] = nodes[at + layout.hat];
    record.hub[sample] = nodes[at + layout.hub];
    record.upright[sample] = nodes[at + layout.upright];
    const padFace = nodes[at + layout.padFace];
    record.padFace[sample] = padFace;
    record.plate[sample] = nodes[at + layout.plate];
    const piston = nodes[at + layout.piston];
    const caliper = nodes[at + layout.caliper];
    record.piston[sample] = piston;
    record.caliper[sample] = caliper;
    // A seal sits in the body and touches the piston.
    record.seal[sample] = 0.5 * (piston + caliper);
    record.fluid[sample] = nodes[at + layout.fluid];
    record.hose[sample] = nodes[at + layout.hose];
    this.glaze = glazeAfter(this.corner.pad, this.glaze, padFace, dt);
    record.glaze[sample] = this.glaze;
    record.friction[sample] = frictionAt(this.corner.pad, padFace, this.glaze);
  }

  /** Heat supplied, stored and lost, J, of this one wheel. */
  audit(): { supplied: number; stored: number; lost: number } {
    const { supplied, lost } = this.integrator;
    return { supplied, lost, stored: this.integrator.storedOver(this.start) };
  }
}
