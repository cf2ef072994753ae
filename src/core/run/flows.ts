import { CHANNEL_COUNT, type CornerNetwork, GROUPS, type Group } from '../brake';
import { AMBIENT, GAMMA, type HeatPath, type NetworkLink } from '../heat';
import { tableAt } from '../numeric';
import type { DayRecord, WheelRecord } from './record';

/** What heat flows between: the parts of a brake, and the air around them. */
const ENDS = [...GROUPS, 'air'] as const;
export type FlowEnd = (typeof ENDS)[number];

/** Heat along one link, W, from its first node to its second or the surroundings. */
export function linkFlow(
  link: NetworkLink,
  temperatures: Float64Array,
  drive: Float64Array,
  ambient: number,
): number {
  const a = temperatures[link.from];
  const b = link.to === AMBIENT ? ambient : temperatures[link.to];
  const factor = link.factor ? tableAt(link.factor, 0.5 * (a + b)) : 1;
  return (
    link.coefficient * drive[link.channel] * factor * (a - b) +
    link.radiation * (a * a + b * b) * (a + b) * (a - b)
  );
}

/** Heat that goes from one part to another by one path. */
export interface PartFlow {
  readonly from: FlowEnd;
  readonly to: FlowEnd;
  readonly path: HeatPath;
  /** W at a moment, or J over a while */
  readonly heat: number;
}

interface Bundle {
  readonly from: FlowEnd;
  readonly to: FlowEnd;
  readonly path: HeatPath;
  readonly links: readonly { readonly link: NetworkLink; readonly sign: 1 | -1 }[];
}

/** Links between two parts by the same path, counted in one direction. */
function bundlesOf(layout: CornerNetwork): Bundle[] {
  const { groups } = layout;
  const bundles = new Map<
    string,
    { from: FlowEnd; to: FlowEnd; path: HeatPath; links: Bundle['links'][number][] }
  >();
  for (const link of layout.network.links) {
    const a = groups[link.from];
    const b: FlowEnd = link.to === AMBIENT ? 'air' : groups[link.to];
    if (a === b) continue;
    const forward = ENDS.indexOf(a) < ENDS.indexOf(b);
    const [from, to] = forward ? [a, b] : [b, a];
    const key = `${from}/${to}/${link.path}`;
    const bundle = bundles.get(key) ?? { from, to, path: link.path, links: [] };
    bundle.links.push({ link, sign: forward ? 1 : -1 });
    bundles.set(key, bundle);
  }
  return [...bundles.values()];
}

/**
 * The flows between parts at one sample, W.
 * @param ambient K
 * @param sample of the record
 */
export function flowsAt(
  layout: CornerNetwork,
  record: WheelRecord,
  sample: number,
  ambient: number,
): PartFlow[] {
  const temperatures = nodesAt(record, sample);
  const drive = driveAt(record, sample);
  return bundlesOf(layout).map(({ from, to, path, links }) => ({
    from,
    to,
    path,
    heat: links.reduce((sum, { link, sign }) => sum + sign * linkFlow(link, temperatures, drive, ambient), 0),
  }));
}

/** Where the heat of a while went, J. */
export interface HeatBalance {
  /** Made by friction in the rotor, and in the pads */
  readonly intoRotor: number;
  readonly intoPads: number;
  readonly flows: readonly PartFlow[];
  /** Gained by each part; negative when it gave more than it got */
  readonly stored: Readonly<Record<Group, number>>;
}

/** Friction heat of one wheel between two samples, J: with the weights of the integrator's two stages. */
export function frictionHeat(day: DayRecord, record: WheelRecord, from: number, to: number): number {
  let made = 0;
  for (let i = from + 1; i <= to; i++) {
    made += (day.time[i] - day.time[i - 1]) * ((1 - GAMMA) * record.early[i] + GAMMA * record.late[i]);
  }
  return made;
}

/**
 * Where the heat between two samples went, J. Flows are summed with the mean of each step's two ends, so a part's gain and
 * its flows differ by some percent of what passed through it in a braking zone; the gains are exact.
 * @param from first sample
 * @param to last sample
 * @param ambient K
 */
export function heatBalance(
  layout: CornerNetwork,
  day: DayRecord,
  record: WheelRecord,
  from: number,
  to: number,
  ambient: number,
): HeatBalance {
  const bundles = bundlesOf(layout);
  const sums = bundles.map(() => 0);
  const made = frictionHeat(day, record, from, to);
  for (let i = from + 1; i <= to; i++) {
    const dt = day.time[i] - day.time[i - 1];
    const drive = driveAt(record, i);
    const before = nodesAt(record, i - 1);
    const after = nodesAt(record, i);
    bundles.forEach(({ links }, b) => {
      for (const { link, sign } of links) {
        const mean = linkFlow(link, before, drive, ambient) + linkFlow(link, after, drive, ambient);
        sums[b] += 0.5 * sign * dt * mean;
      }
    });
  }
  const { groups } = layout;
  const stored = Object.fromEntries(GROUPS.map((group) => [group, 0])) as Record<Group, number>;
  const start = nodesAt(record, from);
  const end = nodesAt(record, to);
  layout.network.nodes.forEach(({ scale, table }, i) => {
    // Simpson over the table is exact enough within one braking zone: it is linear in pieces of 10 K.
    const mean = table
      ? (tableAt(table, start[i]) + 4 * tableAt(table, 0.5 * (start[i] + end[i])) + tableAt(table, end[i])) /
        6
      : 1;
    stored[groups[i]] += scale * mean * (end[i] - start[i]);
  });
  return {
    intoRotor: made * layout.ringHeatShare,
    intoPads: made * (1 - layout.ringHeatShare),
    flows: bundles.map(({ from: a, to: b, path }, k) => ({ from: a, to: b, path, heat: sums[k] })),
    stored,
  };
}

/**
 * Temperatures of all nodes at a sample, K; a view into the record.
 * @throws RangeError of a record that kept named parts alone
 */
export function nodesAt(record: WheelRecord, sample: number): Float64Array {
  if (record.nodes.length === 0) throw new RangeError('nodesAt: the run kept named parts alone');
  return record.nodes.subarray(sample * record.nodeCount, (sample + 1) * record.nodeCount);
}

function driveAt(record: WheelRecord, sample: number): Float64Array {
  return record.drive.subarray(sample * CHANNEL_COUNT, (sample + 1) * CHANNEL_COUNT);
}
