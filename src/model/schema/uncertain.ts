import { z } from 'zod';
import { ADDED, UNCERTAIN_INPUTS, type UncertainInput, type UncertainRange } from '../../core';
import type { Quantity } from '../quantity/units';
import { numberField } from './field';

interface Described {
  readonly title: string;
  readonly quantity: Extract<Quantity, 'percent' | 'mass' | 'difference'>;
  readonly min: number;
  readonly max: number;
  readonly usual: readonly [number, number];
  readonly description: string;
}
const DESCRIBED: Readonly<Record<UncertainInput, Described>> = {
  frontCooling: {
    title: 'Front cooling',
    quantity: 'percent',
    min: 10,
    max: 400,
    usual: [70, 130],
    description: 'Of what is computed. ±30 % as long as this car has not been measured.',
  },
  rearCooling: {
    title: 'Rear cooling',
    quantity: 'percent',
    min: 10,
    max: 400,
    usual: [70, 130],
    description: 'Of what is computed.',
  },
  frontFriction: {
    title: 'Front µ',
    quantity: 'percent',
    min: 20,
    max: 200,
    usual: [90, 110],
    description: 'Of the pad’s table: batches and bedding differ.',
  },
  rearFriction: {
    title: 'Rear µ',
    quantity: 'percent',
    min: 20,
    max: 200,
    usual: [90, 110],
    description: 'Of the pad’s table.',
  },
  mass: {
    title: 'Mass',
    quantity: 'mass',
    min: -500,
    max: 500,
    usual: [-20, 40],
    description: 'More or less than planned: fuel, passenger, gear.',
  },
  padHeat: {
    title: 'Heat share of the pads',
    quantity: 'percent',
    min: 20,
    max: 400,
    usual: [70, 140],
    description: 'Of the share that effusivity gives them.',
  },
  ambient: {
    title: 'Air temperature',
    quantity: 'difference',
    min: -30,
    max: 30,
    usual: [-4, 6],
    description: 'Warmer or colder than planned.',
  },
  fluidState: {
    title: 'Boiling point of the fluid',
    quantity: 'difference',
    min: -120,
    max: 60,
    usual: [-20, 5],
    description: 'Over or under what age and class give.',
  },
  driver: {
    title: 'Driver',
    quantity: 'percent',
    min: 50,
    max: 130,
    usual: [95, 104],
    description: 'Of the planned share of grip used in braking and corners.',
  },
};

const rangeSchema = ({ title, ...field }: Described) =>
  z
    .strictObject({
      use: z.boolean().meta({ title: `${title} is uncertain` }),
      low: numberField({ ...field, title: `${title} from` }),
      high: numberField({ ...field, title: `${title} to` }),
      shape: z.enum(['even', 'bell']).meta({ title: 'How likely within' }),
    })
    .check((ctx) => {
      const { low, high } = ctx.value;
      if (low <= high) return;
      ctx.issues.push({
        code: 'custom',
        input: low,
        path: ['low'],
        message: `must not be over the upper end (${high}): the range is upside down`,
      });
    });

/** What is uncertain about a plan, and how it is tried out; as stored. */
export const uncertainSchema = z.strictObject({
  ranges: z.strictObject(
    Object.fromEntries(UNCERTAIN_INPUTS.map((key) => [key, rangeSchema(DESCRIBED[key])])) as Record<
      UncertainInput,
      ReturnType<typeof rangeSchema>
    >,
  ),
  runs: numberField({
    title: 'Runs',
    quantity: 'count',
    min: 20,
    max: 5000,
    integer: true,
    usual: [100, 1000],
    step: 50,
    description: 'Days computed, each with its own draw of every uncertain input.',
  }),
  seed: numberField({
    title: 'Seed',
    quantity: 'count',
    min: 0,
    max: 4294967295,
    integer: true,
    usual: [0, 9999],
    step: 1,
    description: 'The same seed draws the same runs and gives the same answer.',
  }),
});
export type Uncertain = z.infer<typeof uncertainSchema>;

const plain = (low: number, high: number) => ({ use: true, low, high, shape: 'bell' as const });
/** What is uncertain about a car that has not been measured (from memory). */
export const DEFAULT_UNCERTAIN: Uncertain = {
  ranges: {
    frontCooling: plain(70, 130),
    rearCooling: plain(70, 130),
    frontFriction: plain(90, 110),
    rearFriction: plain(90, 110),
    mass: plain(-15, 25),
    padHeat: plain(70, 140),
    ambient: plain(-3, 5),
    fluidState: plain(-15, 5),
    driver: plain(96, 103),
  },
  runs: 300,
  seed: 1,
};

/** Title, quantity and meaning of an uncertain input. */
export const uncertainInfo = (input: UncertainInput): Described => DESCRIBED[input];

/** The ranges of a plan that are used, in SI: factors, K or kg. */
export function uncertainRanges({ ranges }: Uncertain): UncertainRange[] {
  return UNCERTAIN_INPUTS.filter((input) => ranges[input].use).map((input) => {
    const { low, high, shape } = ranges[input];
    const parts = ADDED.includes(input) ? 1 : 100;
    return { input, low: low / parts, high: high / parts, shape };
  });
}
