import * as z from 'zod/mini';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';
import { count } from './testFields';

const day = z.iso.date('must be a date like 2027-05-01').check(z.meta({ title: 'Date' }));

export const SET_KINDS = ['pads', 'rotors'] as const;
export type SetKind = (typeof SET_KINDS)[number];
/** One piece to be renewed whole, or rings that are renewed on bells that stay. */
export const ROTOR_BUILDS = ['one piece', 'ring on bell'] as const;

const thickness = (title: string, usual: readonly [number, number], description: string) =>
  numberField({ title, quantity: 'smallLength', min: 0.5, max: 60, usual, step: 0.1, description });
const mass = (title: string) =>
  z.nullable(
    numberField({
      title,
      quantity: 'mass',
      min: 0.05,
      max: 60,
      usual: [0.3, 14],
      step: 0.01,
      description: 'On the scales, before it was first fitted.',
    }),
  );

/** Both wheels' pads or rotors of one axle as an individual thing: bought, numbered, fitted, worn; as stored. */
export const partSetSchema = z
  .strictObject({
    id: idSchema,
    /** Its number, as it is marked on the box or the bell */
    name: nameSchema,
    kind: z.enum(SET_KINDS).check(z.meta({ title: 'Kind' })),
    axle: z.enum(['front', 'rear']).check(z.meta({ title: 'Axle' })),
    carId: idSchema,
    /** The pad, or the rotor, of the shelf; null for what the car has */
    part: z.nullable(idSchema).check(z.meta({ title: 'Part' })),
    build: z.enum(ROTOR_BUILDS).check(z.meta({ title: 'Build' })),
    newMm: thickness('Thickness new', [8, 36], 'Friction material of a pad, or a rotor over both faces.'),
    minimumMm: thickness(
      'Least thickness',
      [2, 34],
      'By the maker: cast into the rotor, or in the pads’ data. For the track keep more.',
    ),
    leftKg: mass('Left mass'),
    rightKg: mass('Right mass'),
    boughtOn: z.nullable(day),
    /** null where it is not known */
    price: z.nullable(
      numberField({
        title: 'Paid',
        quantity: 'count',
        min: 0,
        max: 1_000_000,
        usual: [50, 3000],
        step: 10,
        description: 'For both wheels.',
      }),
    ),
    /** What was driven on it before the log began */
    sessionsBefore: count('Sessions before', 0, 2000, [0, 20], 'Driven on it before this log began.'),
    usedPercent: numberField({
      title: 'Used before',
      quantity: 'percent',
      min: 0,
      max: 100,
      usual: [0, 60],
      step: 5,
      description: 'Share of its life that was gone when this log began: of thickness and of cracks alike.',
    }),
    /** Null while it may still be fitted */
    retiredOn: z.nullable(day),
    note: z.string().check(z.trim(), z.maxLength(200), z.meta({ title: 'Note' })),
  })
  .check((ctx) => {
    const { newMm, minimumMm } = ctx.value;
    if (minimumMm < newMm) return;
    ctx.issues.push({
      code: 'custom',
      input: minimumMm,
      path: ['minimumMm'],
      message: `must be under its thickness new (${newMm} mm)`,
    });
  });
export type PartSet = z.infer<typeof partSetSchema>;

/** Where on a car a set goes. */
export const SET_PLACES = ['front pads', 'front rotors', 'rear pads', 'rear rotors'] as const;
export type SetPlace = (typeof SET_PLACES)[number];
export const placeOf = ({ axle, kind }: Pick<PartSet, 'axle' | 'kind'>): SetPlace => `${axle} ${kind}`;
