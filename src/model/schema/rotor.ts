import * as z from 'zod/mini';
import { MATERIAL_IDS } from '../catalogue/materials';
import { SURFACE_IDS, VANE_IDS } from '../catalogue/parts';
import { numberField } from './field';

/** A disc as stored. */
export const rotorSchema = z
  .strictObject({
    material: z.enum(MATERIAL_IDS).check(z.meta({ title: 'Material' })),
    mounting: z.enum(['one-piece', 'floating']).check(z.meta({ title: 'Mounting' })),
    outerDiameterMm: numberField({
      title: 'Outer diameter',
      quantity: 'smallLength',
      min: 150,
      max: 460,
      usual: [260, 400],
      step: 1,
      description: 'Of the friction ring. A larger ring has more mass and more air over it.',
    }),
    innerDiameterMm: numberField({
      title: 'Inner diameter',
      quantity: 'smallLength',
      min: 60,
      max: 400,
      usual: [150, 270],
      step: 1,
      description: 'Of the friction ring, where the pad ends.',
    }),
    thicknessMm: numberField({
      title: 'Thickness',
      quantity: 'smallLength',
      min: 4,
      max: 60,
      usual: [9, 36],
      step: 0.5,
      description: 'Over both cheeks, as measured today. Wear takes mass, and so heat capacity, away.',
    }),
    vaneGapMm: numberField({
      title: 'Air gap',
      quantity: 'smallLength',
      min: 0,
      max: 30,
      usual: [0, 18],
      step: 0.5,
      description: 'Height of the passage between the cheeks; 0 for a solid rotor.',
    }),
    vaneType: z.enum(VANE_IDS).check(z.meta({ title: 'Vanes are' })),
    vaneCount: numberField({
      title: 'Vanes',
      quantity: 'count',
      min: 1,
      max: 400,
      integer: true,
      usual: [30, 72],
      step: 1,
      description: 'Walls between the air channels; for pillars, posts in each of three rows.',
    }),
    vaneThicknessMm: numberField({
      title: 'Vane thickness',
      quantity: 'smallLength',
      min: 0.5,
      max: 20,
      usual: [3, 7],
      step: 0.5,
      description: 'Mean thickness of a vane, or diameter of a pillar.',
    }),
    surface: z.enum(SURFACE_IDS).check(z.meta({ title: 'Surface' })),
    holeCount: numberField({
      title: 'Holes',
      quantity: 'count',
      min: 1,
      max: 400,
      integer: true,
      usual: [30, 120],
      step: 1,
      description: 'Through both cheeks. They take mass away, and cracks begin at them.',
    }),
    holeDiameterMm: numberField({
      title: 'Hole diameter',
      quantity: 'smallLength',
      min: 1,
      max: 20,
      usual: [4, 9],
      step: 0.5,
      description: 'Of one hole.',
    }),
    slotCount: numberField({
      title: 'Slots',
      quantity: 'count',
      min: 1,
      max: 100,
      integer: true,
      usual: [4, 24],
      step: 1,
      description: 'In each face.',
    }),
    slotWidthMm: numberField({
      title: 'Slot width',
      quantity: 'smallLength',
      min: 0.3,
      max: 10,
      usual: [1, 3],
      step: 0.1,
      description: 'Of one slot; it runs across the ring.',
    }),
    slotDepthMm: numberField({
      title: 'Slot depth',
      quantity: 'smallLength',
      min: 0.1,
      max: 10,
      usual: [0.5, 2],
      step: 0.1,
      description: 'Below the face.',
    }),
    weighedKg: z.nullable(
      numberField({
        title: 'Weighed mass',
        quantity: 'mass',
        min: 0.3,
        max: 40,
        usual: [4, 14],
        step: 0.1,
        description: 'The whole rotor on the scales. Left empty, the mass follows from the measures.',
      }),
    ),
    depthMm: numberField({
      title: 'Depth behind the hub’s face',
      quantity: 'smallLength',
      min: 0,
      max: 120,
      usual: [25, 60],
      step: 1,
      description: 'From the hub’s mounting face inwards to the ring’s outer face.',
    }),
    neckLengthMm: numberField({
      title: 'Neck length',
      quantity: 'smallLength',
      min: 1,
      max: 80,
      usual: [6, 30],
      step: 1,
      description: 'One-piece: from the ring’s inner edge to the bell. A long neck keeps heat in the ring.',
    }),
    neckThicknessMm: numberField({
      title: 'Neck thickness',
      quantity: 'smallLength',
      min: 1,
      max: 25,
      usual: [5, 9],
      step: 0.5,
      description: 'One-piece: its wall, and the bell’s.',
    }),
    hatMassKg: numberField({
      title: 'Bell (hat) mass',
      quantity: 'mass',
      min: 0.1,
      max: 10,
      usual: [0.6, 3],
      step: 0.1,
      description: 'The part bolted to the hub. It takes heat from the ring and passes it to the bearing.',
    }),
  })
  .check((ctx) => {
    const r = ctx.value;
    const fail = (path: string, message: string) =>
      ctx.issues.push({ code: 'custom', input: r, path: [path], message });
    if (r.innerDiameterMm >= r.outerDiameterMm) {
      fail('innerDiameterMm', `must be under the outer diameter (${r.outerDiameterMm} mm)`);
    }
    if (r.vaneGapMm > 0 && r.vaneGapMm < 0.5) {
      fail(
        'vaneGapMm',
        'must be 0 for a solid rotor, or at least 0.5 mm (0.02 in): no air gets through less',
      );
    }
    if (r.vaneGapMm > r.thicknessMm - 4) {
      fail(
        'vaneGapMm',
        `must leave two cheeks of at least 2 mm (0.08 in) in a thickness of ${r.thicknessMm} mm`,
      );
    }
    if (r.weighedKg !== null && r.weighedKg <= r.hatMassKg + 0.2) {
      fail('weighedKg', `must be over the bell’s mass (${r.hatMassKg} kg); weigh ring and bell together`);
    }
    if (r.surface === 'slotted' && r.slotDepthMm >= (r.thicknessMm - r.vaneGapMm) / 2) {
      fail('slotDepthMm', 'must be less than a cheek is thick');
    }
    const ring = (Math.PI / 4) * (r.outerDiameterMm ** 2 - r.innerDiameterMm ** 2);
    if (r.surface === 'drilled' && r.holeCount * (Math.PI / 4) * r.holeDiameterMm ** 2 > 0.3 * ring) {
      fail('holeCount', 'take more than 30 % of the face');
    }
    if (r.vaneGapMm > 0 && r.vaneCount * r.vaneThicknessMm > 0.9 * Math.PI * r.innerDiameterMm) {
      fail('vaneThicknessMm', 'leaves no channel between the vanes at the inner diameter');
    }
  });

/** A drum with two shoes, as stored. */
export const drumSchema = z
  .strictObject({
    material: z.enum(MATERIAL_IDS).check(z.meta({ title: 'Material' })),
    innerDiameterMm: numberField({
      title: 'Drum diameter',
      quantity: 'smallLength',
      min: 120,
      max: 460,
      usual: [180, 280],
      step: 1,
      description: 'Of the swept surface.',
    }),
    widthMm: numberField({
      title: 'Drum width',
      quantity: 'smallLength',
      min: 15,
      max: 200,
      usual: [30, 70],
      step: 1,
      description: 'Of the swept surface.',
    }),
    rimThicknessMm: numberField({
      title: 'Rim thickness',
      quantity: 'smallLength',
      min: 3,
      max: 40,
      usual: [6, 12],
      step: 0.5,
      description: 'Metal outside the swept surface; it stores the heat.',
    }),
    ribFactor: numberField({
      title: 'Outer surface',
      quantity: 'factor',
      min: 1,
      max: 4,
      usual: [1, 1.8],
      step: 0.1,
      description: 'Over that of a smooth rim: ribs give heat to the air.',
    }),
    webMassKg: numberField({
      title: 'Web mass',
      quantity: 'mass',
      min: 0.2,
      max: 15,
      usual: [1, 3],
      step: 0.1,
      description: 'From the rim to the hub.',
    }),
    shoes: z.enum(['leading-trailing', 'duplex']).check(z.meta({ title: 'Shoes' })),
    cylinderMm: numberField({
      title: 'Wheel cylinder',
      quantity: 'smallLength',
      min: 10,
      max: 45,
      usual: [17, 25],
      step: 0.1,
      description: 'Bore of the cylinder that presses the shoes apart.',
    }),
    shoeMassKg: numberField({
      title: 'Mass of both shoes',
      quantity: 'mass',
      min: 0.1,
      max: 10,
      usual: [0.6, 2],
      step: 0.1,
      description: 'Steel of table and web, without the lining.',
    }),
  })
  .check((ctx) => {
    if (ctx.value.rimThicknessMm > 0.2 * ctx.value.innerDiameterMm) {
      ctx.issues.push({
        code: 'custom',
        input: ctx.value.rimThicknessMm,
        path: ['rimThicknessMm'],
        message: `must be under a fifth of the drum’s diameter (${ctx.value.innerDiameterMm} mm)`,
      });
    }
  });
