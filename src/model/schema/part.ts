import * as z from 'zod/mini';
import { PAD_FAMILIES } from '../catalogue/padEntry';
import { caliperSchema } from './caliper';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { rotorSchema } from './rotor';

const celsius = (title: string, usual: readonly [number, number], description: string) =>
  numberField({
    title,
    quantity: 'temperature',
    min: -20,
    max: 1800,
    usual,
    step: 10,
    description,
  });
const plain = (
  title: string,
  quantity: 'factor' | 'density' | 'smallLength' | 'area' | 'percent' | 'hoseExpansion' | 'friction',
  min: number,
  max: number,
  usual: readonly [number, number],
  description: string,
) => numberField({ title, quantity, min, max, usual, description });

/** One to five, as what a pad costs beside money is told. */
const score = (title: string, description: string) =>
  numberField({
    title,
    quantity: 'count',
    min: 1,
    max: 5,
    integer: true,
    usual: [1, 5],
    step: 1,
    description,
  });

const padValues = z
  .strictObject({
    family: z.enum(PAD_FAMILIES).check(z.meta({ title: 'Family' })),
    friction: z
      .array(
        z.strictObject({
          celsius: celsius('Surface', [20, 900], 'Temperature of the pad surface.'),
          mu: plain('µ', 'friction', 0.01, 1.2, [0.2, 0.6], 'Friction coefficient at it.'),
        }),
      )
      .check(z.minLength(2, 'must have at least two points of friction over temperature'), z.maxLength(40)),
    windowLowC: celsius('Window from', [20, 300], 'Lowest surface temperature at which it works well.'),
    windowHighC: celsius('Window to', [300, 900], 'Highest surface temperature at which it works well.'),
    limitC: celsius('Fades over', [380, 1050], 'Surface temperature over which it fades and glazes.'),
    plateLimitC: celsius(
      'Pad backing plate up to',
      [280, 850],
      'Temperature that it and its bond to the material stand.',
    ),
    conductivity: plain(
      'Conductivity',
      'factor',
      0.05,
      80,
      [0.8, 7],
      'Of the friction material, W/(m·K); of carbon at 20 °C.',
    ),
    density: plain('Density', 'density', 500, 8000, [1700, 3000], 'Of the friction material.'),
    specificHeat: plain(
      'Specific heat',
      'factor',
      200,
      3000,
      [800, 1300],
      'Of it, J/(kg·K); of carbon at 20 °C.',
    ),
    modulusMPa: plain(
      'Stiffness',
      'factor',
      20,
      20000,
      [300, 1800],
      'In compression, MPa: soft pads make a long pedal.',
    ),
    dust: score('Dust', 'On wheels and bodywork: 1 little to 5 much.'),
    noise: score('Noise', 'Squeal and groan: 1 quiet to 5 loud.'),
    rotorWear: score('Rotor wear', 'How hard it is on the rotor: 1 kind to 5 hard.'),
  })
  .check((ctx) => {
    const { friction, windowLowC, windowHighC, limitC } = ctx.value;
    const fail = (path: (string | number)[], message: string) =>
      ctx.issues.push({ code: 'custom', input: ctx.value, path, message });
    friction.forEach((point, i) => {
      if (i > 0 && point.celsius <= friction[i - 1].celsius) {
        fail(['friction', i, 'celsius'], `must be over the point before it (${friction[i - 1].celsius} °C)`);
      }
    });
    if (windowHighC <= windowLowC)
      fail(['windowHighC'], `must be over the window’s low end (${windowLowC} °C)`);
    if (limitC < windowHighC) fail(['limitC'], `must not be under the window’s high end (${windowHighC} °C)`);
  });

const fluidValues = z
  .strictObject({
    class: z.string().check(z.trim(), z.minLength(1), z.maxLength(30), z.meta({ title: 'Class' })),
    dryC: celsius('Dry boiling point', [205, 330], 'With no water in it.'),
    wetC: celsius('Boils wet at', [140, 205], 'With 3.7 % water by mass (49 CFR 571.116).'),
    silicone: z.boolean().check(z.meta({ title: 'Silicone' })),
    modulusMPa: plain(
      'Stiffness',
      'factor',
      200,
      4000,
      [900, 1800],
      'Bulk modulus at working temperature, MPa.',
    ),
  })
  .check((ctx) => {
    const { dryC, wetC } = ctx.value;
    const fail = (path: string, message: string) =>
      ctx.issues.push({ code: 'custom', input: ctx.value, path: [path], message });
    if (wetC <= 120) fail('wetC', 'must be over 120 °C, which the boiling curve falls towards');
    if (dryC <= wetC) fail('dryC', `must be over the wet point (${wetC} °C)`);
  });

const shared = {
  id: idSchema,
  name: nameSchema,
  note: z.string().check(z.trim(), z.maxLength(300), z.meta({ title: 'Note' })),
  /** 1 cheapest to 5 dearest of its kind */
  price: numberField({
    title: 'Price class',
    quantity: 'count',
    min: 1,
    max: 5,
    integer: true,
    usual: [1, 5],
    step: 1,
    description: '1 cheapest to 5 dearest of its kind.',
  }),
  massKg: numberField({
    title: 'Mass',
    quantity: 'mass',
    min: 0,
    max: 60,
    usual: [0.1, 12],
    step: 0.1,
    description: 'Of one piece.',
  }),
  source: z.string().check(z.trim(), z.minLength(1), z.maxLength(120), z.meta({ title: 'Source' })),
};

/** A part on the shelf, as stored and exported: generic ones of our own, and those a user adds. */
export const partSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rotor'), ...shared, values: rotorSchema }),
  z.strictObject({ kind: z.literal('pad'), ...shared, values: padValues }),
  z.strictObject({
    kind: z.literal('caliper'),
    ...shared,
    values: z.extend(caliperSchema, {
      padAreaCm2: plain('Pad area', 'area', 5, 250, [30, 110], 'Friction area of one of its pads.'),
    }),
  }),
  z.strictObject({
    kind: z.literal('cylinder'),
    ...shared,
    values: z.strictObject({
      boreMm: plain('Bore', 'smallLength', 8, 60, [14, 26], 'Of the master cylinder.'),
      strokeMm: plain('Stroke', 'smallLength', 5, 80, [25, 40], 'Longest movement of its push rod.'),
    }),
  }),
  z.strictObject({ kind: z.literal('fluid'), ...shared, values: fluidValues }),
  z.strictObject({
    kind: z.literal('line'),
    ...shared,
    values: z.strictObject({
      growthMm3BarM: plain('Growth', 'hoseExpansion', 0, 60, [3, 25], 'Volume a metre gains with each bar.'),
    }),
  }),
  z.strictObject({
    kind: z.literal('duct'),
    ...shared,
    values: z.strictObject({
      areaCm2: plain('Area', 'area', 0, 300, [15, 100], 'Open area of the duct to one wheel.'),
      coefficientPercent: plain(
        'Flow',
        'percent',
        5,
        100,
        [35, 65],
        'Share of speed × area that flows through.',
      ),
    }),
  }),
]);
export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

export const PARTS_FORMAT = 'fervent-kettle-parts';
/** Files of older versions are brought up to it. */
export const PARTS_VERSION = 2;
/** A file of parts. */
export const partsFileSchema = z.strictObject({
  format: z.literal(PARTS_FORMAT),
  version: z.literal(PARTS_VERSION),
  parts: z.array(partSchema).check(z.minLength(1), z.maxLength(300)),
});
