import { z } from 'zod';
import { FLUID_IDS, MATERIAL_IDS, PAD_IDS } from './catalogue';
import { numberField } from './field';

export const idSchema = z.string().min(1).max(64);
export const nameSchema = z.string().trim().min(1).max(80).meta({ title: 'Name' });

const rotorSchema = z
  .strictObject({
    material: z.enum(MATERIAL_IDS).meta({ title: 'Material' }),
    mounting: z.enum(['one-piece', 'floating']).meta({ title: 'Mounting' }),
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
    vaneCount: numberField({
      title: 'Vanes',
      quantity: 'count',
      min: 1,
      max: 400,
      integer: true,
      usual: [30, 72],
      step: 1,
      description: 'Walls between the air channels. Not used for a solid rotor.',
    }),
    vaneThicknessMm: numberField({
      title: 'Vane thickness',
      quantity: 'smallLength',
      min: 0.5,
      max: 20,
      usual: [3, 7],
      step: 0.5,
      description: 'Mean thickness of a vane. Not used for a solid rotor.',
    }),
    hatMassKg: numberField({
      title: 'Hat mass',
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
    if (r.vaneGapMm > r.thicknessMm - 4) {
      fail('vaneGapMm', `must leave two cheeks of at least 2 mm in a thickness of ${r.thicknessMm} mm`);
    }
    if (r.vaneGapMm > 0 && r.vaneCount * r.vaneThicknessMm > 0.9 * Math.PI * r.innerDiameterMm) {
      fail('vaneThicknessMm', 'leaves no channel between the vanes at the inner diameter');
    }
  });

const caliperSchema = z.strictObject({
  body: z.enum(['aluminium', 'iron']).meta({ title: 'Body' }),
  pistons: z.enum(['aluminium', 'steel', 'stainless', 'titanium-capped']).meta({ title: 'Pistons' }),
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

const axleSchema = z
  .strictObject({
    rotor: rotorSchema,
    pad: z.enum(PAD_IDS).meta({ title: 'Pad' }),
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
    plateThicknessMm: numberField({
      title: 'Pad plate',
      quantity: 'smallLength',
      min: 1,
      max: 12,
      usual: [4, 7],
      step: 0.5,
      description: 'Steel plate behind the friction material.',
    }),
    caliper: caliperSchema,
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
    recirculationPercent: numberField({
      title: 'Air going round',
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
  })
  .check((ctx) => {
    const { rotor, padAreaCm2 } = ctx.value;
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
    title: 'Loss at twice the load',
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

/** A car with its brakes, as stored. Units are in the names; areas and ducts are for one wheel. */
export const carSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  massKg: numberField({
    title: 'Mass as driven',
    quantity: 'mass',
    min: 100,
    max: 6000,
    usual: [700, 2100],
    step: 5,
    description: 'With fuel, driver, gear and added kit. Every stop’s energy grows with it.',
  }),
  rotatingInertia: numberField({
    title: 'Rotating inertia',
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
    description: 'Sets the speeds reached before each stop.',
  }),
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
    title: 'Drag area',
    quantity: 'bigArea',
    min: 0,
    max: 5,
    usual: [0.5, 1.3],
    step: 0.02,
    description: 'Drag coefficient × frontal area. Drag brakes the car too, for nothing.',
  }),
  downforceAreaM2: numberField({
    title: 'Downforce area',
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
  frontSharePercent: numberField({
    title: 'Front share of braking',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [55, 75],
    step: 0.5,
    description: 'Share of the braking force made at the front wheels.',
  }),
  tyres: tyresSchema,
  recovery: z
    .strictObject({
      axle: z.enum(['front', 'rear']).meta({ title: 'Axle' }),
      powerKw: numberField({
        title: 'Recovery power',
        quantity: 'power',
        min: 0,
        max: 1000,
        usual: [30, 200],
        step: 5,
        description: 'Greatest braking power taken by the motor; it spares that axle’s brakes.',
      }),
      lowestSpeedKmh: numberField({
        title: 'Fades out at',
        quantity: 'speed',
        min: 1,
        max: 100,
        usual: [7, 20],
        step: 1,
        description: 'Recovery fades from twice this speed to nothing at it.',
      }),
    })
    .nullable(),
  fluid: z.strictObject({
    kind: z.enum(FLUID_IDS).meta({ title: 'Brake fluid' }),
    ageMonths: numberField({
      title: 'Fluid age',
      quantity: 'months',
      min: 0,
      max: 240,
      usual: [0, 24],
      step: 1,
      description: 'Since it was last changed. Glycol fluid takes up water with time and boils earlier.',
    }),
    waterFirstYearPercent: numberField({
      title: 'Water in the first year',
      quantity: 'percent',
      min: 0,
      max: 5,
      usual: [1, 3.7],
      step: 0.1,
      description: 'By mass. About 2 in a mild climate; 1 to 3.7 is reported.',
    }),
  }),
  front: axleSchema,
  rear: axleSchema,
});

export type Car = z.infer<typeof carSchema>;
export type AxleBrakes = z.infer<typeof axleSchema>;
