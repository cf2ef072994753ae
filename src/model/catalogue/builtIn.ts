import type { Part, PartOf } from '../schema/part';
import { CALIPERS } from './calipers';
import { FLUIDS } from './fluids';
import type { PadEntry } from './padEntry';
import { PADS } from './pads';
import { type PriceClass, TYPICAL } from './price';
import { ROTORS } from './rotors';

const cylinder = (bore: number, stroke: number, price: PriceClass, note: string): PartOf<'cylinder'> => ({
  kind: 'cylinder',
  id: `cylinder-${String(bore).replace('.', '-')}`,
  name: `Cylinder ${bore}`,
  note,
  price,
  massKg: 0.4 + 0.02 * bore,
  source: TYPICAL,
  values: { boreMm: bore, strokeMm: stroke },
});
const cylinders: readonly PartOf<'cylinder'>[] = [
  cylinder(15.9, 32, 3, 'For a pair with a balance bar.'),
  cylinder(17.8, 32, 3, 'For a pair with a balance bar.'),
  cylinder(19.1, 34, 3, 'For a pair, or a light car without a booster.'),
  cylinder(20.6, 36, 2, 'Small cars.'),
  cylinder(22.2, 38, 2, 'The usual car.'),
  cylinder(25.4, 40, 2, 'Heavy cars with large calipers.'),
];

const line = (id: string, name: string, growth: number, price: PriceClass, note: string): PartOf<'line'> => ({
  kind: 'line',
  id,
  name,
  note,
  price,
  massKg: 0.15,
  source: TYPICAL,
  values: { growthMm3BarM: growth },
});
const lines: readonly PartOf<'line'>[] = [
  line('line-rubber', 'Rubber hose', 16, 1, 'Grows and ages; the pedal is softer for it.'),
  line('line-rubber-low', 'Rubber hose, low expansion', 9, 1, 'Two plies.'),
  line('line-braided', 'Braided steel over PTFE', 4, 3, 'Firm; look for chafing.'),
  line('line-hard', 'Mostly hard line', 1.5, 2, 'Short hose only where the wheel moves.'),
];

const duct = (id: string, name: string, area: number, flow: number, price: PriceClass): PartOf<'duct'> => ({
  kind: 'duct',
  id,
  name,
  note: 'Costs drag; check the coldest braking point.',
  price,
  massKg: 0.3 + 0.008 * area,
  source: TYPICAL,
  values: { areaCm2: area, coefficientPercent: flow },
});
const ducts: readonly PartOf<'duct'>[] = [
  duct('duct-50', 'Hose of 50 mm (2 in)', 19.6, 40, 1),
  duct('duct-63', 'Hose of 63 mm (2½ in)', 31.2, 45, 1),
  duct('duct-76', 'Hose of 76 mm (3 in)', 45.4, 45, 2),
  duct('duct-100', 'Hose of 100 mm (4 in)', 78.5, 50, 2),
  duct('duct-moulded', 'Moulded duct into the hub', 95, 60, 4),
];

const pads = Object.entries(PADS).map(
  ([id, pad]: [string, PadEntry]): PartOf<'pad'> => ({
    kind: 'pad',
    id,
    name: pad.name,
    note: pad.note,
    price: pad.price,
    massKg: pad.mass,
    source: TYPICAL,
    values: {
      family: pad.family,
      friction: pad.friction.map(([celsius, mu]) => ({ celsius, mu })),
      windowLowC: pad.window[0],
      windowHighC: pad.window[1],
      limitC: pad.limit,
      plateLimitC: pad.plateLimit,
      conductivity: pad.conductivity,
      density: pad.density,
      specificHeat: pad.specificHeat,
      modulusMPa: pad.modulus,
      dust: pad.dust,
      noise: pad.noise,
      rotorWear: pad.rotorWear,
    },
  }),
);
const fluids = Object.entries(FLUIDS).map(
  ([id, fluid]): PartOf<'fluid'> => ({
    kind: 'fluid',
    id,
    name: fluid.name,
    note: fluid.note,
    price: fluid.price,
    massKg: 1.05,
    source: fluid.source,
    values: {
      class: fluid.class,
      dryC: fluid.dry,
      wetC: fluid.wet,
      silicone: fluid.silicone,
      modulusMPa: fluid.modulus,
    },
  }),
);

/** Generic parts of our own; none is a maker's. */
export const BUILT_IN: readonly Part[] = [
  ...ROTORS,
  ...pads,
  ...CALIPERS,
  ...cylinders,
  ...fluids,
  ...lines,
  ...ducts,
];
