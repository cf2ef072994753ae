export { attemptEdit, refusalText } from './attempt';
export type { AxleBrakes } from './axleSchema';
export { type Car, carSchema } from './carSchema';
export { EXPOSED_KIND_IDS, EXPOSED_KINDS, type ExposedKind } from './catalogue/exposed';
export { MATERIAL_IDS, ROTOR_MATERIALS } from './catalogue/materials';
export {
  nominalFriction,
  SHIMS,
} from './catalogue/pads';
export {
  CALIPER_BODIES,
  MOUNTINGS,
  PISTONS,
  SURFACES,
  VANE_IDS,
  VANES,
} from './catalogue/parts';
export { chainOf, chassisOf, effectiveRadiusMm, taperOf, wheelFit } from './chain';
export {
  changesOfWhatIf,
  changesProblem,
  changeWords,
  isForAxle,
  partOf,
  variantSetup,
  withChanges,
  withOneMore,
} from './changes';
export {
  type Circuit,
  type CircuitSegment,
  type CircuitStop,
  circuitSchema,
  cornerSchema,
  straightSchema,
  typedStopSchema,
} from './circuitSchema';
export { circuitClosing, closeCircuit } from './closeCircuit';
export {
  type Change,
  type Compare,
  changeSchema,
  MOST_SETUPS,
  type SetupVariant,
  setupSchema,
} from './compareSchema';
export { csvText, stopsCsv, tracesCsv } from './csv';
export {
  addCircuit,
  addPart,
  addVariant,
  assignToPlan,
  fitChanges,
  renameProject,
  selectPlan,
  setClicks,
  setCurrency,
  setLegs,
  setWeather,
  takeFit,
} from './edits';
export type { Explanation } from './explanation';
export { explain, type Topic } from './explanations';
export { type Exposed, exposedPart, starterExposed } from './exposedSchema';
export { type FieldInfo, type FieldLimits, fieldInfo } from './field';
export { readJson } from './json';
export {
  addParts,
  copyItem,
  deleteItem,
  deletionObstacle,
  type ItemOf,
  renameItem,
  replaceItem,
  type Shelf,
} from './library';
export { alike, conflictText, differing, mergeProjects, type Sparse } from './merge';
export { type Part, type PartKind, partSchema } from './partSchema';
export { getAt, infoAt, type Path, setAt } from './paths';
export { loadSchema, type Pedal, pistonField } from './pedalSchema';
export { changePrice, ductPrice, MADE_ROTOR_KEY, madeRotorPrice, partPrice, withPrice } from './prices';
export { type Problem, pathText } from './problem';
export { circuitProblems, projectProblems } from './problems';
export {
  lapLegSchema,
  type Plan,
  type PlanLeg,
  type PlanSession,
  PROJECT_FORMAT,
  PROJECT_VERSION,
  type Project,
  planSchema,
  priceInfo,
  standLegSchema,
} from './projectSchema';
export {
  type DocumentResult,
  issueProblem,
  LARGEST_FILE,
  partsJsonSchema,
  projectJsonSchema,
  type Refused,
  readDocument,
  readProject,
  writeParts,
  writeProject,
} from './readProject';
export {
  FORCE_COLUMNS,
  networkDocument,
  resultDocument,
  STOP_COLUMNS,
  type StopRow,
  stopRows,
  WHEEL_COLUMNS,
} from './results';
export { type Axle, choices, fitPart, fluidOf, isBuiltIn, padOf, shelfOf } from './shelf';
export { STARTER_DRUM, starterLine, starterStop } from './starters';
export { stopsFromLap } from './stopsFromLap';
export {
  circuitInput,
  cornerOf,
  dayInput,
  fluidBoilingPointC,
  fluidWater,
  type Setup,
  setupOf,
  stopLength,
  vehicleOf,
} from './toCore';
export { DEFAULT_UNCERTAIN, type Uncertain, uncertainInfo, uncertainRanges } from './uncertainSchema';
export {
  formatQuantity,
  formatValue,
  METRIC,
  QUANTITIES,
  type Quantity,
  SWITCHABLE,
  toShown,
  toStored,
  type UnitChoice,
  US,
  unitOf,
} from './units';
export {
  applyWhatIf,
  keepWhatIf,
  savedValues,
  type WhatIf,
  type WhatIfNumber,
  type WhatIfValues,
  whatIfBounds,
} from './whatIf';
export {
  ANY_DRIVER,
  beyondSense,
  celsius,
  changeOf,
  changeText,
  clockText,
  fadeText,
  LIMIT_WORDS,
  lengthText,
  limitText,
  marginText,
  momentText,
  overrunText,
  PART_WORDS,
  pedalText,
  stopText,
  temperatureText,
  UNCALIBRATED_NOTE,
  verdictText,
  wheelWords,
  worstText,
} from './wording';
export { circuitGeoJson, circuitGpx } from './writeCircuit';
