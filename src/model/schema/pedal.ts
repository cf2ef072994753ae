import * as z from 'zod/mini';
import { numberField } from './field';

const bore = (title: string) =>
  numberField({
    title,
    quantity: 'smallLength',
    min: 8,
    max: 60,
    usual: [14, 26],
    step: 0.1,
    description: 'Bore of the master cylinder. A smaller one gives more pressure and more travel.',
  });
const strokeField = numberField({
  title: 'Cylinder stroke',
  quantity: 'smallLength',
  min: 5,
  max: 80,
  usual: [25, 40],
  step: 1,
  description: 'Longest movement of the push rod; all chambers of one bore together.',
});
const kneeField = numberField({
  title: 'Valve knee',
  quantity: 'pressure',
  min: 0,
  max: 200,
  usual: [15, 50],
  step: 1,
  description: 'Rear line pressure from which the valve holds back; at the standing car’s load.',
});
const slopeField = numberField({
  title: 'Valve slope',
  quantity: 'percent',
  min: 0,
  max: 100,
  usual: [25, 50],
  step: 5,
  description: 'Rear rise over front rise beyond the knee.',
});

const boosterSchema = z.strictObject({
  gain: numberField({
    title: 'Booster gain',
    quantity: 'factor',
    min: 1,
    max: 15,
    usual: [3, 8],
    step: 0.1,
    description: 'Force out over force in, up to the knee. 1 would be none.',
  }),
  kneeN: numberField({
    title: 'Booster runs out at',
    quantity: 'force',
    min: 50,
    max: 5000,
    usual: [800, 1800],
    step: 50,
    description: 'Force into the booster (pedal × ratio) from which it has no more to give.',
  }),
});

const oneBoreSchema = z.strictObject({
  kind: z.enum(['single', 'tandem']).check(z.meta({ title: 'Cylinder' })),
  boreMm: bore('Cylinder bore'),
  strokeMm: strokeField,
  split: z.enum(['front-rear', 'diagonal']).check(z.meta({ title: 'Circuits' })),
});
const twoBoresSchema = z.strictObject({
  kind: z.literal('pair'),
  frontBoreMm: bore('Front bore'),
  rearBoreMm: bore('Rear bore'),
  strokeMm: strokeField,
  frontPushPercent: numberField({
    title: 'Balance bar',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [40, 60],
    step: 0.5,
    description: 'Share of the pedal’s push that goes to the front cylinder.',
  }),
  clickPercent: numberField({
    title: 'Balance change per click',
    quantity: 'percent',
    min: 0,
    max: 5,
    usual: [0.2, 1],
    step: 0.1,
    description: 'Of the driver’s control on the balance bar; 0 without a control.',
  }),
});

const fixedValveSchema = z.strictObject({
  kind: z.literal('fixed'),
  kneeBar: kneeField,
  slopePercent: slopeField,
});
const loadValveSchema = z.strictObject({
  kind: z.literal('load'),
  kneeBar: kneeField,
  slopePercent: slopeField,
  barPerKn: numberField({
    title: 'Knee by load',
    quantity: 'factor',
    min: 0,
    max: 60,
    usual: [4, 15],
    step: 0.5,
    description: 'Bar that the knee gains for each kilonewton on the rear axle, and loses with each less.',
  }),
  missedKn: numberField({
    title: 'Load it does not see',
    quantity: 'factor',
    min: 0,
    max: 10,
    usual: [0, 1],
    step: 0.1,
    description:
      'Kilonewtons that a taller or stiffer spring hides from the valve: it takes the tail for empty and holds the rear back.',
  }),
});

/** From the foot to the lines. */
export const pedalSchema = z.strictObject({
  ratio: numberField({
    title: 'Pedal ratio',
    quantity: 'factor',
    min: 1,
    max: 10,
    usual: [3, 6.2],
    step: 0.1,
    description: 'Travel of the foot over travel of the push rod.',
  }),
  efficiencyPercent: numberField({
    title: 'Pedal efficiency',
    quantity: 'percent',
    min: 50,
    max: 100,
    usual: [85, 98],
    step: 1,
    description: 'Share of the force that friction and return springs leave.',
  }),
  booster: z.nullable(boosterSchema),
  cylinders: z.discriminatedUnion('kind', [oneBoreSchema, twoBoresSchema]),
  valve: z.nullable(z.discriminatedUnion('kind', [fixedValveSchema, loadValveSchema])),
  hoseLengthMm: numberField({
    title: 'Hose at each wheel',
    quantity: 'smallLength',
    min: 0,
    max: 3000,
    usual: [250, 600],
    step: 10,
    description: 'Length of flexible hose to one wheel.',
  }),
  hoseExpansionMm3BarM: numberField({
    title: 'Hose expansion',
    quantity: 'hoseExpansion',
    min: 0,
    max: 60,
    usual: [3, 25],
    step: 0.5,
    description: 'Volume a metre of hose gains with each bar: rubber 10 to 25, braided 3 to 6 (from memory).',
  }),
  limitN: numberField({
    title: 'Driver’s limit',
    quantity: 'force',
    min: 50,
    max: 3000,
    usual: [400, 1200],
    step: 10,
    description:
      'Most the driver presses braking zone after braking zone. 500 N (112 lbf) is the usual design limit; racers press more.',
  }),
  travelMm: numberField({
    title: 'Pedal travel to the floor',
    quantity: 'smallLength',
    min: 20,
    max: 250,
    usual: [90, 150],
    step: 5,
    description: 'At the foot, from rest.',
  }),
  freeTravelMm: numberField({
    title: 'Free travel',
    quantity: 'smallLength',
    min: 0,
    max: 60,
    usual: [3, 15],
    step: 1,
    description: 'At the foot, before any fluid moves.',
  }),
});
export type Pedal = z.infer<typeof pedalSchema>;

export const pistonField = numberField({
  title: 'Piston',
  quantity: 'smallLength',
  min: 8,
  max: 90,
  usual: [26, 60],
  step: 0.5,
  description: 'Diameter of one piston of one side, in the order in which the rotor passes them.',
});

export const loadSchema = z.strictObject({
  name: z.string().check(z.trim(), z.minLength(1), z.maxLength(60), z.meta({ title: 'What' })),
  massKg: numberField({
    title: 'Mass',
    quantity: 'mass',
    min: 0,
    max: 1500,
    usual: [5, 150],
    step: 1,
    description: 'Added to the car’s own mass.',
  }),
  fromFrontMm: numberField({
    title: 'Behind the front axle',
    quantity: 'smallLength',
    min: -1500,
    max: 6000,
    usual: [0, 2800],
    step: 10,
    description: 'Negative before the front axle.',
  }),
  heightMm: numberField({
    title: 'Height',
    quantity: 'smallLength',
    min: 0,
    max: 2500,
    usual: [200, 900],
    step: 10,
    description: 'Above the road.',
  }),
});

/** Room of the wheel round its brake. */
export const wheelSchema = z.strictObject({
  barrelMm: numberField({
    title: 'Inside of the barrel',
    quantity: 'smallLength',
    min: 180,
    max: 560,
    usual: [340, 440],
    step: 1,
    description: 'Inside diameter of the wheel where the caliper turns past; measure it.',
  }),
  spokesMm: numberField({
    title: 'Back of the spokes',
    quantity: 'smallLength',
    min: -60,
    max: 150,
    usual: [0, 50],
    step: 1,
    description: 'From the wheel’s mounting face outwards to the back of its spokes at the caliper’s height.',
  }),
  spacerMm: numberField({
    title: 'Spacer',
    quantity: 'smallLength',
    min: 0,
    max: 60,
    usual: [0, 20],
    step: 1,
    description:
      'Between hub and wheel. It needs longer studs and loads the bearing: the maker’s and the event’s rules decide.',
  }),
});
