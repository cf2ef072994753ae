export {
  beddingRecipeText,
  beddingSummary,
  beddingWarningText,
  cardText,
  obstacleText,
  residualText,
} from './bedText';
export { drawText, fluidText, screwName } from './bleedText';
export { prepareCheckText } from './checkTexts';
export { explainBedding, explainBleeding } from './explainWork';
export { stepTexts, torqueText } from './stepText';
export {
  CAUTION_TEXT,
  FITTED_TEXT,
  PROTECTION_TEXT,
  STOP_TEXT,
  TOOL_TEXT,
  TROUBLE_TEXT,
  torqueTitle,
  VERSION_TEXT,
  WAY_STEPS,
  WAY_TEXT,
} from './words';
