/**
 * Kinds of parts that must not get hot. Values are for a square metre of what faces the heat: surface in the air over it,
 * heat capacity in J/(m²·K), share of radiation taken up, and what it is fixed to with W/(m²·K). All from memory.
 */
export const EXPOSED_KINDS = {
  lead: {
    name: 'Sensor lead',
    source: 'rotor',
    airedOver: Math.PI,
    capacity: 7000,
    absorptivity: 0.9,
    contact: 'none',
    contactConductance: 0,
    ratingC: 150,
  },
  hose: {
    name: 'Brake hose',
    source: 'rotor',
    airedOver: Math.PI,
    capacity: 15000,
    absorptivity: 0.92,
    contact: 'caliper',
    contactConductance: 10,
    ratingC: 150,
  },
  line: {
    name: 'Hard line',
    source: 'rotor',
    airedOver: Math.PI,
    capacity: 9000,
    absorptivity: 0.6,
    contact: 'upright',
    contactConductance: 8,
    ratingC: 200,
  },
  boot: {
    name: 'Ball-joint boot',
    source: 'rotor',
    airedOver: 2,
    capacity: 6000,
    absorptivity: 0.92,
    contact: 'upright',
    contactConductance: 25,
    ratingC: 120,
  },
  cylinder: {
    name: 'Cylinder near the exhaust',
    source: 'exhaust',
    airedOver: 2.5,
    capacity: 30000,
    absorptivity: 0.5,
    contact: 'none',
    contactConductance: 0,
    ratingC: 120,
  },
  seal: {
    name: 'Wheel-bearing seal',
    source: 'rotor',
    airedOver: 0.5,
    capacity: 8000,
    absorptivity: 0.9,
    contact: 'hub',
    contactConductance: 400,
    ratingC: 130,
  },
} as const;
export type ExposedKind = keyof typeof EXPOSED_KINDS;
export const EXPOSED_KIND_IDS = Object.keys(EXPOSED_KINDS) as [ExposedKind, ...ExposedKind[]];
