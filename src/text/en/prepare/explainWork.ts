import type { BeddingPlan } from '../../../core';
import { formatQuantity, METRIC, padOf, siText, type UnitChoice } from '../../../model';
import { BEDDED, type BeddingQuestion, type BleedPlan, beddingOf, type Work } from '../../../services';
import type { Explanation, Input } from '../explanation';
import { residualText } from './bedText';

const cm3 = (volume: number) => siText(volume, 'volume', METRIC, 0);

/** How a bedding run was found. */
export function explainBedding(
  { setup, axles, recipe }: BeddingQuestion,
  plan: BeddingPlan,
  work: Work,
  units: UnitChoice,
): Explanation {
  const t = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  const data = axles.flatMap((axle): Input[] => {
    const { warm, bed, seconds, source } = beddingOf(setup.car, axle, setup.parts, work.preparation.bed);
    const name = padOf(setup.car[axle].pad, setup.parts).name;
    return [
      [
        `${axle}: ${name}`,
        source === 'typed' ? 'as typed from what came with it' : `usual of its family ${source}`,
      ],
      [`${axle}: warm, pad and rotor`, `${t(warm[0])} to ${t(warm[1])}`],
      [`${axle}: bedded at`, `${t(bed[0])} to ${t(bed[1])} of the pad’s surface`],
      [`${axle}: braking in it for 95 %`, `${seconds} s`],
    ];
  });
  return {
    title: 'Bedding run',
    relation:
      'The car is driven through it by the same computation as a session: each application at the deceleration given, as far as tyres and foot allow, then back to speed. Warm-ups go on until pad surface and rotor core are both in the first band; hard snubs until the film is there, each begun only when the pad would not pass the top of its band. The film grows while braking in the band: db/dt = 3·(1 − b)/t, so that 95 % is there after the pad’s time t. A pad with no film lacks a quarter of its friction.',
    inputs: [
      ...data,
      ['Counts as bedded from', `${100 * BEDDED} %`],
      ['Air', siText(recipe.ambient, 'temperature', units)],
      ['Back to speed at', siText(recipe.acceleration, 'deceleration', units, 1)],
      ['Least pause at speed', `${recipe.pause} s`],
      ['Energy balance error', `${residualText(plan.audit.residual)} %`],
    ],
    source:
      'Warm-up before hard braking, rotor and pad together, no standing on the brakes: common practice. Bands, times and the friction of a pad that is not bedded: from memory; the index of the film is our own.',
    limits:
      'What the pads’ maker says goes before. The film is no measured quantity: the look of the faces decides. Energy recovery is left out; wind and slope are too.',
  };
}

/** How the volumes of bleeding were found. */
export function explainBleeding(plan: BleedPlan, work: Work, units: UnitChoice): Explanation {
  const { workshop, pedal } = work.car;
  const mm = (value: number) => formatQuantity(value, 'smallLength', units);
  return {
    title: 'Volumes of bleeding',
    relation:
      'A line or hose holds π/4·d²·l and is passed on whole; chamber and control unit are emptied by the first screw of their circuit. A caliper’s bores are a stirred tank: after n of its volumes e^(−n) of the old fluid is left, so 3 volumes (ln 20) leave a twentieth. To what goes through the screws comes one filling of the reservoir, and a quarter as reserve.',
    inputs: [
      ['Bore of lines and hoses', `${mm(workshop.lineBoreMm)}, ${mm(workshop.hoseBoreMm)}`],
      ['Hose at each wheel', mm(pedal.hoseLengthMm)],
      ['Reservoir', formatQuantity(workshop.reservoirCm3, 'volume', METRIC, 0)],
      ['Control unit', formatQuantity(workshop.unitCm3, 'volume', METRIC, 0)],
      ['Through all screws and the reservoir', cm3(plan.through)],
      ['With the reserve', cm3(plan.needed)],
    ],
    source:
      'Geometry; 3.2 m of 3.0 mm hold 22.6 cm³ by hand (checked). About 1 bar (15 psi) or 15 to 20 inHg of vacuum: common practice. What may stay in a caliper, the clutch’s volume and the reserve are our own choice.',
    limits:
      'T-pieces and air pockets are not known. Bubbles, colour and the pedal decide when a screw is done, and the maker’s procedure goes before.',
  };
}
