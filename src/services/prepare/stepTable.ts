import type { AxleName } from '../../core';
import type { TorqueJoint } from '../../model';
import type { Task, WheelWork, Work } from './work';

/** Tools and consumables, in the order in which they are laid out. */
export const TOOLS = [
  'stands',
  'torque wrench',
  'wire hook',
  'micrometer',
  'scales',
  'dial gauge',
  'piston tool',
  'wind-back tool',
  'syringe',
  'line wrench',
  'diagnostic tool',
  'gloves and mask',
  'damp cloths',
  'alcohol',
  'wire brush',
  'pin grease',
  'washers and caps',
  'new fluid',
  'catch bottle',
  'ties',
  'sleeve material',
] as const;
export type Tool = (typeof TOOLS)[number];
export type Caution = 'hot' | 'heavy' | 'dust' | 'fluid';
/** What work is stopped for. */
export type StopFor = 'seized' | 'seals' | 'oil' | 'crack' | 'thread' | 'pedal';

interface StepRule {
  readonly tools?: readonly Tool[];
  readonly cautions?: readonly Caution[];
  readonly stops?: readonly StopFor[];
  /** The joint that is tightened to the maker's figure */
  readonly torque?: TorqueJoint;
  /** The car moves under its own power */
  readonly moves?: true;
}
interface CarRule extends StepRule {
  readonly at: 'before' | 'after';
  readonly when: (work: Work) => boolean;
}
interface WheelRule extends StepRule {
  readonly at: 'wheel';
  readonly when: (own: WheelWork) => boolean;
}

/** A wheel comes off: for work behind it, or to come at its screw. */
const opened = ({ wheels, bleeds }: Work) => wheels.length > 0 || bleeds;
const openedAt = (axle: AxleName) => (work: Work) =>
  work.wheels.some((own) => own.axle === axle) ||
  (work.bleeds && (axle === 'front' || work.preparation.bleed.wanted === 'all'));
const disc = ({ brakes }: WheelWork) => !brakes.drum;
const does =
  (...tasks: readonly Task[]) =>
  ({ tasks: own }: WheelWork) =>
    tasks.some((task) => own.has(task));
const both =
  (...rules: readonly ((own: WheelWork) => boolean)[]) =>
  (own: WheelWork) =>
    rules.every((rule) => rule(own));
/** Pads are moved apart: they or the rotor are other ones. */
const padsApart = both(disc, does('pads', 'rotor'));
const curved = ({ brakes }: WheelWork) =>
  brakes.rotor.vaneType.startsWith('curved') && brakes.rotor.vaneGapMm > 0;
const stepped = ({ brakes }: WheelWork) => new Set(brakes.caliper.pistonsMm).size > 1;
const parking = ({ wheels }: Work, kind: string) =>
  wheels.some(({ workshop }) => workshop.parkingBrake === kind);

/** Every step there is, in the order of the work; each says when it applies. */
export const STEPS = {
  'maker data': { at: 'before', when: () => true },
  gather: { at: 'before', when: () => true },
  cold: { at: 'before', when: () => true, cautions: ['hot'] },
  'service mode': {
    at: 'before',
    when: (work) => parking(work, 'electric'),
    tools: ['diagnostic tool'],
  },
  chock: { at: 'before', when: opened },
  'loosen wheels': { at: 'before', when: opened },
  lift: { at: 'before', when: opened, tools: ['stands'], cautions: ['heavy'] },
  'draw off': {
    at: 'before',
    when: (work) => work.wheels.some((own) => disc(own) && does('pads', 'rotor', 'caliper')(own)),
    tools: ['syringe', 'gloves and mask'],
    cautions: ['fluid'],
  },
  'wheel off': { at: 'wheel', when: () => true, cautions: ['heavy'] },
  look: { at: 'wheel', when: () => true, stops: ['oil', 'crack'] },
  'clean dust': {
    at: 'wheel',
    when: does('pads', 'rotor', 'caliper', 'shield'),
    tools: ['damp cloths', 'gloves and mask'],
    cautions: ['dust'],
  },
  'sensor off': {
    at: 'wheel',
    when: ({ workshop, tasks, caliperOff }) => workshop.padSensor && (tasks.has('pads') || caliperOff),
    tools: ['ties'],
  },
  'bracket off': { at: 'wheel', when: ({ workshop, caliperOff }) => workshop.lineBracket && caliperOff },
  'caliper off': {
    at: 'wheel',
    when: ({ caliperOff, before }) => caliperOff && !before.drum,
    tools: ['wire hook'],
    cautions: ['heavy'],
    stops: ['seized', 'thread'],
  },
  'pads out': { at: 'wheel', when: both(disc, does('pads')) },
  'drum off': {
    at: 'wheel',
    when: ({ before, tasks }) => before.drum !== null && (tasks.has('pads') || tasks.has('rotor')),
    cautions: ['heavy', 'dust'],
    stops: ['seized', 'oil'],
  },
  'shoes on': { at: 'wheel', when: ({ brakes, tasks }) => brakes.drum !== null && tasks.has('pads') },
  'pistons back': {
    at: 'wheel',
    when: (own) => padsApart(own) && own.workshop.parkingBrake !== 'caliper',
    tools: ['piston tool'],
    cautions: ['fluid'],
    stops: ['seized', 'seals', 'oil'],
  },
  'pistons wound back': {
    at: 'wheel',
    when: (own) => padsApart(own) && own.workshop.parkingBrake === 'caliper',
    tools: ['wind-back tool'],
    cautions: ['fluid'],
    stops: ['seized', 'seals', 'oil'],
  },
  'hose on': {
    at: 'wheel',
    when: does('hose'),
    tools: ['line wrench', 'washers and caps', 'alcohol'],
    cautions: ['fluid'],
    stops: ['thread', 'oil'],
    torque: 'hose union',
  },
  'shield on': { at: 'wheel', when: does('shield') },
  'rotor off': {
    at: 'wheel',
    when: ({ tasks, before }) => tasks.has('rotor') && !before.drum,
    cautions: ['heavy'],
    stops: ['seized'],
  },
  'hub clean': { at: 'wheel', when: both(disc, does('rotor')), tools: ['wire brush'] },
  'rotor measured': { at: 'wheel', when: both(disc, does('rotor')), tools: ['micrometer', 'scales'] },
  'rotor hand': { at: 'wheel', when: both(disc, does('rotor'), curved) },
  'rotor on': { at: 'wheel', when: both(disc, does('rotor')), tools: ['alcohol'], cautions: ['heavy'] },
  'set screws': {
    at: 'wheel',
    when: both(disc, does('rotor'), ({ workshop }) => workshop.setScrews),
    stops: ['seized'],
  },
  'ring floats': {
    at: 'wheel',
    when: both(disc, does('rotor'), ({ brakes }) => brakes.rotor.mounting === 'floating'),
  },
  runout: { at: 'wheel', when: both(disc, does('rotor')), tools: ['dial gauge'] },
  'caliper checked': { at: 'wheel', when: both(disc, does('caliper')), tools: ['washers and caps'] },
  'piston order': { at: 'wheel', when: both(disc, does('caliper'), stepped) },
  'screw at the top': { at: 'wheel', when: both(disc, does('caliper')) },
  'pads measured': { at: 'wheel', when: does('pads'), tools: ['micrometer'] },
  'pads in': { at: 'wheel', when: both(disc, does('pads')), stops: ['oil'] },
  'caliper on': {
    at: 'wheel',
    when: both(disc, ({ caliperOff }) => caliperOff),
    tools: ['torque wrench'],
    stops: ['thread'],
    torque: 'caliper bolts',
  },
  'guide pins': {
    at: 'wheel',
    when: both(disc, does('pads', 'caliper'), ({ brakes }) => brakes.caliper.kind === 'sliding'),
    tools: ['pin grease', 'torque wrench'],
    stops: ['seized'],
    torque: 'guide pins',
  },
  'union on': {
    at: 'wheel',
    when: both(disc, does('caliper')),
    tools: ['line wrench', 'washers and caps'],
    cautions: ['fluid'],
    torque: 'hose union',
  },
  'bracket on': { at: 'wheel', when: ({ workshop, caliperOff }) => workshop.lineBracket && caliperOff },
  'sensor tied': {
    at: 'wheel',
    when: ({ workshop, tasks, caliperOff }) => workshop.padSensor && (tasks.has('pads') || caliperOff),
    tools: ['ties'],
  },
  'duct on': { at: 'wheel', when: does('duct'), tools: ['ties'] },
  protect: { at: 'wheel', when: does('protection'), tools: ['sleeve material', 'ties'], cautions: ['hot'] },
  'drum adjusted': { at: 'wheel', when: ({ brakes, tasks }) => brakes.drum !== null && tasks.has('pads') },
  'tyres on': { at: 'wheel', when: does('tyre') },
  'clear of the spokes': { at: 'wheel', when: both(disc, does('pads', 'rotor', 'caliper', 'tyre')) },
  'wheel on': { at: 'wheel', when: () => true, cautions: ['heavy'] },
  'turns free': { at: 'wheel', when: () => true },
  'protect below': {
    at: 'after',
    when: ({ preparation, wheels }) =>
      preparation.protections.length > 0 && wheels.every(({ tasks }) => !tasks.has('protection')),
    tools: ['sleeve material', 'ties'],
    cautions: ['hot'],
  },
  'wheels tightened front': {
    at: 'after',
    when: openedAt('front'),
    tools: ['torque wrench'],
    torque: 'wheel fastenings',
  },
  'wheels tightened rear': {
    at: 'after',
    when: openedAt('rear'),
    tools: ['torque wrench'],
    torque: 'wheel fastenings',
  },
  bleed: {
    at: 'after',
    when: ({ bleeds }) => bleeds,
    tools: ['new fluid', 'catch bottle', 'line wrench', 'gloves and mask'],
    cautions: ['fluid'],
    stops: ['oil', 'seized'],
  },
  level: { at: 'after', when: ({ hydraulic }) => hydraulic, cautions: ['fluid'] },
  'leave service mode': {
    at: 'after',
    when: (work) => parking(work, 'electric'),
    tools: ['diagnostic tool'],
  },
  'parking brake': {
    at: 'after',
    when: ({ wheels }) =>
      wheels.some(
        ({ workshop, tasks }) =>
          workshop.parkingBrake === 'shoes' &&
          (tasks.has('pads') || tasks.has('rotor') || tasks.has('caliper')),
      ),
  },
  'pump the pedal': { at: 'after', when: () => true, stops: ['pedal'] },
  'hold the pedal': { at: 'after', when: () => true, stops: ['pedal'] },
  'walking pace': { at: 'after', when: () => true, moves: true, stops: ['pedal'] },
  'bed in': { at: 'after', when: ({ beds }) => beds, moves: true, cautions: ['hot'] },
  'road check': { at: 'after', when: () => true, moves: true, cautions: ['hot'], stops: ['pedal'] },
  'look again': { at: 'after', when: opened, tools: ['torque wrench'], cautions: ['hot'] },
} as const satisfies Readonly<Record<string, CarRule | WheelRule>>;
export type StepCode = keyof typeof STEPS;
export const STEP_CODES = Object.keys(STEPS) as StepCode[];
/** The same with their kinds widened. */
export const ruleOf = (code: StepCode): CarRule | WheelRule => STEPS[code];
