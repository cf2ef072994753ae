import * as z from 'zod/mini';
import { numberField } from './field';
import { count, rate, seconds, speed } from './testFields';

export const TEST_KINDS = ['repeated', 'endurance', 'cold-hot', 'rules'] as const;
export type TestKind = (typeof TEST_KINDS)[number];
export const TEST_BRAKING = ['hold', 'hardest'] as const;

/** What is to be driven. */
export const testDesignSchema = z
  .strictObject({
    kind: z.enum(TEST_KINDS).check(z.meta({ title: 'Kind of test' })),
    fromKmh: speed('Braked from', 'Held until the mark; results are put right to it.'),
    toKmh: speed('Braked to', '0 for a stop to rest.', 0),
    stops: count('Stops', 1, 300, [3, 60], 'In a row; of an endurance run the most that are counted.'),
    spacingS: seconds(
      'From stop to stop',
      3600,
      [10, 90],
      'From the start of one to the start of the next. 0 goes back to speed at once.',
    ),
    braking: z.enum(TEST_BRAKING).check(z.meta({ title: 'How hard' })),
    holdMs2: rate('Deceleration held', 'What the driver keeps to in each stop.'),
    cornerKmh: speed('Speed in the corner', 'Of the round that is driven again and again.'),
    cornerS: seconds('Time in the corner', 120, [2, 20], '0 leaves the corner out.'),
    targetMin: z.nullable(
      numberField({
        title: 'Target time',
        quantity: 'minutes',
        min: 0.5,
        max: 600,
        usual: [5, 30],
        step: 1,
        description: 'How long it has to last; what is driven beyond is not asked.',
      }),
    ),
    startC: z.nullable(
      numberField({
        title: 'Brakes at the start',
        quantity: 'temperature',
        min: -40,
        max: 600,
        usual: [20, 100],
        step: 5,
        description:
          'Left empty, as cold as the air. Common practice is 60 °C (140 °F), the rules want under 100 °C (212 °F).',
      }),
    ),
    heatSnubs: count('Heating snubs', 1, 60, [10, 20], 'Between the cold and the hot stops.'),
    heatFromKmh: speed('Snubs from', 'Speed that each begins at.'),
    heatToKmh: speed('Snubs to', 'Speed that each ends at.', 0),
    heatMs2: rate('Snub deceleration', 'Held in each snub.'),
    heatCycleS: seconds(
      'From snub to snub',
      600,
      [30, 60],
      'From the start of one to the start of the next.',
    ),
  })
  .check((ctx) => {
    const { fromKmh, toKmh, heatFromKmh, heatToKmh, kind, cornerKmh, cornerS } = ctx.value;
    const under = (key: string, low: number, high: number, what: string) => {
      if (low < high) return;
      ctx.issues.push({
        code: 'custom',
        input: low,
        path: [key],
        message: `must be under ${what} (${high} km/h)`,
      });
    };
    under('toKmh', toKmh, fromKmh, 'the speed braked from');
    under('heatToKmh', heatToKmh, heatFromKmh, 'the speed the snubs begin at');
    if (kind === 'endurance' && cornerS > 0) {
      under('cornerKmh', cornerKmh, fromKmh + 1e-9, 'or the same as the speed braked from');
    }
  });
export type TestDesign = z.infer<typeof testDesignSchema>;
