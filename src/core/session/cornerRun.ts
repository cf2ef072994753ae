import { type Corner, type CornerNetwork, cornerNetwork } from '../brake';
import { Integrator, integralInverse, integralTable } from '../heat';
import type { AxleRecord } from './record';

/** A corner's network being integrated, with the temperatures people ask for. */
export class CornerRun {
  readonly layout: CornerNetwork;
  readonly integrator: Integrator;
  private readonly ringMass: number;
  private readonly integral: Float64Array;
  private lastBulk: number;

  constructor(
    private readonly corner: Corner,
    private readonly ambient: number,
    pressure: number,
    refinement: number,
  ) {
    this.layout = cornerNetwork(corner, ambient, pressure, refinement);
    this.integrator = new Integrator(this.layout.network, ambient, ambient);
    this.integral = integralTable(corner.rotor.material.specificHeat);
    let mass = 0;
    for (let i = 0; i < this.layout.ringCount; i++) {
      mass += this.layout.network.nodes[this.layout.ringStart + i].scale;
    }
    this.ringMass = mass;
    this.lastBulk = ambient;
  }

  /** Temperature of the ring if its heat were spread evenly, K. */
  bulk(): number {
    const { ringStart, ringCount } = this.layout;
    let heat = 0;
    for (let i = ringStart; i < ringStart + ringCount; i++) heat += this.integrator.heat(i);
    const table = this.corner.rotor.material.specificHeat;
    this.lastBulk = integralInverse(table, this.integral, heat / this.ringMass, this.lastBulk, 2);
    return this.lastBulk;
  }

  write(record: AxleRecord, sample: number): void {
    const { layout, integrator } = this;
    record.rotorFace[sample] = integrator.temperature(layout.ringStart);
    record.rotorBulk[sample] = this.bulk();
    record.hat[sample] = integrator.temperature(layout.hat);
    record.hub[sample] = integrator.temperature(layout.hub);
    record.padFace[sample] = integrator.temperature(layout.padFace);
    record.plate[sample] = integrator.temperature(layout.plate);
    record.caliper[sample] = integrator.temperature(layout.caliper);
    record.fluid[sample] = integrator.temperature(layout.fluid);
  }

  /** Heat supplied, stored and lost, J, of this one wheel. */
  audit(): { supplied: number; stored: number; lost: number } {
    const { supplied, lost } = this.integrator;
    return { supplied, lost, stored: this.integrator.storedOver(this.ambient) };
  }
}
