import * as z from 'zod/mini';
import { axleSchema } from './axle';
import { carFluidSchema } from './carFluid';
import { exposedSchema } from './exposed';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { originsSchema } from './origin';
import { loadSchema, pedalSchema } from './pedal';
import { recoverySchema } from './recovery';
import { fittedSchema, workshopSchema } from './workshop';

const tyresSchema = z.strictObject({
  lateralGrip: numberField({
    title: 'Grip in corners',
    quantity: 'factor',
    min: 0.2,
    max: 3,
    usual: [0.9, 1.7],
    step: 0.05,
    description: 'Friction of the tyres sideways at the car’s own weight, before downforce.',
  }),
  longitudinalGrip: numberField({
    title: 'Grip in braking',
    quantity: 'factor',
    min: 0.2,
    max: 3,
    usual: [0.9, 1.8],
    step: 0.05,
    description: 'Friction of the tyres along the road at the car’s own weight, before downforce.',
  }),
  loadSensitivityPercent: numberField({
    title: 'Tyre load sensitivity',
    quantity: 'percent',
    min: 0,
    max: 30,
    usual: [5, 15],
    step: 1,
    description: 'Share of friction lost when the load doubles.',
  }),
  slipSharePercent: numberField({
    title: 'Braking lost in slip',
    quantity: 'percent',
    min: 0,
    max: 10,
    usual: [2, 8],
    step: 0.5,
    description: 'Share of the braking work that heats the tyres instead of the brakes.',
  }),
  rollingRadiusMm: numberField({
    title: 'Rolling radius',
    quantity: 'smallLength',
    min: 150,
    max: 500,
    usual: [280, 350],
    step: 1,
    description: 'Of the loaded wheel. It sets how fast the rotor turns and pumps.',
  }),
});

/** Shares of a car's figure over its speed: none where it is the same at any. */
const overSpeed = (share: string, description: string) =>
  z
    .array(
      z.strictObject({
        speedKmh: numberField({
          title: 'Speed',
          quantity: 'speed',
          min: 0,
          max: 450,
          usual: [0, 300],
          step: 10,
          description: 'Road speed.',
        }),
        sharePercent: numberField({
          title: share,
          quantity: 'percent',
          min: 0,
          max: 200,
          usual: [20, 100],
          step: 5,
          description,
        }),
      }),
    )
    .check(z.maxLength(20), (ctx) => {
      ctx.value.forEach((point, i) => {
        const before = ctx.value[i - 1];
        if (!before || point.speedKmh > before.speedKmh) return;
        ctx.issues.push({
          code: 'custom',
          input: point.speedKmh,
          path: [i, 'speedKmh'],
          message: `must be over the speed of the point before it (${before.speedKmh} km/h)`,
        });
      });
    });

/** A car with its brakes, as stored. Units are in the names; areas and ducts are for one wheel. */
export const carSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  massKg: numberField({
    title: 'Mass',
    quantity: 'mass',
    min: 100,
    max: 6000,
    usual: [700, 2100],
    step: 5,
    description:
      'On the scales with the driver; fuel, gear and kit too, as far as they are not listed under Added loads. Every braking zone’s energy grows with it.',
  }),
  rotatingInertia: numberField({
    title: 'Rotational mass factor',
    quantity: 'factor',
    min: 1,
    max: 1.3,
    usual: [1.03, 1.08],
    step: 0.01,
    description: 'Factor on the mass for wheels and driveline that must be slowed as well.',
  }),
  powerKw: numberField({
    title: 'Power at the wheels',
    quantity: 'power',
    min: 5,
    max: 1500,
    usual: [80, 450],
    step: 5,
    description: 'In air of sea level. Sets the speeds reached before each braking zone.',
  }),
  powerCurve: overSpeed('Share of the power', 'Of the power at the wheels, at this speed.'),
  intake: z.enum(['natural', 'supercharged', 'electric']).check(z.meta({ title: 'Engine' })),
  drivenSharePercent: numberField({
    title: 'Load on driven wheels',
    quantity: 'percent',
    min: 20,
    max: 100,
    usual: [50, 100],
    step: 5,
    description: 'Share of the weight on driven wheels while accelerating; 100 for all-wheel drive.',
  }),
  dragAreaM2: numberField({
    title: 'CdA',
    quantity: 'bigArea',
    min: 0,
    max: 5,
    usual: [0.5, 1.3],
    step: 0.02,
    description: 'Drag coefficient × frontal area. Drag brakes the car too, for nothing.',
  }),
  downforceAreaM2: numberField({
    title: 'ClA',
    quantity: 'bigArea',
    min: -1,
    max: 8,
    usual: [0, 4],
    step: 0.05,
    description: 'Downforce coefficient × area. It lets tyres brake harder at speed.',
  }),
  rollingResistancePercent: numberField({
    title: 'Rolling resistance',
    quantity: 'percent',
    min: 0,
    max: 5,
    usual: [1, 2],
    step: 0.1,
    description: 'Share of the weight.',
  }),
  engineBrakingN: numberField({
    title: 'Engine braking',
    quantity: 'force',
    min: 0,
    max: 5000,
    usual: [0, 800],
    step: 50,
    description: 'Retarding force at the wheels with the throttle closed; taken off the brakes’ work.',
  }),
  engineBrakingCurve: overSpeed('Share of it', 'Of the engine braking, at this speed.'),
  frontSharePercent: z.nullable(
    numberField({
      title: 'Brake balance (% front), if measured',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [55, 75],
      step: 0.5,
      description:
        'Share of the braking force made at the front wheels with warm pads. Left empty, it follows from cylinders, pistons, radii and friction.',
    }),
  ),
  wheelbaseMm: numberField({
    title: 'Wheelbase',
    quantity: 'smallLength',
    min: 1200,
    max: 5000,
    usual: [2300, 2900],
    step: 10,
    description: 'Between the axles. A short, tall car shifts more load forward in braking.',
  }),
  frontWeightPercent: numberField({
    title: 'Weight on the front axle',
    quantity: 'percent',
    min: 20,
    max: 80,
    usual: [40, 62],
    step: 0.5,
    description: 'Standing, without the loads listed under Added loads.',
  }),
  frontDownforcePercent: numberField({
    title: 'Downforce on the front axle',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [35, 50],
    step: 1,
    description: 'Share of the downforce; the drag’s moment is counted in it.',
  }),
  loads: z.array(loadSchema).check(z.maxLength(12), z.meta({ title: 'Added loads' })),
  pedal: pedalSchema,
  gravityHeightMm: numberField({
    title: 'Height of the centre of gravity',
    quantity: 'smallLength',
    min: 100,
    max: 1200,
    usual: [350, 600],
    step: 10,
    description: 'With driver and fuel. In corners it shifts load to the outer wheels.',
  }),
  trackWidthMm: numberField({
    title: 'Track width',
    quantity: 'smallLength',
    min: 800,
    max: 2500,
    usual: [1400, 1650],
    step: 10,
    description: 'Mean of front and rear, between the middles of the tyres.',
  }),
  loadFollowingPercent: z.nullable(
    numberField({
      title: 'Side-to-side (load-following) distribution, if known',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 80],
      step: 10,
      description:
        'How far the brake control takes pressure off the inner wheel in corners. Left empty, half of the way with ABS; without it both wheels of an axle get the same.',
    }),
  ),
  tyres: tyresSchema,
  abs: z.boolean().check(z.meta({ title: 'Anti-lock brakes (ABS)' })),
  recovery: z.nullable(recoverySchema),
  fluid: carFluidSchema,
  driverSide: z.enum(['left', 'right']).check(z.meta({ title: 'Driver sits' })),
  /** Parts near brakes or exhaust that must not get hot */
  exposed: z.array(exposedSchema).check(z.maxLength(20)),
  front: axleSchema,
  rear: axleSchema,
  /** What handwork on it must know; no lap depends on it */
  workshop: workshopSchema,
  /** Since when its parts are on it */
  fitted: fittedSchema,
  /** How each of its values is known */
  origins: originsSchema,
});

export type Car = z.infer<typeof carSchema>;
