import { closeCircuit } from '../edit/closeCircuit';
import type { AxleBrakes } from '../schema/axle';
import type { Circuit, CircuitZone } from '../schema/circuit';

/** A plain closed oval to begin a circuit of straights and corners from. */
export function starterLine(id: string, name: string): Circuit {
  const straight = (lengthM: number) => ({ kind: 'straight' as const, lengthM, gradePercent: 0 });
  const bend = (corner: string) => ({
    kind: 'corner' as const,
    name: corner,
    radiusM: 60,
    angleDeg: 180,
    hand: 'right' as const,
    gradePercent: 0,
  });
  const circuit: Circuit = {
    id,
    name,
    altitudeM: 0,
    trackWidthM: 12,
    place: null,
    source: 'typed',
    layout: {
      kind: 'line',
      segments: [straight(600), bend('First bend'), straight(600), bend('Second bend')],
    },
  };
  return closeCircuit(circuit) ?? circuit;
}

/** A braking zone to begin a list from. */
export function starterZone(name: string): CircuitZone {
  return {
    name,
    entryKmh: 160,
    exitKmh: 80,
    by: 'deceleration',
    distanceM: 80,
    decelerationMs2: 9,
    toNextM: 400,
    timeToNextS: null,
    gradePercent: 0,
  };
}

/** A plain drum to begin from. */
export const STARTER_DRUM: NonNullable<AxleBrakes['drum']> = {
  material: 'grey-iron',
  innerDiameterMm: 230,
  widthMm: 42,
  rimThicknessMm: 9,
  ribFactor: 1.2,
  webMassKg: 1.6,
  shoes: 'leading-trailing',
  cylinderMm: 20.6,
  shoeMassKg: 1.1,
};
