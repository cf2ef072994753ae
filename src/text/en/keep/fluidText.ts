import { formatQuantity, type UnitChoice } from '../../../model';
import type { FluidReason } from '../../../services';

/** Why fluid is to be renewed, in a sentence. */
export function fluidReasonText(reason: FluidReason, units: UnitChoice): string {
  const degrees = (celsius: number) => formatQuantity(celsius, 'temperature', units);
  switch (reason.kind) {
    case 'over temperature':
    case 'boiled':
      return `It boiled or was over temperature on ${reason.date}: what boiled once boils earlier, and vapour leaves air behind.`;
    case 'copper':
      return `Copper ${reason.ppm} ppm on ${reason.date}: 200 and more means that its corrosion protection is used up (common practice).`;
    case 'school':
      return reason.school === 'each event'
        ? 'Renewed before each event, by your own rule.'
        : `In since ${reason.since}: older than your own rule lets it be.`;
    case 'boiling point':
      return `It may boil at ${degrees(reason.boilingC.low)} by then (${degrees(reason.boilingC.median)} most likely); ${degrees(reason.neededC)} is needed for the hottest session and its margin.`;
  }
}
