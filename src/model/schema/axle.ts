import * as z from 'zod/mini';
import { PLATE_IDS } from '../catalogue/plates';
import { SHIM_IDS } from '../catalogue/shims';
import { caliperSchema } from './caliper';
import { numberField } from './field';
import { idSchema } from './naming';
import { wheelSchema } from './pedal';
import { drumSchema, rotorSchema } from './rotor';

/** One axle’s brakes as stored; areas, ducts and masses are for one wheel. */
export const axleSchema = z
  .strictObject({
    rotor: rotorSchema,
    /** Set, the axle has drums and the rotor above is kept aside. */
    drum: z.nullable(drumSchema),
    pad: idSchema.check(z.meta({ title: 'Pad' })),
    padAreaCm2: numberField({
      title: 'Pad area',
      quantity: 'area',
      min: 5,
      max: 250,
      usual: [30, 110],
      step: 1,
      description: 'Friction area of one pad.',
    }),
    padThicknessMm: numberField({
      title: 'Pad left',
      quantity: 'smallLength',
      min: 1,
      max: 40,
      usual: [6, 18],
      step: 0.5,
      description: 'Friction material left on one pad. A thin pad passes more heat to the fluid.',
    }),
    newPadMm: numberField({
      title: 'Pad when new',
      quantity: 'smallLength',
      min: 1,
      max: 45,
      usual: [8, 20],
      step: 0.5,
      description: 'Friction material of a new pad: what the caliper and the wheel must have room for.',
    }),
    beddedPercent: numberField({
      title: 'Pads bedded',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [90, 100],
      step: 10,
      description:
        'Share of pads and faces that carries the film of a bedded pad; 0 for new ones. Pads that are not bedded bite less.',
    }),
    effectiveRadiusMm: z.nullable(
      numberField({
        title: 'Effective radius, if known',
        quantity: 'smallLength',
        min: 40,
        max: 230,
        usual: [100, 170],
        step: 1,
        description: 'Where the pad’s friction acts. Left empty, the middle of the ring.',
      }),
    ),
    plateThicknessMm: numberField({
      title: 'Pad backing plate',
      quantity: 'smallLength',
      min: 1,
      max: 12,
      usual: [4, 7],
      step: 0.5,
      description: 'Steel backing plate behind the friction material.',
    }),
    plateKind: z.enum(PLATE_IDS).check(z.meta({ title: 'Kind of pad backing plate' })),
    shim: z.enum(SHIM_IDS).check(z.meta({ title: 'Shim or cap' })),
    caliper: caliperSchema,
    wheel: wheelSchema,
    ductAreaCm2: numberField({
      title: 'Duct area',
      quantity: 'area',
      min: 0,
      max: 300,
      usual: [0, 80],
      step: 1,
      description:
        'Open area of the duct to one wheel, 0 without. It feeds fresh air into the rotor and costs drag.',
    }),
    ductCoefficientPercent: numberField({
      title: 'Duct flow',
      quantity: 'percent',
      min: 5,
      max: 100,
      usual: [35, 65],
      step: 5,
      description: 'Share of speed × area that flows through the duct; bends and hoses take the rest.',
    }),
    rightDuctAreaCm2: z.nullable(
      numberField({
        title: 'Right duct, if different',
        quantity: 'area',
        min: 0,
        max: 300,
        usual: [0, 80],
        step: 1,
        description: 'Open area of the right wheel’s duct. Left empty, both sides are alike.',
      }),
    ),
    blankedOffPercent: numberField({
      title: 'Blanked off',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 60],
      step: 5,
      description: 'Share of the duct’s mouth that is blanked off, against cold brakes.',
    }),
    toCaliperPercent: numberField({
      title: 'Air to the caliper',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 40],
      step: 5,
      description: 'Share of the duct’s air led to the caliper; the rest goes to the rotor.',
    }),
    sides: z.enum(['together', 'apart']).check(z.meta({ title: 'Inner and outer side' })),
    shieldPercent: numberField({
      title: 'Dust shield',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 80],
      step: 5,
      description:
        'Share of the inner surface it covers. It keeps dirt and heat from the hose, and air from the surface.',
    }),
    wheelOpenAreaPercent: numberField({
      title: 'Wheel open area',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [30, 70],
      step: 5,
      description: 'Share of the wheel’s outer face that is open; 50 is usual.',
    }),
    recirculationPercent: numberField({
      title: 'Recirculation',
      quantity: 'percent',
      min: 0,
      max: 80,
      usual: [15, 40],
      step: 5,
      description: 'Share of the rotor’s air that has been through the wheel well before, without a duct.',
    }),
    coolingFactor: numberField({
      title: 'Cooling factor',
      quantity: 'factor',
      min: 0.2,
      max: 4,
      usual: [0.7, 1.4],
      step: 0.05,
      description: 'Multiplies forced cooling. 1 until temperatures measured on this car say otherwise.',
    }),
    leftFactor: numberField({
      title: 'Left side factor',
      quantity: 'factor',
      min: 0.3,
      max: 3,
      usual: [0.8, 1.25],
      step: 0.05,
      description: 'Multiplies the left wheel’s cooling: wind side, hot parts near it. 1 until measured.',
    }),
    rightFactor: numberField({
      title: 'Right side factor',
      quantity: 'factor',
      min: 0.3,
      max: 3,
      usual: [0.8, 1.25],
      step: 0.05,
      description: 'Multiplies the right wheel’s cooling. 1 until measured.',
    }),
  })
  .check((ctx) => {
    const axle = ctx.value;
    const { rotor, drum, padAreaCm2 } = axle;
    const fail = (path: string, message: string) =>
      ctx.issues.push({ code: 'custom', input: axle, path: [path], message });
    if (drum) {
      const surface = Math.PI * drum.innerDiameterMm * drum.widthMm * 0.01;
      if (2 * padAreaCm2 > 0.9 * surface) {
        ctx.issues.push({
          code: 'custom',
          input: padAreaCm2,
          path: ['padAreaCm2'],
          message: `of two shoes must be under 90 % of the drum’s surface (${surface.toFixed(0)} cm²)`,
        });
      }
      return;
    }
    if (axle.newPadMm < axle.padThicknessMm)
      fail('newPadMm', `must not be under what is left (${axle.padThicknessMm} mm)`);
    if (
      axle.effectiveRadiusMm !== null &&
      (axle.effectiveRadiusMm > rotor.outerDiameterMm / 2 ||
        axle.effectiveRadiusMm < rotor.innerDiameterMm / 2)
    ) {
      fail(
        'effectiveRadiusMm',
        `must lie in the ring (${rotor.innerDiameterMm / 2} to ${rotor.outerDiameterMm / 2} mm)`,
      );
    }
    const ring = (Math.PI / 4) * (rotor.outerDiameterMm ** 2 - rotor.innerDiameterMm ** 2) * 0.01;
    if (ring > 0 && padAreaCm2 > 0.6 * ring) {
      ctx.issues.push({
        code: 'custom',
        input: padAreaCm2,
        path: ['padAreaCm2'],
        message: `must be under 60 % of the ring’s face (${ring.toFixed(0)} cm²)`,
      });
    }
  });

export type AxleBrakes = z.infer<typeof axleSchema>;
