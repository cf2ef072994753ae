export { comparisonText, runSummary, stopDoubtText } from './comparisonText';
export { bothBasesText, forecastText, minuteText, requirementText, testSummary } from './predictionText';
export { benchSummary, techniqueText } from './techniqueText';
export {
  DEVIATION_TEXT,
  ENOUGH_TEXT,
  FAILURE_TEXT,
  HELD_BY_TEXT,
  RUN_END_TEXT,
  STOP_LIMIT_TEXT,
  STOP_NOW,
  STOP_SOURCE_TEXT,
  TEST_BRAKING_TEXT,
  TEST_KIND_TEXT,
  TEST_PHASE_TEXT,
  TEST_PLACE_TEXT,
  TEST_SAFETY,
  TEST_VALUE_TEXT,
  USUAL_SETUP_TEXT,
} from './words';
