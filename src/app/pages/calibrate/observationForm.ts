import * as z from 'zod/mini';
import {
  INSTRUMENTS,
  LIGHTS,
  type Observation,
  type ObservationKind,
  observationSchemas,
  PAINT_PLACES,
  SPOT_PLACES,
  toShown,
  type UnitChoice,
  unitOf,
} from '../../../model';
import { typedNumber, typedOrUnknown } from '../../shared/form/typed';

/** Kinds that are typed; a sensor's samples come with its log. */
export const TYPED_KINDS = ['spot', 'paint', 'boiled', 'faded', 'glow', 'worn'] as const;
export type TypedKind = (typeof TYPED_KINDS)[number];
export const isTyped = (kind: ObservationKind): kind is TypedKind => kind !== 'sensor';

/** What is typed of any kind; each uses some of it, and the rest keeps what it was last. */
export interface TypedObservation {
  kind: TypedKind;
  wheel: 'frontLeft' | 'frontRight' | 'rearLeft' | 'rearRight';
  axle: 'front' | 'rear';
  spotPlace: (typeof SPOT_PLACES)[number];
  paintPlace: (typeof PAINT_PLACES)[number];
  valueC: string;
  thresholdC: string;
  turned: 'yes' | 'no';
  lap: string;
  stopLap: string;
  afterS: string;
  instrument: (typeof INSTRUMENTS)[number];
  emissivity: string;
  errorK: string;
  sign: 'boiled' | 'long pedal';
  light: (typeof LIGHTS)[number];
  padMm: string;
  note: string;
}

/** What a form begins with. @param laps of the drive */
export const emptyObservation = (laps: number): TypedObservation => ({
  kind: 'spot',
  wheel: 'frontLeft',
  axle: 'front',
  spotPlace: 'disc',
  paintPlace: 'ringEdge',
  valueC: '',
  thresholdC: '',
  turned: 'yes',
  lap: '',
  stopLap: String(laps),
  afterS: '60',
  instrument: 'contact',
  emissivity: '',
  errorK: '',
  sign: 'long pedal',
  light: 'dusk',
  padMm: '',
  note: '',
});

const WHEELS = ['frontLeft', 'frontRight', 'rearLeft', 'rearRight'] as const;
const { spot, paint, boiled, worn } = observationSchemas;
const note = z.string().check(z.trim(), z.maxLength(200));
const wheel = z.enum(WHEELS);
const axle = z.enum(['front', 'rear']);

/** What a form of a kind reads: an observation but for its id. */
export function observationForm(kind: TypedKind, units: UnitChoice) {
  const lap = typedOrUnknown(boiled.shape.lap.def.innerType, units);
  const used = { excluded: null };
  switch (kind) {
    case 'spot':
      return z.pipe(
        z.object({
          wheel,
          spotPlace: z.enum(SPOT_PLACES),
          valueC: typedNumber(spot.shape.valueC, units),
          stopLap: typedNumber(spot.shape.lap, units),
          afterS: typedNumber(spot.shape.afterS, units),
          instrument: z.enum(INSTRUMENTS),
          emissivity: typedOrUnknown(spot.shape.emissivity.def.innerType, units),
          errorK: typedOrUnknown(spot.shape.errorK.def.innerType, units),
          note,
        }),
        z.transform(({ spotPlace, stopLap, emissivity, ...rest }) => ({
          kind: 'spot' as const,
          ...used,
          ...rest,
          place: spotPlace,
          lap: stopLap,
          emissivity: rest.instrument === 'infrared' ? emissivity : null,
        })),
      );
    case 'paint':
      return z.pipe(
        z.object({
          wheel,
          paintPlace: z.enum(PAINT_PLACES),
          thresholdC: typedNumber(paint.shape.thresholdC, units),
          turned: z.enum(['yes', 'no']),
          note,
        }),
        z.transform(({ paintPlace, turned, ...rest }) => ({
          kind: 'paint' as const,
          ...used,
          ...rest,
          place: paintPlace,
          turned: turned === 'yes',
        })),
      );
    case 'boiled':
      return z.pipe(
        z.object({ axle, lap, sign: z.enum(['boiled', 'long pedal']), note }),
        z.transform((rest) => ({ kind: 'boiled' as const, ...used, ...rest })),
      );
    case 'faded':
      return z.pipe(
        z.object({ axle, lap, note }),
        z.transform((rest) => ({ kind: 'faded' as const, ...used, ...rest })),
      );
    case 'glow':
      return z.pipe(
        z.object({ wheel, lap, light: z.enum(LIGHTS), note }),
        z.transform((rest) => ({ kind: 'glow' as const, ...used, ...rest })),
      );
    case 'worn':
      return z.pipe(
        z.object({ wheel, padMm: typedNumber(worn.shape.padMm, units), note }),
        z.transform((rest) => ({ kind: 'worn' as const, ...used, ...rest })),
      );
  }
}

/** A kept observation as it is typed. */
export function typedAgain(own: Observation, before: TypedObservation, units: UnitChoice): TypedObservation {
  const shown = (value: number | null, quantity: 'temperature' | 'difference' | 'smallLength') =>
    value === null ? '' : String(Number(toShown(value, unitOf(quantity, units)).toFixed(3)));
  const base = { ...before, note: own.note };
  switch (own.kind) {
    case 'spot':
      return {
        ...base,
        kind: 'spot',
        wheel: own.wheel,
        spotPlace: own.place,
        valueC: shown(own.valueC, 'temperature'),
        stopLap: String(own.lap),
        afterS: String(own.afterS),
        instrument: own.instrument,
        emissivity: own.emissivity === null ? '' : String(own.emissivity),
        errorK: shown(own.errorK, 'difference'),
      };
    case 'paint':
      return {
        ...base,
        kind: 'paint',
        wheel: own.wheel,
        paintPlace: own.place,
        thresholdC: shown(own.thresholdC, 'temperature'),
        turned: own.turned ? 'yes' : 'no',
      };
    case 'boiled':
      return {
        ...base,
        kind: 'boiled',
        axle: own.axle,
        lap: own.lap === null ? '' : String(own.lap),
        sign: own.sign,
      };
    case 'faded':
      return { ...base, kind: 'faded', axle: own.axle, lap: own.lap === null ? '' : String(own.lap) };
    case 'glow':
      return {
        ...base,
        kind: 'glow',
        wheel: own.wheel,
        lap: own.lap === null ? '' : String(own.lap),
        light: own.light,
      };
    case 'worn':
      return { ...base, kind: 'worn', wheel: own.wheel, padMm: shown(own.padMm, 'smallLength') };
    case 'sensor':
      return base;
  }
}
