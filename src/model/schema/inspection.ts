import * as z from 'zod/mini';
import { numberField } from './field';
import { FLUID_COLOURS } from './preparation';
import { count } from './testFields';

/** A part that is looked at and may move, tear or melt. */
export const SLIDES = ['not looked at', 'free', 'stiff', 'stuck'] as const;
export const BOOTS = ['not looked at', 'whole', 'torn', 'burnt'] as const;
export const LEADS = ['not looked at', 'whole', 'chafed', 'melted'] as const;
export const HOSES = ['not looked at', 'dry', 'chafed', 'bulging', 'leaking'] as const;
export const SLEEVES = ['not looked at', 'in place', 'loose', 'gone'] as const;
export const FLUID_LEVELS = ['not looked at', 'maximum', 'between', 'minimum', 'under minimum'] as const;
export const LEAK_SIGNS = ['not looked at', 'none', 'weeping', 'dripping'] as const;
export const CRACK_PLACES = ['face', 'hole', 'slot', 'edge', 'bell'] as const;

const millimetres = (title: string, max: number, usual: readonly [number, number], description: string) =>
  numberField({ title, quantity: 'smallLength', min: 0, max, usual, step: 0.1, description });
const pad = (title: string) =>
  z.nullable(
    millimetres(title, 45, [2, 18], 'Friction material without its backing plate, by caliper or gauge.'),
  );

export const crackSchema = z.strictObject({
  place: z.enum(CRACK_PLACES).check(z.meta({ title: 'Where' })),
  lengthMm: millimetres('Length', 200, [1, 12], 'Of the longest, by a scale laid on the face.'),
  /** Whether it reaches the edge of the ring */
  toEdge: z.boolean().check(z.meta({ title: 'Reaches the edge' })),
  /** Whether it joins two holes */
  joins: z.boolean().check(z.meta({ title: 'Joins two holes' })),
});
export type Crack = z.infer<typeof crackSchema>;

/** What was found at a wheel; what was not measured is null. */
export const wheelFoundSchema = z.strictObject({
  /** Of each pad at the end that the turning rotor enters, and at the one it leaves */
  innerLeadingMm: pad('Inner pad, leading end'),
  innerTrailingMm: pad('Inner pad, trailing end'),
  outerLeadingMm: pad('Outer pad, leading end'),
  outerTrailingMm: pad('Outer pad, trailing end'),
  /** Over both faces at points round the ring */
  rotorMm: z
    .array(millimetres('Rotor thickness', 60, [8, 36], 'By micrometer, ten millimetres in from the edge.'))
    .check(z.maxLength(8)),
  runoutMm: z.nullable(
    millimetres('Runout', 3, [0.02, 0.1], 'Dial gauge on the face, the wheel nuts tight.'),
  ),
  growthMm: z.nullable(
    millimetres(
      'Growth of the ring',
      10,
      [0, 0.3],
      'Outer diameter cold, over that of a new ring: what does not go back.',
    ),
  ),
  cracks: z.array(crackSchema).check(z.maxLength(6)),
  smear: z.boolean().check(z.meta({ title: 'Pad material smeared on the face' })),
  blueSpots: z.boolean().check(z.meta({ title: 'Blue or dark spots' })),
  slides: z.enum(SLIDES).check(z.meta({ title: 'Slides and pistons' })),
  boots: z.enum(BOOTS).check(z.meta({ title: 'Boots and dust seals' })),
  leads: z.enum(LEADS).check(z.meta({ title: 'Sensor leads' })),
  hose: z.enum(HOSES).check(z.meta({ title: 'Hose' })),
  sleeves: z.enum(SLEEVES).check(z.meta({ title: 'Sleeves and shields' })),
});
export type WheelFound = z.infer<typeof wheelFoundSchema>;

export const fluidFoundSchema = z.strictObject({
  level: z.enum(FLUID_LEVELS).check(z.meta({ title: 'Level' })),
  colour: z.nullable(z.enum(FLUID_COLOURS)).check(z.meta({ title: 'Colour' })),
  leaks: z.enum(LEAK_SIGNS).check(z.meta({ title: 'Leaks' })),
});
export type FluidFound = z.infer<typeof fluidFoundSchema>;

export const NOTHING_AT_WHEEL: WheelFound = {
  innerLeadingMm: null,
  innerTrailingMm: null,
  outerLeadingMm: null,
  outerTrailingMm: null,
  rotorMm: [],
  runoutMm: null,
  growthMm: null,
  cracks: [],
  smear: false,
  blueSpots: false,
  slides: 'not looked at',
  boots: 'not looked at',
  leads: 'not looked at',
  hose: 'not looked at',
  sleeves: 'not looked at',
};
export const NOTHING_OF_FLUID: FluidFound = { level: 'not looked at', colour: null, leaks: 'not looked at' };

/** Laps, as steppers count them. */
export const lapCount = (title: string, usual: readonly [number, number]) =>
  count(title, 0, 200, usual, 'Counted from the pit wall or the log.');
