import * as z from 'zod/mini';
import { groupOfNode, RADIAL_CELLS } from '../../core';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';

/** Every node that a network can have, a disc's or a drum's; which of them a brake has is the core's to say. */
const nodeName = z
  .string()
  .check(
    z.refine(
      (name) => groupOfNode(name) !== null,
      'is no node of a brake: expected such as “cheek 0”, “hat” or “fluid”',
    ),
  );

const temperature = numberField({
  title: 'Temperature',
  quantity: 'temperature',
  min: -100,
  max: 3000,
  usual: [0, 700],
  description: 'Of one node of the heat network.',
});
const thickness = (title: string) =>
  numberField({
    title,
    quantity: 'smallLength',
    min: 0.01,
    max: 100,
    usual: [2, 36],
    description: 'As it was when the state was kept.',
  });

/** One wheel's brake as something before left it; as stored. */
const wheelStateSchema = z.strictObject({
  temperaturesC: z.record(nodeName, temperature),
  radialK: z
    .array(
      numberField({
        title: 'Over the ring’s mean',
        quantity: 'difference',
        min: -2000,
        max: 2000,
        usual: [-100, 150],
        description: 'Of one cell over the disc’s radius, from the inside outwards.',
      }),
    )
    .check(z.length(RADIAL_CELLS), z.meta({ title: 'Unevenness over the radius' })),
  glazedPercent: numberField({
    title: 'Glazed',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [0, 20],
    description: 'Share of the pads’ surfaces.',
  }),
  beddedPercent: numberField({
    title: 'Bedded',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [90, 100],
    description: 'Share of pads and faces that carries the film a bedded pad leaves on its rotor.',
  }),
  innerPadMm: thickness('Inner pad'),
  outerPadMm: thickness('Outer pad'),
  rotorMm: thickness('Rotor or rim thickness'),
  waterPercent: numberField({
    title: 'Water in the fluid',
    quantity: 'percent',
    min: 0,
    max: 20,
    usual: [0, 4],
    description: 'By mass.',
  }),
  fatigue: numberField({
    title: 'Fatigue damage index',
    quantity: 'count',
    min: 0,
    max: 1e6,
    usual: [0, 1],
    description: 'Fatigue damage index that is used up.',
  }),
});
export type WheelState = z.infer<typeof wheelStateSchema>;

/** All four brakes of a car as they were once. */
export const stateSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  carId: idSchema,
  /** When it was kept, UTC */
  keptAt: z.iso.datetime().check(z.meta({ title: 'Kept at' })),
  brakes: z.strictObject({
    frontLeft: wheelStateSchema,
    frontRight: wheelStateSchema,
    rearLeft: wheelStateSchema,
    rearRight: wheelStateSchema,
  }),
});
export type KeptState = z.infer<typeof stateSchema>;

/** How the brakes begin a plan: as cold as the air, all parts as warm as typed, or as a kept state. */
export const startSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cold') }),
  z.strictObject({
    kind: z.literal('warm'),
    temperatureC: numberField({
      title: 'Still warm',
      quantity: 'temperature',
      min: -30,
      max: 600,
      usual: [20, 150],
      step: 5,
      description: 'Every part of every brake, as a reading before the first lap gives it.',
    }),
  }),
  z.strictObject({ kind: z.literal('state'), stateId: idSchema }),
]);
export type PlanStart = z.infer<typeof startSchema>;
