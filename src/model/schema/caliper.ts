import * as z from 'zod/mini';
import { numberField } from './field';
import { pistonField } from './pedal';

/** One wheel’s caliper as stored. */
export const caliperSchema = z.strictObject({
  kind: z.enum(['fixed', 'sliding']).check(z.meta({ title: 'Kind' })),
  pistonsMm: z
    .array(pistonField)
    .check(
      z.minLength(1, 'must have at least one piston a side: without one it cannot press'),
      z.maxLength(6, 'must have at most six pistons a side'),
      z.meta({ title: 'Pistons of one side, leading first' }),
    ),
  stiffnessKnMm: numberField({
    title: 'Stiffness',
    quantity: 'stiffness',
    min: 10,
    max: 1000,
    usual: [60, 250],
    step: 5,
    description: 'Clamping force over how far the caliper opens under it. A soft one makes a long pedal.',
  }),
  clearanceMm: numberField({
    title: 'Pad running clearance',
    quantity: 'smallLength',
    min: 0,
    max: 2,
    usual: [0.1, 0.3],
    step: 0.05,
    description:
      'From pad to rotor. It must be closed before there is pressure: knocked-back pads make it large.',
  }),
  knockBackMm: numberField({
    title: 'Knock-back in corners',
    quantity: 'smallLength',
    min: 0,
    max: 2,
    usual: [0, 0.15],
    step: 0.01,
    description:
      'What a corner at 1 g adds to the pad running clearance: worn bearings and soft hubs push the pads back. The first push after it is longer.',
  }),
  bridgeMm: numberField({
    title: 'Height over the rotor',
    quantity: 'smallLength',
    min: 2,
    max: 80,
    usual: [14, 30],
    step: 1,
    description: 'How far the body stands over the rotor’s edge.',
  }),
  outerBodyMm: numberField({
    title: 'Body outside the pads',
    quantity: 'smallLength',
    min: 2,
    max: 100,
    usual: [12, 45],
    step: 1,
    description:
      'From the outer backing plate’s back with pistons drawn back to the caliper’s outermost point.',
  }),
  openingMm: numberField({
    title: 'Room for rotor and pads',
    quantity: 'smallLength',
    min: 15,
    max: 140,
    usual: [45, 85],
    step: 1,
    description: 'Between the backing plates’ seats with all pistons drawn back.',
  }),
  body: z.enum(['aluminium', 'iron']).check(z.meta({ title: 'Body' })),
  pistons: z.enum(['aluminium', 'steel', 'stainless', 'titanium-capped']).check(z.meta({ title: 'Pistons' })),
  pistonWallMm: numberField({
    title: 'Piston wall',
    quantity: 'smallLength',
    min: 1,
    max: 20,
    usual: [2, 6],
    step: 0.5,
    description: 'Wall of the cup that stands on the pad: with the material the way of heat into the fluid.',
  }),
  massKg: numberField({
    title: 'Caliper mass',
    quantity: 'mass',
    min: 0.5,
    max: 12,
    usual: [2.5, 5],
    step: 0.1,
    description: 'Body with pistons and bridge. A heavy one warms up later and cools later.',
  }),
  wettedAreaCm2: numberField({
    title: 'Surface in the air',
    quantity: 'area',
    min: 100,
    max: 4000,
    usual: [800, 1500],
    step: 10,
    description: 'Area that gives heat to passing air.',
  }),
  fluidKg: numberField({
    title: 'Fluid in the bores',
    quantity: 'mass',
    min: 0.005,
    max: 0.3,
    usual: [0.03, 0.06],
    step: 0.005,
    description: 'Mass of fluid behind the pistons. Little fluid warms quickly.',
  }),
  sealLimitC: numberField({
    title: 'Seal rating',
    quantity: 'temperature',
    min: 80,
    max: 350,
    usual: [150, 230],
    step: 5,
    description: 'What the piston seals are rated for. Take it from the maker’s data.',
  }),
});
