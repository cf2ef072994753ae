import { sideOf } from '../../../core';
import { formatQuantity, METRIC, siText, type UnitChoice } from '../../../model';
import { type JobStep, type PrepareCheck, prepareChecks, protectionsOf, type Work } from '../../../services';
import { CAR_STEPS } from './carSteps';
import type { StepFacts, StepWords } from './facts';
import { WHEEL_STEPS } from './wheelSteps';
import { PROTECTION_TEXT, torqueTitle, VERSION_TEXT, WAY_TEXT } from './words';

const of = <K extends PrepareCheck['kind']>(checks: readonly PrepareCheck[], kind: K) =>
  checks.find((check): check is Extract<PrepareCheck, { kind: K }> => check.kind === kind);

/** A volume in SI as text, whole cm³. */
const cm3 = (volume: number) => siText(volume, 'volume', METRIC, 0);

/** The words of a preparation's steps, in the reader's units. */
export function stepTexts(work: Work, units: UnitChoice): (step: JobStep) => StepWords {
  const checks = prepareChecks(work);
  const { preparation, car } = work;
  const back = of(checks, 'push back');
  const mm = (value: number | null) => (value === null ? null : formatQuantity(value, 'smallLength', units));
  const shared = {
    pushBack:
      back && back.home > 0
        ? { home: cm3(back.home), room: cm3(Math.max(0, back.room)), tooLittle: back.home > back.room }
        : null,
    pumps: of(checks, 'first push')?.pumps ?? 1,
    bleedWay: WAY_TEXT[preparation.bleed.way],
    bedding: VERSION_TEXT[preparation.bed.version].name.toLowerCase(),
  };
  return (step) => {
    const { code, wheel } = step;
    const axle = wheel?.startsWith('rear') ? 'rear' : 'front';
    const workshop = car.workshop[axle];
    const near = protectionsOf(work).filter(({ part, source }) =>
      wheel === null ? source === 'exhaust' : source === 'rotor' && part.axle === axle,
    );
    const facts: StepFacts = {
      ...shared,
      side: wheel ? sideOf(wheel) : '',
      protections: near.map(({ part, kind }) => `${part.name}: ${PROTECTION_TEXT[kind]}`).join('; '),
      pistons: car[axle].caliper.pistonsMm.map((d) => formatQuantity(d, 'smallLength', units)).join(', '),
      rotorMinimum: mm(workshop.rotorMinimumMm),
      padMinimum: mm(workshop.padMinimumMm),
      aluminium: workshop.aluminiumUpright,
      sensorStays: !work.wheels.some((own) => own.axle === axle && own.tasks.has('pads')),
      fixed: car[axle].caliper.kind === 'fixed',
      screws: workshop.screws === 'one' ? 1 : 2,
    };
    return code in WHEEL_STEPS
      ? WHEEL_STEPS[code as keyof typeof WHEEL_STEPS](facts)
      : CAR_STEPS[code as keyof typeof CAR_STEPS](facts);
  };
}

/** The maker's figure of a step, as it was entered and by whom; or that nobody has. */
export function torqueText({ torque }: Pick<JobStep, 'torque'>, units: UnitChoice): string {
  if (!torque) return '';
  const title = torqueTitle(torque.key);
  return torque.torqueNm === null
    ? `${title}: the maker’s figure is not entered yet`
    : `${title}: ${formatQuantity(torque.torqueNm, 'torque', units)} (maker’s figure, ${torque.by}, ${torque.date})`;
}
