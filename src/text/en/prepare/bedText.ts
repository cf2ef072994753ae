import type { AxleName, BeddingObstacle, BeddingPlan, BeddingRecipe, BeddingWarning } from '../../../core';
import { siText, type UnitChoice } from '../../../model';
import type { BeddingCard } from '../../../services';

const AXLE: Readonly<Record<AxleName, string>> = { front: 'front', rear: 'rear' };

/** Why a run does not bed the pads. */
export function obstacleText(obstacle: BeddingObstacle, units: UnitChoice): string {
  const t = (kelvin: number) => siText(kelvin, 'temperature', units);
  const axle = AXLE[obstacle.axle];
  switch (obstacle.kind) {
    case 'stays cold':
      return `Not bedded: the ${axle} brakes come to ${t(obstacle.reached)} only, and rotor and pad should be at ${t(obstacle.needed)} before the first hard braking. Higher speeds, shorter pauses, blanked ducts or a bench bring more; do not brake hard on them as they are.`;
    case 'pads stay cold':
      return `Not bedded at the ${axle}: in the hard snubs the pads come to ${t(obstacle.reached)}, and bedding begins at ${t(obstacle.needed)}. Higher speeds or a bench bring more, else they bed over the first sessions and bite less until then.`;
    case 'too hot':
      return `Not bedded: the ${axle} pads would be at ${t(obstacle.reached)}, over ${t(obstacle.needed)}, before the other axle is warm. Bed one axle after the other, or on a bench.`;
    case 'not bedded':
      return `Not finished: the ${axle} pads come to ${Math.round(100 * obstacle.reached)} % bedded. More snubs are needed.`;
  }
}

export function beddingWarningText(warning: BeddingWarning, units: UnitChoice): string {
  const t = (kelvin: number) => siText(kelvin, 'temperature', units);
  switch (warning.kind) {
    case 'smear':
      return `Smear: the first hard snub finds the ${AXLE[warning.axle]} rotor at ${t(warning.rotor)} and takes the pad to ${t(warning.pad)}; the rotor should be at ${t(warning.needed)} first. Material is left in patches and the brake shakes. More warm-ups.`;
    case 'over the band':
      return `The ${AXLE[warning.axle]} pads come to ${t(warning.reached)}, over the ${t(warning.needed)} in which they are bedded. Longer pauses or fewer snubs.`;
    case 'held':
      return `The braking asked for is not reached: limited by ${warning.by === 'tyres' ? 'the tyres' : warning.by === 'pedal' ? 'the driver’s foot' : 'the pedal’s travel'}.`;
  }
}

/** One instruction, short enough to be read at a glance or aloud. */
export function cardText(
  card: BeddingCard,
  units: UnitChoice,
): { readonly says: string; readonly after: string } {
  const v = (speed: number) => siText(speed, 'speed', units);
  if (card.does === 'brake') {
    const name = card.phase === 'warm-up' ? 'Warm-up' : 'Hard snub';
    const how = card.phase === 'warm-up' ? 'brake evenly' : 'brake hard';
    return {
      says: `${name} ${card.n} of ${card.of}: from ${v(card.from)} ${how} to ${v(card.to)}`,
      after: `About ${siText((card.from - card.to) / card.seconds, 'deceleration', units)}. Release fully; never to a standstill on the brakes.`,
    };
  }
  if (card.phase === 'roll-out') {
    return {
      says: `Roll on at ${v(card.to)} for ${minutesText(card.seconds)}`,
      after: `About ${siText(card.distance, 'longDistance', units)}, hardly any brakes. Then park without holding the pedal; parking brake off.`,
    };
  }
  return {
    says: `Back to ${v(card.to)}, ${Math.round(card.seconds)} s`,
    after: 'Foot off the brake.',
  };
}

/** A share of energy as percent: `< 0.0001` where it is less. */
export const residualText = (residual: number): string =>
  100 * residual < 0.0001 ? '< 0.0001' : (100 * residual).toFixed(4);

/** `4 min`, `45 s` */
export const minutesText = (seconds: number): string =>
  seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;

/** How each kind of application is driven: from, to, how hard, how often. */
export function beddingRecipeText(plan: BeddingPlan, recipe: BeddingRecipe, units: UnitChoice): string {
  const v = (speed: number) => siText(speed, 'speed', units);
  const told = (phase: 'warm-up' | 'snubs', name: string, snub: BeddingRecipe['warmUp']) => {
    const own = plan.steps.filter((step) => step.phase === phase);
    const applications = own.filter(({ does }) => does === 'brake').length;
    const each = own.reduce((sum, { duration }) => sum + duration, 0) / Math.max(1, applications);
    return `${name}: ${v(snub.from)} to ${v(snub.to)} at ${siText(snub.deceleration, 'deceleration', units)}, one about every ${Math.round(each)} s.`;
  };
  const roll = plan.steps.filter((step) => step.phase === 'roll-out');
  const rolled = roll.reduce((sum, { distance }) => sum + distance, 0);
  return [
    told('warm-up', 'Warm-ups', recipe.warmUp),
    ...(recipe.hard && plan.snubs > 0 ? [told('snubs', 'Hard snubs', recipe.hard)] : []),
    `Roll-out: ${siText(rolled, 'longDistance', units)} at ${v(recipe.rollOut.speed)}, no standing on the brakes.`,
  ].join(' ');
}

/** A run in one sentence. */
export function beddingSummary(plan: BeddingPlan, units: UnitChoice): string {
  const parts = [
    `${plan.warmUps} medium ${plan.warmUps === 1 ? 'application' : 'applications'} to warm up`,
    ...(plan.snubs > 0 ? [`${plan.snubs} hard ${plan.snubs === 1 ? 'snub' : 'snubs'}`] : []),
    'a roll-out without brakes',
  ];
  return `${parts.join(', ')}: ${siText(plan.distance, 'longDistance', units)} in ${minutesText(plan.duration)}.`;
}
