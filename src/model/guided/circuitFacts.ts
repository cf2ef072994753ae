import * as z from 'zod/mini';
import { say } from '../../text/en/say/model';
import { fromSi } from '../quantity/units';
import { numberField } from '../schema/field';
import { nameSchema } from '../schema/naming';

export const CHARACTER_IDS = ['hard-stop', 'twisty', 'long-straight'] as const;

/** Fastest mean of a lap that is believed, km/h. */
const FASTEST_MEAN = 290;
/** Slowest, km/h. */
const SLOWEST_MEAN = 30;
/** Least length of a lap for each corner of it, m. */
const LEAST_PER_CORNER = 45;

/** What is known of a circuit before anybody has driven there. */
export const circuitFactsSchema = z
  .strictObject({
    name: nameSchema,
    lengthM: numberField({
      title: 'Length of a lap',
      quantity: 'distance',
      min: 300,
      max: 30_000,
      usual: [1500, 6000],
      step: 50,
      description: 'From the organiser’s page or the programme.',
    }),
    lapTimeS: numberField({
      title: 'Lap time',
      quantity: 'seconds',
      min: 15,
      max: 1800,
      usual: [60, 180],
      step: 1,
      description: 'Of a car like this one, driven hard. The corners are made as tight as that takes.',
    }),
    corners: numberField({
      title: 'Corners',
      quantity: 'count',
      min: 2,
      max: 60,
      integer: true,
      usual: [8, 20],
      step: 1,
      description: 'As the map of the circuit numbers them.',
    }),
    longestStraightM: numberField({
      title: 'Longest straight',
      quantity: 'distance',
      min: 30,
      max: 5000,
      usual: [300, 1200],
      step: 10,
      description: 'From the end of one corner to the next.',
    }),
    character: z.enum(CHARACTER_IDS).check(z.meta({ title: 'Character' })),
  })
  .check((ctx) => {
    const { lengthM, lapTimeS, corners, longestStraightM } = ctx.value;
    const no = (field: string, message: string) =>
      ctx.issues.push({ code: 'custom', input: ctx.value, path: [field], message });
    const mean = fromSi(lengthM / lapTimeS, 'speed');
    if (mean > FASTEST_MEAN || mean < SLOWEST_MEAN)
      no('lapTimeS', say.meanSpeedOdd(mean.toFixed(0), SLOWEST_MEAN, FASTEST_MEAN));
    if (lengthM < LEAST_PER_CORNER * corners)
      no('corners', say.cornersTooClose((lengthM / corners).toFixed(0), LEAST_PER_CORNER));
    if (longestStraightM > 0.6 * lengthM)
      no('longestStraightM', say.straightTooLong((0.6 * lengthM).toFixed(0)));
    else if (longestStraightM * corners < 0.55 * lengthM)
      no('longestStraightM', say.straightTooShort(corners, (1.8 * longestStraightM * corners).toFixed(0)));
  });
export type CircuitFacts = z.infer<typeof circuitFactsSchema>;
