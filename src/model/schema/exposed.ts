import * as z from 'zod/mini';
import type { ExposedPart } from '../../core';
import { ZERO_CELSIUS } from '../../core';
import { EXPOSED_KIND_IDS, EXPOSED_KINDS, type ExposedKind } from '../catalogue/exposed';
import { toSi } from '../quantity/units';
import { numberField } from './field';
import { idSchema, nameSchema } from './naming';

/** A part near a brake or an exhaust that must not get hot, as stored. */
export const exposedSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(EXPOSED_KIND_IDS).check(z.meta({ title: 'Kind' })),
  axle: z.enum(['front', 'rear']).check(z.meta({ title: 'Axle' })),
  side: z.enum(['driver', 'passenger']).check(z.meta({ title: 'Side' })),
  distanceMm: numberField({
    title: 'Distance',
    quantity: 'smallLength',
    min: 2,
    max: 1500,
    usual: [20, 200],
    step: 5,
    description: 'From the face of the rotor, or from the exhaust, along its axis.',
  }),
  viewPercent: numberField({
    title: 'In view',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [10, 100],
    step: 5,
    description: 'Share of the hot face that nothing else hides from it.',
  }),
  airPercent: numberField({
    title: 'Air past it',
    quantity: 'percent',
    min: 0,
    max: 100,
    usual: [5, 50],
    step: 5,
    description: 'Share of the road speed that blows past it.',
  }),
  ratingC: numberField({
    title: 'Rating',
    quantity: 'temperature',
    min: 40,
    max: 600,
    usual: [100, 200],
    step: 5,
    description: 'Highest temperature it is made for. Take it from the maker’s data.',
  }),
  /** What is on it, or before it, already */
  protection: z.enum(['none', 'shield', 'sleeve', 'wrap']).check(z.meta({ title: 'Protection' })),
  movedMm: numberField({
    title: 'Could be moved to',
    quantity: 'smallLength',
    min: 2,
    max: 3000,
    usual: [40, 400],
    step: 5,
    description: 'Distance it could be tied or bent away to.',
  }),
  exhaustC: numberField({
    title: 'Exhaust',
    quantity: 'temperature',
    min: 20,
    max: 1100,
    usual: [350, 750],
    step: 10,
    description: 'Surface of the pipe while driving; only where the part is near one.',
  }),
  exhaustMm: numberField({
    title: 'Pipe diameter',
    quantity: 'smallLength',
    min: 10,
    max: 300,
    usual: [40, 90],
    step: 5,
    description: 'It is taken for a disc of this size; only where the part is near one.',
  }),
});
export type Exposed = z.infer<typeof exposedSchema>;

/** A part of a kind with usual values (from memory). */
export function starterExposed(kind: ExposedKind, id: string): Exposed {
  const { name, ratingC } = EXPOSED_KINDS[kind];
  const near = { lead: 60, hose: 120, line: 150, boot: 45, cylinder: 90, seal: 25, rim: 60, bead: 120 }[kind];
  const view = { seal: 20, rim: 30, bead: 0 }[kind as string] ?? 60;
  const air = { seal: 5, cylinder: 5, rim: 50, bead: 10 }[kind as string] ?? 20;
  return {
    id,
    name,
    kind,
    axle: 'front',
    side: 'driver',
    distanceMm: near,
    viewPercent: view,
    airPercent: air,
    ratingC,
    protection: 'none',
    movedMm: 2 * near,
    exhaustC: 550,
    exhaustMm: 60,
  };
}

/** A stored part in SI, on its own side or on a given one. */
export function exposedPart(
  car: { readonly driverSide: 'left' | 'right' },
  part: Exposed,
  side: Exposed['side'] = part.side,
): ExposedPart {
  const kind = EXPOSED_KINDS[part.kind];
  const left = (side === 'driver') === (car.driverSide === 'left');
  return {
    wheel: `${part.axle}${left ? 'Left' : 'Right'}`,
    source: kind.source,
    distance: toSi(part.distanceMm, 'smallLength'),
    view: toSi(part.viewPercent, 'percent'),
    absorptivity: kind.absorptivity,
    airedOver: kind.airedOver,
    capacity: kind.capacity,
    air: toSi(part.airPercent, 'percent'),
    contact: kind.contact,
    contactConductance: kind.contactConductance,
    outflow: kind.outflow,
    exhaustTemperature: part.exhaustC + ZERO_CELSIUS,
    exhaustRadius: part.exhaustMm / 2000,
    rating: part.ratingC + ZERO_CELSIUS,
  };
}
