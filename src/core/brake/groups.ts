/** Parts a wheel's brake is drawn and balanced in; every node of its network declares one. */
export const GROUPS = ['rotor', 'hat', 'hub', 'pads', 'plate', 'pistons', 'fluid', 'caliper'] as const;
export type Group = (typeof GROUPS)[number];

/** Every node that a brake's network can have, and the part it belongs to. Points in a row are numbered from 0. */
const NODES = {
  cheek: 'rotor',
  'inner cheek': 'rotor',
  rim: 'rotor',
  vanes: 'rotor',
  hat: 'hat',
  'drum web': 'hat',
  hub: 'hub',
  upright: 'hub',
  pad: 'pads',
  'inner pad': 'pads',
  plate: 'plate',
  'inner plate': 'plate',
  shoes: 'plate',
  pistons: 'pistons',
  'piston ends': 'pistons',
  fluid: 'fluid',
  'hose fluid': 'fluid',
  caliper: 'caliper',
  'wheel cylinder': 'caliper',
} as const satisfies Readonly<Record<string, Group>>;
const IN_A_ROW: readonly string[] = [
  'cheek',
  'inner cheek',
  'rim',
  'pad',
  'inner pad',
] satisfies readonly (keyof typeof NODES)[];

type InARow = 'cheek' | 'inner cheek' | 'rim' | 'pad' | 'inner pad';
/** Name of a node: `hat`, or `cheek 3`. */
export type NodeName = Exclude<keyof typeof NODES, InARow> | `${InARow} ${number}`;

/** The part a node belongs to; null for a name that no node of a brake has. */
export function groupOfNode(name: string): Group | null {
  const [, kind, number] = /^(.*?)(?: (\d{1,3}))?$/.exec(name) ?? [];
  if (!Object.hasOwn(NODES, kind) || IN_A_ROW.includes(kind) !== (number !== undefined)) return null;
  return NODES[kind as keyof typeof NODES];
}

/** Parts whose temperatures are kept by name. Where each lies in a network is the network's `recorded`. */
export const RECORDED_PARTS = [
  'rotorFace',
  'rotorBand',
  'rotorBulk',
  'rotorInner',
  'hat',
  'hub',
  'upright',
  'padFace',
  'plate',
  'piston',
  'seal',
  'caliper',
  'fluidWall',
  'fluid',
  'hose',
] as const;
export type RecordedPart = (typeof RECORDED_PARTS)[number];
