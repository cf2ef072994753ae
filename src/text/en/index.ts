export { changeText } from './changeText';
export { checkText } from './checkText';
export {
  explainBalance,
  explainChances,
  explainComparison,
  explainDuctDrag,
  explainExposed,
  explainLadder,
  explainNeed,
  explainPlan,
  explainSheet,
  explainWays,
} from './decisionExplanations';
export {
  AXLE_WORDS,
  failingWords,
  marginWords,
  moneyText,
  NO_WAY_WORDS,
  noDuctWords,
  signedKelvin,
  signedSeconds,
  WAY_WORDS,
} from './decisionWords';
export { doubtNote, doubtText, lessText, moreText } from './doubt';
export type { Explanation } from './explanation';
export { explain, type Topic } from './explanations';
export { GLOSSARY, type Term } from './glossary';
export { CAUSE_WORDS, SYMPTOM_NAMES } from './happened';
export * from './keep';
export { lapText } from './lapText';
export { leftText } from './leftText';
export { noteText } from './noteText';
export {
  INSTRUMENT_NAMES,
  LIGHT_NAMES,
  OBSERVATION_NAMES,
  observationText,
  PLACE_NAMES,
  WHEEL_NAMES,
} from './observations';
export { padTradesText } from './padTrades';
export { parameterText, spreadText } from './parameterText';
export { LIMIT_TEXT, PART_NAMES } from './parts';
export * from './prepare';
export * from './test';
export { windText } from './windText';
export {
  ANY_DRIVER,
  beyondSense,
  celsius,
  clockText,
  fadeText,
  LIMIT_WORDS,
  lapName,
  lengthText,
  limitText,
  marginText,
  momentText,
  overrunText,
  pedalText,
  temperatureText,
  verdictText,
  wheelWords,
  worstText,
  zoneText,
} from './wording';
