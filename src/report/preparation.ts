import type { BeddingPlan } from '../core';
import { changeWords, fromSi, frontSharePercent, METRIC, type Setup } from '../model';
import {
  type BeddingQuestion,
  type BleedPlan,
  beddingCards,
  jobList,
  prepareChecks,
  protectionsOf,
  type Work,
} from '../services';
import {
  beddingSummary,
  beddingWarningText,
  cardText,
  drawText,
  obstacleText,
  prepareCheckText,
  screwName,
  stepTexts,
  TROUBLE_TEXT,
  torqueText,
} from '../text/en';
import { csvText } from './csv';
import { nine } from './results';

export const PREPARATION_FORMAT = 'fervent-kettle-preparation';
const celsius = (kelvin: number) => nine(fromSi(kelvin, 'temperature'));
const cm3 = (volume: number) => nine(fromSi(volume, 'volume'));
const kmh = (speed: number) => nine(fromSi(speed, 'speed'));

const bedDocument = (plan: BeddingPlan) => ({
  bedded: plan.obstacle === null,
  summary: beddingSummary(plan, METRIC),
  obstacle: plan.obstacle && obstacleText(plan.obstacle, METRIC),
  warnings: plan.warnings.map((warning) => beddingWarningText(warning, METRIC)),
  warmUps: plan.warmUps,
  snubs: plan.snubs,
  distanceM: nine(plan.distance),
  durationS: nine(plan.duration),
  energyBalanceError: plan.audit.residual,
  steps: beddingCards(plan).map((card) => ({
    phase: card.phase,
    does: card.does,
    says: cardText(card, METRIC).says,
    fromKmh: kmh(card.from),
    toKmh: kmh(card.to),
    durationS: nine(card.seconds),
    front: brakeAt(card.at.front),
    rear: brakeAt(card.at.rear),
  })),
});
const brakeAt = (at: { padPeak: number; padFace: number; rotorBulk: number; bedded: number }) => ({
  padHighestC: celsius(at.padPeak),
  padC: celsius(at.padFace),
  rotorC: celsius(at.rotorBulk),
  beddedPercent: nine(100 * at.bedded),
});

/** A preparation as data: job list, checks, and where they were asked for the plans of bleeding and bedding. */
export function preparationDocument(
  work: Work,
  bleed: BleedPlan | null,
  bedding: BeddingPlan | null,
): object {
  const { preparation, car, parts } = work;
  const list = jobList(work);
  const words = stepTexts(work, METRIC);
  return {
    format: PREPARATION_FORMAT,
    version: 1,
    name: preparation.name,
    car: car.name,
    date: preparation.date,
    changes: preparation.changes.map((change) => changeWords(change, parts, METRIC)),
    protections: protectionsOf(work).map(({ part, kind }) => ({ part: part.name, kind })),
    tools: list.tools,
    open: list.open,
    steps: list.steps.map((step) => {
      const [does, why, check] = words(step);
      const torqueNm = step.torque?.torqueNm;
      return {
        id: step.id,
        wheel: step.wheel,
        does,
        why,
        check,
        cautions: step.cautions,
        stopFor: step.stops,
        ...(step.torque && { torque: torqueText(step, METRIC), torqueNm: torqueNm ?? null }),
        done: step.done,
      };
    }),
    checks: prepareChecks(work).map((check) => {
      const [title, says] = prepareCheckText(check, METRIC);
      return { title, says, state: check.state };
    }),
    ...(bleed && {
      bleeding: {
        way: preparation.bleed.way,
        screws: bleed.steps.map((step) => ({
          id: step.id,
          name: screwName(step),
          newShowsAfterCm3: cm3(step.arrives),
          drawCm3: cm3(step.draw),
          strokes: step.strokes,
          says: drawText(step),
        })),
        throughCm3: cm3(bleed.through),
        neededCm3: cm3(bleed.needed),
        bottles: bleed.bottles,
        dryBoilingPointC: bleed.dryC,
        heed: bleed.troubles.map((trouble) => TROUBLE_TEXT[trouble]),
      },
    }),
    ...(bedding && { bedding: bedDocument(bedding) }),
  };
}

/** A bedding run as a schedule for an inertia bench: what one front and one rear brake do, step by step. */
export function benchCsv({ setup, recipe }: BeddingQuestion, plan: BeddingPlan): string {
  const { front, rear } = inertiaOf(setup);
  const rows = beddingCards(plan).map((card, i) => [
    i + 1,
    card.phase,
    card.does,
    nine(card.from / wheelRadius(setup)),
    nine(card.to / wheelRadius(setup)),
    card.does === 'brake'
      ? nine((card.phase === 'snubs' ? recipe.hard : recipe.warmUp)?.deceleration ?? 0)
      : 0,
    nine(card.seconds),
    card.does === 'brake' ? front : 0,
    card.does === 'brake' ? rear : 0,
    celsius(card.at.front.padPeak),
    celsius(card.at.front.rotorBulk),
    celsius(card.at.rear.padPeak),
    celsius(card.at.rear.rotorBulk),
  ]);
  return csvText(
    [
      'step',
      'phase',
      'does',
      'from (rad/s)',
      'to (rad/s)',
      'car deceleration (m/s²)',
      'duration (s)',
      'inertia of one front brake (kg·m²)',
      'inertia of one rear brake (kg·m²)',
      'front pad highest (°C)',
      'front rotor (°C)',
      'rear pad highest (°C)',
      'rear rotor (°C)',
    ],
    rows,
  );
}

const wheelRadius = ({ car }: Setup) => car.tyres.rollingRadiusMm / 1000;

/** What one brake of each axle has to stop, kg·m². */
function inertiaOf(setup: Setup): { readonly front: number; readonly rear: number } {
  const { car, parts } = setup;
  const share = frontSharePercent(car, parts) / 100;
  const whole = car.massKg * car.rotatingInertia * wheelRadius(setup) ** 2;
  return { front: nine((share * whole) / 2), rear: nine(((1 - share) * whole) / 2) };
}
