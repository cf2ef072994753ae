import * as z from 'zod/mini';
import { say } from '../../text/en/say/model';
import { FLUIDS } from '../catalogue/fluids';
import { TYRE_KIND_IDS } from '../catalogue/tyres';
import { carSchema } from '../schema/car';
import { nameSchema } from '../schema/naming';
import { rotorSchema } from '../schema/rotor';
import { CAR_KIND_IDS, DRIVEN_IDS } from './carKind';
import { CAR_KINDS } from './carKinds';

export const PAD_ANSWER_IDS = ['road', 'road-sport', 'track-day', 'endurance', 'sprint'] as const;
export const FLUID_ANSWER_IDS = Object.keys(FLUIDS) as [keyof typeof FLUIDS, ...(keyof typeof FLUIDS)[]];
export const REAR_IDS = ['disc', 'drum'] as const;

/** What a solid disc is thick at most, and a vented one at least, mm: common practice. */
const SOLID_MOST = 18;
const VENTED_LEAST = 14;

const { rotor, massKg, powerKw, ageMonths } = {
  rotor: rotorSchema.shape,
  massKg: carSchema.shape.massKg,
  powerKw: carSchema.shape.powerKw,
  ageMonths: carSchema.shape.fluid.shape.ageMonths,
};

/** What a driver can tell of a car; null is "don't know", and then what is typical for the kind stands. */
export const carAnswersSchema = z
  .strictObject({
    name: nameSchema,
    kind: z.enum(CAR_KIND_IDS),
    massKg: z.nullable(massKg),
    /** As the papers have it: at the engine or motor */
    powerKw: z.nullable(powerKw),
    driven: z.nullable(z.enum(DRIVEN_IDS)),
    tyres: z.nullable(z.enum(TYRE_KIND_IDS)),
    frontDiameterMm: z.nullable(rotor.outerDiameterMm),
    frontThicknessMm: z.nullable(rotor.thicknessMm),
    frontVented: z.nullable(z.enum(['vented', 'solid'])),
    frontMounting: z.nullable(z.enum(['one-piece', 'floating'])),
    frontCaliper: z.nullable(z.enum(['sliding', 'fixed'])),
    frontPistons: z.nullable(z.int().check(z.gte(1), z.lte(12))),
    rear: z.nullable(z.enum(REAR_IDS)),
    rearDiameterMm: z.nullable(rotor.outerDiameterMm),
    pads: z.nullable(z.enum(PAD_ANSWER_IDS)),
    fluid: z.nullable(z.enum(FLUID_ANSWER_IDS)),
    fluidMonths: z.nullable(ageMonths),
  })
  .check((ctx) => {
    for (const { field, message } of contradictions(ctx.value))
      ctx.issues.push({ code: 'custom', input: ctx.value[field], path: [field], message });
  });
export type CarAnswers = z.infer<typeof carAnswersSchema>;

/** All questions answered with "don't know". */
export const nothingKnown = (kind: CarAnswers['kind'], name: string): CarAnswers => ({
  name,
  kind,
  massKg: null,
  powerKw: null,
  driven: null,
  tyres: null,
  frontDiameterMm: null,
  frontThicknessMm: null,
  frontVented: null,
  frontMounting: null,
  frontCaliper: null,
  frontPistons: null,
  rear: null,
  rearDiameterMm: null,
  pads: null,
  fluid: null,
  fluidMonths: null,
});

interface Contradiction {
  readonly field: keyof CarAnswers;
  readonly message: string;
}

/** Answers that cannot all be true of one car, each at the one to look at again. */
function contradictions(a: CarAnswers): readonly Contradiction[] {
  const kind = CAR_KINDS[a.kind];
  const found: Contradiction[] = [];
  const no = (field: keyof CarAnswers, message: string) => found.push({ field, message });
  const thickness = a.frontThicknessMm;
  const vented = a.frontVented;
  if (thickness !== null && vented === 'solid' && thickness > SOLID_MOST)
    no('frontThicknessMm', say.solidTooThick(thickness, SOLID_MOST));
  if (thickness !== null && vented === 'vented' && thickness < VENTED_LEAST)
    no('frontThicknessMm', say.ventedTooThin(thickness, VENTED_LEAST));
  const caliper = a.frontCaliper ?? (kind.front.fixed ? 'fixed' : 'sliding');
  const pistons = a.frontPistons;
  if (pistons !== null && caliper === 'sliding' && pistons > 3)
    no('frontPistons', say.slidingHasFew(pistons));
  if (pistons !== null && caliper === 'fixed' && pistons % 2 === 1) no('frontPistons', say.fixedHasPairs);
  const front = a.frontDiameterMm ?? kind.front.diameterMm;
  if (front + 40 > kind.barrelMm && a.frontDiameterMm !== null && front > 1.2 * kind.front.diameterMm)
    no('frontDiameterMm', say.rotorOutsideWheel(kind.barrelMm));
  if (a.rearDiameterMm !== null && a.rearDiameterMm > 1.15 * front)
    no('rearDiameterMm', say.rearOverFront(front));
  if (a.rear === 'drum' && kind.race) no('rear', say.noDrumsOnRacer);
  if (a.massKg !== null && a.powerKw !== null && a.powerKw > a.massKg)
    no('powerKw', say.powerOverMass(a.massKg));
  return found;
}
