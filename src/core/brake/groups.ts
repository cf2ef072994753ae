/** Parts a wheel's brake is drawn and balanced in; every node of its network declares one. */
export const GROUPS = ['rotor', 'hat', 'hub', 'pads', 'plate', 'pistons', 'fluid', 'caliper'] as const;
export type Group = (typeof GROUPS)[number];

/** Parts whose temperatures are kept by name. Where each lies in a network is the network's `recorded`. */
export const RECORDED_PARTS = [
  'rotorFace',
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
  'fluid',
  'hose',
] as const;
export type RecordedPart = (typeof RECORDED_PARTS)[number];
