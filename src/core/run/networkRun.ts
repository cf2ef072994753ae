import { CHANNEL_COUNT, type CornerNetwork, cornerNetwork, cornerOfWheel, type WheelName } from '../brake';
import { AMBIENT, GAMMA } from '../heat';
import { TABLE_COUNT, TABLE_START, TABLE_STEP, type UniformTable } from '../numeric';
import { type DayInput, DEFAULT_NUMERICS, pressureOf } from '../schedule';
import type { DayResult } from './result';

/** A function of temperature: linear between its points, held outside. */
export interface ExportedTable {
  /** K */
  readonly kelvin: readonly number[];
  readonly value: readonly number[];
}

/**
 * One wheel's network with all that acted on it through a day, in SI and K, so that anybody can integrate it with a
 * solver of their own. Nothing else acts on the temperatures.
 */
export interface NetworkRun {
  /** Ends of the steps, s; the first is the start. m + 1. A series below has one value for each step, m */
  readonly times: readonly number[];
  /** K, one for each step */
  readonly ambient: readonly number[];
  readonly nodes: readonly {
    readonly name: string;
    /** J/K; with a table, kg, and the table is J/(kg·K) */
    readonly capacity: number;
    readonly table?: ExportedTable;
    /** K */
    readonly start: number;
  }[];
  readonly links: readonly {
    readonly from: number;
    /** A node, or 'ambient' */
    readonly to: number | 'ambient';
    /** W/K: a number, or one for each step */
    readonly conductance: number | readonly number[];
    /** Multiplies the conductance, over the mean temperature of the two ends */
    readonly factor?: ExportedTable;
    /** Heat besides: this times (Ta⁴ − Tb⁴), W/K⁴ */
    readonly radiation?: number;
  }[];
  /** Heat into a node, W: a straight line in each step, from its start to its end */
  readonly sources: readonly {
    readonly node: number;
    readonly from: readonly number[];
    readonly to: readonly number[];
  }[];
  /** The run's own temperatures at `times`, K; a row a time, a column a node */
  readonly temperatures: readonly (readonly number[])[];
}

/** The network of a wheel as `simulateDay` builds it; SI. */
export function networkOf(input: DayInput, wheel: WheelName): CornerNetwork {
  const pressure = pressureOf(input);
  return cornerNetwork(
    cornerOfWheel(input, wheel),
    input.sessions[0].ambient,
    pressure,
    DEFAULT_NUMERICS.refinement,
  );
}

/**
 * Writes out one wheel's network and run, node by node and link by link, SI.
 * @param result of the same input
 */
export function networkRun(input: DayInput, result: DayResult, wheel: WheelName): NetworkRun {
  const { network } = networkOf(input, wheel);
  const { record, legs } = result;
  const values = record.wheels[wheel];
  const times = Array.from(record.time);
  const steps = times.length - 1;
  const series = (channel: number, coefficient: number) =>
    Array.from({ length: steps }, (_, k) => coefficient * values.drive[(k + 1) * CHANNEL_COUNT + channel]);
  const power = (share: number) => {
    const from: number[] = [];
    const to: number[] = [];
    for (let k = 1; k <= steps; k++) {
      // The two stages stand at GAMMA·dt and at dt; the line through them is the step's power.
      const [early, late] = [values.early[k], values.late[k]];
      const slope = (late - early) / (1 - GAMMA);
      from.push(share * (early - GAMMA * slope));
      to.push(share * late);
    }
    return { from, to };
  };
  return {
    times,
    ambient: Array.from({ length: steps }, (_, k) => input.sessions[legs[record.leg[k + 1]].session].ambient),
    nodes: network.nodes.map(({ name, scale, table }, i) => ({
      name,
      capacity: scale,
      ...(table && { table: exported(table) }),
      start: values.nodes[i],
    })),
    links: network.links.map(({ from, to, coefficient, channel, factor, radiation }) => ({
      from,
      to: to === AMBIENT ? 'ambient' : to,
      conductance: channel === 0 || coefficient === 0 ? coefficient : series(channel, coefficient),
      ...(factor && { factor: exported(factor) }),
      ...(radiation > 0 && { radiation }),
    })),
    sources: network.sources.map(({ node, share }) => ({ node, ...power(share) })),
    temperatures: times.map((_, k) =>
      Array.from(values.nodes.subarray(k * values.nodeCount, (k + 1) * values.nodeCount)),
    ),
  };
}

/** A table without the knots that lie on the line of their neighbours. */
function exported(table: UniformTable): ExportedTable {
  const kelvin: number[] = [];
  const value: number[] = [];
  for (let i = 0; i < TABLE_COUNT; i++) {
    const flat =
      i > 0 && i < TABLE_COUNT - 1 && Math.abs(table[i + 1] - 2 * table[i] + table[i - 1]) < 1e-9 * table[i];
    if (flat) continue;
    kelvin.push(TABLE_START + i * TABLE_STEP);
    value.push(table[i]);
  }
  return { kelvin, value };
}
