export { fluidReasonText } from './fluidText';
export { findingText, INSPECTION_SAFETY, WEIGHT_TEXT } from './inspectText';
export { missingText, provenText, remainingSentence, remainingText } from './seasonText';
export {
  ENTRY_KIND_TEXT,
  entryDoubtText,
  entrySummary,
  FLUID_DEED_TEXT,
  orderText,
  PLACE_TEXT,
  pieceText,
  REASON_TEXT,
  SCHOOL_TEXT,
  SESSION_KIND_TEXT,
  thicknessText,
} from './words';
