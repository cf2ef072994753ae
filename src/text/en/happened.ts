import type { Symptom } from '../../model';
import type { Cause } from '../../services';

export const SYMPTOM_NAMES: Readonly<Record<Symptom, string>> = {
  'long pedal': 'The pedal went long',
  'spongy pedal': 'The pedal is spongy',
  'hard pedal': 'Hard pedal, no bite',
  'sinking pedal': 'The pedal sinks under the foot',
  vibration: 'It shakes when braking',
  pulling: 'It pulls to one side',
  noise: 'It grinds, clicks or squeals',
  smell: 'It smells or smokes',
  glow: 'The discs glowed',
  'warning lamp': 'A warning lamp came on',
};

interface CauseWords {
  readonly name: string;
  /** What tells it from the others */
  readonly check: string;
  /** What to do before driving on */
  readonly before: string;
  /** Whether nobody drives on with it, not even slowly */
  readonly never: boolean;
}

/** What each cause is, how it is told apart, and what to do (common practice). */
export const CAUSE_WORDS: Readonly<Record<Cause, CauseWords>> = {
  'boiled fluid': {
    name: 'The fluid boiled',
    check:
      'Pump twice: a pedal that comes back, and is firm again once all is cold, had vapour in it. One that stays long has air or a leak.',
    before:
      'Let it cool for half an hour, then renew the fluid: what has boiled boils earlier the next time. No fast lap on boiled fluid.',
    never: false,
  },
  'faded pads': {
    name: 'The pads faded',
    check: 'The pedal stays high and hard, more force hardly helps, and bite comes back as they cool.',
    before: 'Cool-down laps without hard stops, then look at the pads’ thickness and surface.',
    never: false,
  },
  'glazed pads': {
    name: 'The pads glazed',
    check: 'Bite does not come back cold. Their faces are smooth and shiny.',
    before: 'Take them out; bed them again as their maker says, or fit others.',
    never: false,
  },
  'knock-back': {
    name: 'Pads were knocked back',
    check: 'Only the first push after a kerb or a fast bend is long; the second is firm, hot or cold.',
    before: 'Tap the pedal on the straight. Look for play in the wheel bearings and run-out of the discs.',
    never: false,
  },
  'air in the fluid': {
    name: 'Air in the fluid',
    check: 'Spongy cold as well; pumping makes it better for a moment.',
    before: 'Bleed until no bubble comes, and find where air got in.',
    never: true,
  },
  'worn pads': {
    name: 'Pads are worn to the end',
    check: 'Measure the friction material of each pad, inner and outer, at both ends.',
    before: 'Fit new pads, and look at the disc they rubbed on.',
    never: true,
  },
  leak: {
    name: 'Fluid leaks',
    check: 'Look at the level, then along hoses, unions, boots and the inside of each wheel for wet places.',
    before: 'Do not drive. It must be found and mended by someone qualified.',
    never: true,
  },
  'master cylinder': {
    name: 'The master cylinder lets fluid past',
    check: 'Standing, engine running, steady light push: the pedal sinks slowly, and no fluid is lost.',
    before: 'Do not drive. It must be renewed by someone qualified.',
    never: true,
  },
  booster: {
    name: 'The servo gives no help',
    check: 'Engine off, pump until hard, keep pushing and start the engine: the pedal must drop a little.',
    before: 'Look at its hose and valve; drive only as slowly as the foot alone can stop.',
    never: true,
  },
  'cold pads': {
    name: 'The pads were below working temperature',
    check: 'It was the first braking zones, or after a long straight; bite came with heat.',
    before: 'Warm them over the out lap, less duct or pads with a lower working temperature.',
    never: false,
  },
  deposits: {
    name: 'Pad material lies unevenly on the discs',
    check: 'Spots or a print of the pad on the disc; it shakes more the faster it is braked from.',
    before: 'Clean the discs and bed the pads again; do not stand on the brakes with hot discs.',
    never: false,
  },
  'warped or loose rotor': {
    name: 'The disc runs out, or something is loose',
    check: 'Measure run-out with a dial; check wheel nuts, bearing, floating buttons and set screws.',
    before: 'Do not drive until it is known that nothing is loose.',
    never: true,
  },
  'seized slide': {
    name: 'A piston or slide sticks',
    check:
      'Compare the wheels’ heat after a gentle lap, and inner with outer pad: one is far more worn or hot.',
    before: 'Do not drive hard. Free or renew it; look at the boots.',
    never: true,
  },
  'uneven sides': {
    name: 'One side brakes more',
    check: 'Discs differ in heat from side to side; pads, discs, ducts or tyre pressures differ.',
    before: 'Same pads and discs on both sides; compare pressures and ducts.',
    never: false,
  },
  'cracked rotor': {
    name: 'A disc is cracked',
    check: 'Look at both faces in good light: cracks from holes, cracks to the edge, a click once a turn.',
    before: 'Do not drive with a crack that reaches the edge or joins two holes. Renew the disc.',
    never: true,
  },
  'plate on rotor': {
    name: 'A dust shield or a pad backing plate touches the disc',
    check: 'Turn the wheel by hand and listen; look for a bright line.',
    before: 'Bend the dust shield away; if it is a pad backing plate, do not drive.',
    never: true,
  },
  'overheated rotor': {
    name: 'The discs were over their heat',
    check: 'Blue or grey spots, scale, a cone or a dish shape; measure their thickness and look for cracks.',
    before: 'Cool down rolling, look for cracks when cold, and shorten the next run.',
    never: false,
  },
  'new parts bedding': {
    name: 'New pads are bedding',
    check: 'Pads or discs are new, and the smell or softness fades with the laps.',
    before: 'Finish the bedding as the pads’ maker says before any fast lap.',
    never: false,
  },
  'low fluid': {
    name: 'The fluid is low',
    check: 'Look at the level: worn pads take it down slowly, a leak takes it down fast.',
    before: 'Find out where it went before topping it up.',
    never: true,
  },
  sensor: {
    name: 'A sensor or its lead',
    check: 'Level, pads and pedal are all good; a lead at a wheel is melted or pulled.',
    before: 'Tie the lead away from the heat and renew it.',
    never: false,
  },
};
