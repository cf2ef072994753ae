import * as z from 'zod/mini';
import {
  carAnswersSchema,
  carSchema,
  DRIVEN_IDS,
  FLUID_ANSWER_IDS,
  PAD_ANSWER_IDS,
  TYRE_KIND_IDS,
  type UnitChoice,
} from '../../../model';
import { chosenOrUnknown, typedName, typedOrUnknown } from '../../shared/form/typed';

export const PISTON_COUNTS = ['1', '2', '4', '6', '8'] as const;

const rotor = carSchema.shape.front.shape.rotor.shape;

/** The form as it is typed; out come the answers. */
export const carFormSchema = (units: UnitChoice) =>
  z.pipe(
    z.strictObject({
      name: typedName,
      kind: carAnswersSchema.shape.kind,
      massKg: typedOrUnknown(carSchema.shape.massKg, units),
      powerKw: typedOrUnknown(carSchema.shape.powerKw, units),
      driven: chosenOrUnknown(DRIVEN_IDS),
      tyres: chosenOrUnknown(TYRE_KIND_IDS),
      frontDiameterMm: typedOrUnknown(rotor.outerDiameterMm, units),
      frontThicknessMm: typedOrUnknown(rotor.thicknessMm, units),
      frontVented: chosenOrUnknown(['vented', 'solid']),
      frontMounting: chosenOrUnknown(['one-piece', 'floating']),
      frontCaliper: chosenOrUnknown(['sliding', 'fixed']),
      frontPistons: z.pipe(
        chosenOrUnknown(PISTON_COUNTS),
        z.transform((count) => (count === null ? null : Number(count))),
      ),
      rear: chosenOrUnknown(['disc', 'drum']),
      rearDiameterMm: typedOrUnknown(rotor.outerDiameterMm, units),
      pads: chosenOrUnknown(PAD_ANSWER_IDS),
      fluid: chosenOrUnknown(FLUID_ANSWER_IDS),
      fluidMonths: typedOrUnknown(carSchema.shape.fluid.shape.ageMonths, units),
    }),
    carAnswersSchema,
  );

export type CarTyped = z.input<ReturnType<typeof carFormSchema>>;

export const NOTHING_TYPED: CarTyped = {
  name: 'My hot hatch',
  kind: 'hot-hatch',
  massKg: '',
  powerKw: '',
  driven: '',
  tyres: '',
  frontDiameterMm: '',
  frontThicknessMm: '',
  frontVented: '',
  frontMounting: '',
  frontCaliper: '',
  frontPistons: '',
  rear: '',
  rearDiameterMm: '',
  pads: '',
  fluid: '',
  fluidMonths: '',
};
