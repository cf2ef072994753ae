import {
  chainOf,
  chassisOf,
  effectiveRadiusMm,
  formatQuantity,
  frontSharePercent,
  siText,
} from '../../model';
import type { Explanation, Facts, Input } from './explanation';
import { fadeText, LIMIT_WORDS } from './wording';

/** What can be explained of foot and balance. */
export type ForceTopic = 'pedal' | 'travel' | 'balance' | 'fade';

function chain({ setup, units }: Facts): Input[] {
  const { car } = setup;
  const { pedal } = car;
  const { cylinders } = pedal;
  const mm = (value: number) => formatQuantity(value, 'smallLength', units);
  return [
    ['Pedal ratio and efficiency', `${pedal.ratio} × ${pedal.efficiencyPercent} %`],
    [
      'Booster',
      pedal.booster
        ? `${pedal.booster.gain} up to ${formatQuantity(pedal.booster.kneeN, 'force', units)} in`
        : 'none',
    ],
    [
      'Cylinders',
      cylinders.kind === 'pair'
        ? `${mm(cylinders.frontBoreMm)} front, ${mm(cylinders.rearBoreMm)} rear, ${cylinders.frontPushPercent} % of the push to the front`
        : `${cylinders.kind}, ${mm(cylinders.boreMm)}`,
    ],
    ...(['front', 'rear'] as const).map((axle): Input => {
      const { drum, caliper } = car[axle];
      const pistons = drum ? [drum.cylinderMm] : caliper.pistonsMm;
      return [
        axle === 'front' ? 'Front brakes' : 'Rear brakes',
        `${drum ? drum.shoes : caliper.kind}, pistons ${pistons.map(mm).join(', ')}, at ${mm(effectiveRadiusMm(car[axle]))}`,
      ];
    }),
  ];
}

export const FORCE_TOPICS: Readonly<Record<ForceTopic, (facts: Facts) => Explanation>> = {
  pedal: (facts) => ({
    title: 'Pedal force',
    relation:
      'What the braking at the tyres needs: T = 2·µ·p·A·r_eff for a disc, C*·p·A·r for a drum, p from pedal × ratio × booster ÷ cylinder area through balance bar and valve; µ of each pad at its face temperature, less what is glazed.',
    inputs: chain(facts),
    source:
      'Limpert, Brake Design and Safety; the brake factor of shoes is set to 2.2 at µ = 0.38 (from memory).',
    limits: 'No knock-back, no flex of the pedal box.',
  }),
  travel: (facts) => {
    const { front, rear } = chainOf(facts.setup.car, facts.setup.parts);
    const gap = (axle: typeof front) => siText(axle.clearance, 'smallLength', facts.units, 2);
    return {
      title: 'Pedal travel',
      relation:
        'Free travel, then the fluid that closes the gaps, presses pads together, opens the calipers, swells the hoses and compresses itself, over the cylinder’s area, times the ratio; vapour in boiled fluid must be pressed together first.',
      inputs: [
        ['Gaps, front and rear', `${gap(front)}, ${gap(rear)}`],
        ['Hoses', `${facts.setup.car.pedal.hoseExpansionMm3BarM} mm³ a bar and metre`],
        ['To the floor', formatQuantity(facts.setup.car.pedal.travelMm, 'smallLength', facts.units)],
      ],
      source:
        'Sum of volumes; stiffnesses are typical (from memory), vapour 0.4 cm³ per °C and wheel (own estimate).',
      limits: 'A measured pedal tells more: a soft or sinking one means do not drive.',
    };
  },
  balance: (facts) => ({
    title: 'Brake balance (% front) and its ideal',
    relation:
      'Actual: braking of the front axle over all braking, motor included, with the friction of that moment. Ideal: (b + z·h)/L with each axle’s downforce, at which both axles ask the same friction of their tyres.',
    inputs: [
      ['With warm pads', `${frontSharePercent(facts.setup.car, facts.setup.parts).toFixed(1)} %`],
      ['Standing weight on the front', `${(100 * chassisOf(facts.setup.car).frontWeight).toFixed(1)} %`],
      [
        'Height over wheelbase',
        (chassisOf(facts.setup.car).gravityHeight / chassisOf(facts.setup.car).wheelbase).toFixed(3),
      ],
      ...chain(facts),
    ],
    source: 'Limpert, Brake Design and Safety.',
    limits: 'Load transfer is as on a straight; springs, dampers and the tyres’ own spread are not in it.',
  }),
  fade: (facts) => {
    const { fade } = facts.result;
    return {
      title: 'Brake reserve',
      relation:
        'Braking the car could make at the driver’s limits of force and travel, with the friction of that moment, over the braking that is needed, minus 1. Under 0 the car overshoots by the work that is missing over the braking there is.',
      inputs: [
        ['Driver’s limit', formatQuantity(facts.setup.car.pedal.limitN, 'force', facts.units)],
        ...(fade
          ? ([
              ['Least of the hot laps', fadeText(fade.margin)],
              ['Limited by', LIMIT_WORDS[fade.limit]],
            ] as const)
          : []),
        ['Brakes earlier on the next lap', facts.setup.plan.brakesEarlier ? 'yes' : 'no'],
      ],
      source: 'Own definition; 500 N (112 lbf) is the usual design limit (UN R13-H).',
      limits: 'The heat of a braking that overshoots is kept in its planned time.',
    };
  },
};
