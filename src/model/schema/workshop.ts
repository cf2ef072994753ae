import * as z from 'zod/mini';
import { numberField } from './field';

/** Threaded joints whose torque only the maker knows; each of one axle, both sides alike. */
export const TORQUE_JOINTS = [
  'caliper bolts',
  'caliper bracket',
  'guide pins',
  'hose union',
  'bleed screws',
  'wheel fastenings',
] as const;
export type TorqueJoint = (typeof TORQUE_JOINTS)[number];
export type TorqueKey = `${'front' | 'rear'} ${TorqueJoint}`;
export const TORQUE_KEYS = (['front', 'rear'] as const).flatMap((axle) =>
  TORQUE_JOINTS.map((joint): TorqueKey => `${axle} ${joint}`),
);

const day = z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' }));

/** A maker's figure, and who read it where. */
export const torqueSchema = z.strictObject({
  torqueNm: numberField({
    title: 'Maker’s torque',
    quantity: 'torque',
    min: 0.5,
    max: 900,
    usual: [8, 180],
    step: 1,
    description: 'From the workshop manual of this car or the maker of this part; nothing is put in for it.',
  }),
  /** Who read it there, and on which day */
  by: z.string().check(z.trim(), z.minLength(1), z.maxLength(60), z.meta({ title: 'Confirmed by' })),
  date: day,
});

const thickness = (title: string, usual: readonly [number, number], description: string) =>
  z.nullable(
    numberField({
      title,
      quantity: 'smallLength',
      min: 0.5,
      max: 60,
      usual,
      step: 0.5,
      description,
    }),
  );

const lineLength = (side: string) =>
  numberField({
    title: `${side} line`,
    quantity: 'smallLength',
    min: 50,
    max: 12000,
    usual: [600, 4500],
    step: 50,
    description: 'Hard line from the master cylinder, or the control unit, to the hose of this wheel.',
  });

export const BLEED_SCREWS = ['one', 'inner and outer'] as const;
export const PARKING_BRAKES = ['none', 'shoes', 'caliper', 'electric'] as const;

/** What the workshop must know of one axle. */
const axleWorkshopSchema = z.strictObject({
  rotorMinimumMm: thickness(
    'Rotor minimum thickness',
    [8, 34],
    'Cast into the rotor’s edge or bell, or in the maker’s data. For a drum read its greatest diameter instead.',
  ),
  padMinimumMm: thickness(
    'Pad minimum thickness',
    [2, 5],
    'Friction material that must be left by the maker’s data; for the track keep more.',
  ),
  leftLineMm: lineLength('Left'),
  rightLineMm: lineLength('Right'),
  screws: z.enum(BLEED_SCREWS).check(z.meta({ title: 'Bleed screws' })),
  padsFromTop: z.boolean().check(z.meta({ title: 'Pads come out with the caliper in place' })),
  padSensor: z.boolean().check(z.meta({ title: 'Wear sensor in a pad' })),
  setScrews: z.boolean().check(z.meta({ title: 'Set screws hold the rotor on the hub' })),
  lineBracket: z.boolean().check(z.meta({ title: 'Bracket holds hose or line at the upright' })),
  aluminiumUpright: z.boolean().check(z.meta({ title: 'Caliper bolts go into aluminium' })),
  parkingBrake: z.enum(PARKING_BRAKES).check(z.meta({ title: 'Parking brake' })),
});
export type AxleWorkshop = z.infer<typeof axleWorkshopSchema>;

const WHEEL_IDS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;

/** What handwork on a car must know and no lap does: lines, reservoir, screws, the maker's figures. */
export const workshopSchema = z
  .strictObject({
    reservoirCm3: numberField({
      title: 'Reservoir to the brim',
      quantity: 'volume',
      min: 10,
      max: 3000,
      usual: [150, 500],
      step: 10,
      description: 'All that goes in, both chambers together.',
    }),
    filledPercent: numberField({
      title: 'Reservoir filled now',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [50, 80],
      step: 5,
      description: 'Share of it, before anything is pushed back. The maximum mark is often near 75.',
    }),
    lineBoreMm: numberField({
      title: 'Bore of the lines',
      quantity: 'smallLength',
      min: 1,
      max: 8,
      usual: [2.5, 3.5],
      step: 0.1,
      description: 'Inside. A line of 4.75 mm (3/16 in) outside has about 3 mm or 0.12 in (common practice).',
    }),
    hoseBoreMm: numberField({
      title: 'Bore of the hoses',
      quantity: 'smallLength',
      min: 1,
      max: 10,
      usual: [2.8, 3.5],
      step: 0.1,
      description: 'Inside.',
    }),
    unitCm3: numberField({
      title: 'Control unit',
      quantity: 'volume',
      min: 0,
      max: 300,
      usual: [0, 60],
      step: 5,
      description: 'Fluid in the block of anti-lock or stability control, both circuits; 0 without one.',
    }),
    unitNeedsTool: z.boolean().check(z.meta({ title: 'Control unit is bled with a diagnostic tool' })),
    clutchOnReservoir: z.boolean().check(z.meta({ title: 'Clutch is fed by the same reservoir' })),
    oldCylinder: z.boolean().check(z.meta({ title: 'Master cylinder is old' })),
    makerPressureBar: z.nullable(
      numberField({
        title: 'Most bleeding pressure by the maker',
        quantity: 'pressure',
        min: 0.1,
        max: 5,
        usual: [0.8, 2],
        step: 0.1,
        description: 'Never bleed with more. Left empty, about 1 bar (15 psi) is common practice.',
      }),
    ),
    /** The maker's order of wheels; null the farthest first */
    bleedOrder: z
      .nullable(z.array(z.enum(WHEEL_IDS)).check(z.length(4)))
      .check(z.meta({ title: 'Maker’s order of bleeding' })),
    firstScrew: z.enum(['outer', 'inner']).check(z.meta({ title: 'First of two screws' })),
    front: axleWorkshopSchema,
    rear: axleWorkshopSchema,
    torques: z.partialRecord(z.enum(TORQUE_KEYS), torqueSchema).check(z.meta({ title: 'Torques' })),
  })
  .check((ctx) => {
    const { bleedOrder } = ctx.value;
    if (!bleedOrder || new Set(bleedOrder).size === 4) return;
    ctx.issues.push({
      code: 'custom',
      input: bleedOrder,
      path: ['bleedOrder'],
      message: 'must name each of the four wheels once',
    });
  });
export type Workshop = z.infer<typeof workshopSchema>;

/** Things of a car that are exchanged, of which the day is kept. */
export const FITTED_KEYS = [
  'front pads',
  'front rotors',
  'front calipers',
  'front ducts',
  'front shields',
  'rear pads',
  'rear rotors',
  'rear calipers',
  'rear ducts',
  'rear shields',
  'fluid',
  'hoses',
  'cylinder',
  'tyres',
] as const;
export type FittedKey = (typeof FITTED_KEYS)[number];
/** Since when each is on the car; what is not listed is not known. */
export const fittedSchema = z.partialRecord(z.enum(FITTED_KEYS), day).check(z.meta({ title: 'Fitted on' }));

const usualAxle = (leftLineMm: number, rightLineMm: number): AxleWorkshop => ({
  rotorMinimumMm: null,
  padMinimumMm: null,
  leftLineMm,
  rightLineMm,
  screws: 'one',
  padsFromTop: false,
  padSensor: false,
  setScrews: false,
  lineBracket: false,
  aluminiumUpright: false,
  parkingBrake: 'none',
});

/** What is usual of a car of which nobody has looked (from memory). */
export const USUAL_WORKSHOP: Workshop = {
  reservoirCm3: 300,
  filledPercent: 70,
  lineBoreMm: 3,
  hoseBoreMm: 3.2,
  unitCm3: 0,
  unitNeedsTool: false,
  clutchOnReservoir: false,
  oldCylinder: false,
  makerPressureBar: null,
  bleedOrder: null,
  firstScrew: 'outer',
  front: usualAxle(900, 1900),
  rear: usualAxle(3200, 3900),
  torques: {},
};
