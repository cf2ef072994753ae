import { cornerOfWheel, rotorGeometry } from '../../core';
import {
  CALIPER_BODIES,
  chassisOf,
  dayInput,
  formatQuantity,
  frontSharePercent,
  isBuiltIn,
  PISTONS,
  padOf,
  ROTOR_MATERIALS,
  SHIMS,
  siText,
  type UnitChoice,
} from '../../model';
import type { Facts, Input } from './explanation';

/** Lengths of a part in mm, multiplied out in one unit. */
export const sizes = (mm: readonly number[], units: UnitChoice) =>
  mm
    .map((value) => formatQuantity(value, 'smallLength', units).split(' '))
    .reduce(([before], [value, unit]) => [`${before} × ${value}`, unit])
    .join(' ');

export const percent = (share: number) => `${(100 * share).toFixed(1)} %`;

export const CONDUCTION =
  'Finite volumes through the cheek, implicit in time (Alexander 1977), checked against NAFEMS T2 and T3, Carslaw and Jaeger, and npm odex.';

export const cooling = ({ brakes, units }: Facts): Input[] => [
  [
    'Duct to this wheel',
    `${formatQuantity(brakes.ductAreaCm2, 'area', units)}, ${brakes.blankedOffPercent} % blanked off, ${brakes.toCaliperPercent} % to the caliper`,
  ],
  ['Recirculation without a duct', `${brakes.recirculationPercent} %`],
  ['Wheel open area, dust shield', `${brakes.wheelOpenAreaPercent} %, ${brakes.shieldPercent} %`],
  [
    'Cooling factor, left and right',
    `${brakes.coolingFactor} × ${brakes.leftFactor} and ${brakes.rightFactor}`,
  ],
];

export const work = ({ setup, units }: Facts): Input[] => [
  [
    'Mass, with rotating parts',
    `${formatQuantity(chassisOf(setup.car).mass, 'mass', units)} × ${setup.car.rotatingInertia}`,
  ],
  [
    'Brake balance (% front) with warm pads',
    `${frontSharePercent(setup.car, setup.parts).toFixed(1)} %${setup.car.frontSharePercent === null ? ', from cylinders, pistons, radii and friction' : ', as measured'}`,
  ],
  ['Lost in tyre slip', `${setup.car.tyres.slipSharePercent} %`],
];

export const rotor = (facts: Facts): Input[] => {
  const { brakes, setup, wheel, units } = facts;
  if (brakes.drum)
    return [
      [
        'Drum',
        `${sizes([brakes.drum.innerDiameterMm, brakes.drum.widthMm], units)}, rim ${sizes([brakes.drum.rimThicknessMm], units)}`,
      ],
    ];
  const geometry = rotorGeometry(cornerOfWheel(dayInput(setup), wheel).rotor);
  return [
    [
      'Material',
      `${ROTOR_MATERIALS[brakes.rotor.material].name}, ${ROTOR_MATERIALS[brakes.rotor.material].source}`,
    ],
    [
      'Ring',
      `${sizes([brakes.rotor.outerDiameterMm, brakes.rotor.innerDiameterMm, brakes.rotor.thicknessMm], units)}, ${formatQuantity(geometry.cheekMass + geometry.vaneMass, 'mass', units)}`,
    ],
    ['Swept area, both sides', siText(2 * geometry.faceArea, 'area', units)],
  ];
};

export const padEntry = ({ brakes, setup }: Facts) => padOf(brakes.pad, setup.parts);

export const pad = (facts: Facts): Input[] => [
  [
    'Pad',
    `${padEntry(facts).name}, ${isBuiltIn(facts.brakes.pad) ? 'typical values (from memory)' : 'a part of your own'}`,
  ],
  [
    'Area, material left',
    `${formatQuantity(facts.brakes.padAreaCm2, 'area', facts.units)}, ${formatQuantity(facts.brakes.padThicknessMm, 'smallLength', facts.units)}`,
  ],
];

export const caliper = ({ brakes, units }: Facts): Input[] => [
  [
    'Pistons',
    `${PISTONS[brakes.caliper.pistons].name}, wall ${formatQuantity(brakes.caliper.pistonWallMm, 'smallLength', units)}, ${brakes.caliper.kind} caliper`,
  ],
  ['Shim or cap', SHIMS[brakes.shim].name],
  [
    'Caliper',
    `${CALIPER_BODIES[brakes.caliper.body].name}, ${formatQuantity(brakes.caliper.massKg, 'mass', units)}, ${formatQuantity(brakes.caliper.wettedAreaCm2, 'area', units, 0)} in the air`,
  ],
];
