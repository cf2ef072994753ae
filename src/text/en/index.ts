export { changeOf, changeText } from './changeText';
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
export type { Explanation } from './explanation';
export { explain, type Topic } from './explanations';
export { GLOSSARY, type Term } from './glossary';
export { lapText } from './lapText';
export { leftText } from './leftText';
export { noteText } from './noteText';
export { padTradesText } from './padTrades';
export { LIMIT_TEXT, PART_NAMES } from './parts';
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
  UNCALIBRATED_NOTE,
  verdictText,
  wheelWords,
  worstText,
  zoneText,
} from './wording';
