import type { ForcePart, LimitedPart, RecordedPart } from '../../core';

/** What each recorded part is called: in a table's heading, and within a sentence. */
export const PART_NAMES: Readonly<Record<RecordedPart, { readonly title: string; readonly name: string }>> = {
  rotorFace: { title: 'Rotor surface', name: 'rotor surface' },
  rotorBand: { title: 'Rotor, hottest band', name: 'hottest band of the rotor' },
  rotorBulk: { title: 'Rotor core (bulk)', name: 'rotor core (bulk)' },
  rotorInner: { title: 'Rotor at the vanes', name: 'rotor at the vanes' },
  hat: { title: 'Bell (hat)', name: 'bell (hat)' },
  hub: { title: 'Hub', name: 'hub' },
  upright: { title: 'Upright', name: 'upright' },
  padFace: { title: 'Pad surface', name: 'pad surface' },
  plate: { title: 'Pad backing plate', name: 'pad backing plate' },
  piston: { title: 'Pistons', name: 'pistons' },
  seal: { title: 'Caliper seals', name: 'caliper seals' },
  caliper: { title: 'Caliper body', name: 'caliper body' },
  fluidWall: { title: 'Fluid at the pistons', name: 'fluid at the pistons' },
  fluid: { title: 'Fluid', name: 'fluid' },
  hose: { title: 'Fluid in the hose', name: 'fluid in the hose' },
};

/** What each judged part is called, and what passing its limit means. */
interface LimitWords {
  /** In a table */
  readonly title: string;
  /** Within a sentence, after an axle */
  readonly name: string;
  readonly plural: boolean;
  /** What its limit is called */
  readonly limit: string;
  readonly means: string;
}

export const LIMIT_TEXT: Readonly<Record<LimitedPart | ForcePart, LimitWords>> = {
  rotorFace: {
    title: 'Rotor surface',
    name: 'rotor surfaces',
    plural: true,
    limit: 'surface limit',
    means: 'Heat checks grow into cracks, and the surface changes under the pad.',
  },
  rotorBulk: {
    title: 'Rotor core (bulk)',
    name: 'rotors',
    plural: true,
    limit: 'core limit',
    means: 'The iron softens and scales; the ring can cone or crack.',
  },
  padFace: {
    title: 'Pad surface',
    name: 'pads',
    plural: true,
    limit: 'limit',
    means: 'Friction falls, the pedal needs more force, and the pad can glaze for good.',
  },
  plate: {
    title: 'Pad backing plate',
    name: 'pad backing plates',
    plural: true,
    limit: 'limit',
    means: 'The bond ages and much more heat goes on to pistons and fluid.',
  },
  seal: {
    title: 'Caliper seals',
    name: 'caliper seals',
    plural: true,
    limit: 'rating',
    means: 'Seals harden, then weep or drag.',
  },
  fluidWall: {
    title: 'Fluid at the pistons',
    name: 'fluid at the pistons',
    plural: false,
    limit: 'boiling point',
    means: 'Vapour forms there first; the pedal gets soft.',
  },
  fluid: {
    title: 'Fluid',
    name: 'brake fluid',
    plural: false,
    limit: 'boiling point',
    means: 'Vapour forms once the pedal is released; the next push can go to the floor.',
  },
  hub: {
    title: 'Wheel bearing',
    name: 'wheel bearings',
    plural: true,
    limit: 'limit',
    means: 'Grease thins and runs out.',
  },
  pedal: {
    title: 'Pedal force',
    name: 'pedal force',
    plural: false,
    limit: 'the driver’s limit',
    means: 'The driver cannot press harder: the car overshoots.',
  },
  travel: {
    title: 'Pedal travel',
    name: 'pedal',
    plural: false,
    limit: 'travel',
    means: 'It reaches the floor before there is pressure enough.',
  },
  bite: {
    title: 'Cold bite (initial friction)',
    name: 'pads',
    plural: true,
    limit: 'working temperature',
    means: 'Below working temperature at the braking point: the first push bites late.',
  },
};
