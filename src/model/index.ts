export { type AppliedCalibration, calibrationOf, doubtOf, lostValues } from './calibration/applied';
export { driveOf } from './calibration/driveOf';
export { changedSince, isOfTheDay } from './calibration/touches';
export { type BeddingData, usualBedding } from './catalogue/bedding';
export { type Axle, choices, fitPart, fluidOf, isBuiltIn, padOf, shelfOf } from './catalogue/choices';
export { EXPOSED_KIND_IDS, EXPOSED_KINDS, type ExposedKind } from './catalogue/exposed';
export { wrongPartner } from './catalogue/frictionPair';
export { MATERIAL_IDS, ROTOR_MATERIALS } from './catalogue/materials';
export { coldBite, nominalFriction } from './catalogue/pads';
export { CALIPER_BODIES, MOUNTINGS, PISTONS, SURFACES, VANE_IDS, VANES } from './catalogue/parts';
export { PLATES } from './catalogue/plates';
export {
  changePrice,
  ductPrice,
  MADE_ROTOR_KEY,
  madeRotorPrice,
  partPrice,
  withPrice,
} from './catalogue/prices';
export { SHIMS } from './catalogue/shims';
export { STARTER_DRUM, starterLine, starterZone } from './catalogue/starters';
export { TYRE_KIND_IDS, TYRE_KINDS, type TyreKindId } from './catalogue/tyres';
export { type Problem, pathText } from './check/problem';
export { circuitProblems, projectProblems } from './check/problems';
export { survey } from './check/survey';
export { attemptEdit, refusalText } from './edit/attempt';
export {
  changesProblem,
  changeWords,
  isForAxle,
  partOf,
  variantSetup,
  withChanges,
  withOneMore,
} from './edit/changes';
export { circuitClosing, closeCircuit } from './edit/closeCircuit';
export {
  addBottle,
  addCalibration,
  addCar,
  addCircuit,
  addDrive,
  addPart,
  addPlan,
  addPreparation,
  addTest,
  addVariant,
  assignToPlan,
  countDrive,
  drawAt,
  endRun,
  finishBleeding,
  fitChanges,
  joinWork,
  keepBedding,
  keepLoads,
  keepState,
  noteSymptom,
  putEntries,
  putEntry,
  putEvent,
  putFluid,
  putRun,
  putSeason,
  putSet,
  putStop,
  removeEvent,
  removeRun,
  removeStop,
  renameProject,
  selectPlan,
  setClicks,
  setCurrency,
  setLegs,
  setObservations,
  setWeather,
  signOff,
  takeFit,
  tickStep,
} from './edit/edits';
export { joinedWork, type WorkProgress } from './edit/joinWork';
export { joinLogbook } from './edit/keep';
export {
  addParts,
  copyItem,
  deleteItem,
  deletionObstacle,
  type ItemOf,
  renameItem,
  replaceItem,
} from './edit/library';
export { conflictText, differing, mergeProjects, type Sparse } from './edit/merge';
export { countOrigins, originOf, withOrigin } from './edit/origins';
export { exchangedBy, isUsable, neverMix, preparedCar, signObstacle } from './edit/prepare';
export * from './edit/whatIf';
export { zonesFromLap } from './edit/zonesFromLap';
export { readJson } from './file/json';
export { partsJsonSchema, projectJsonSchema } from './file/jsonSchema';
export {
  type DocumentResult,
  issueProblem,
  LARGEST_FILE,
  type Refused,
  readDocument,
  readProject,
  writeParts,
  writeProject,
} from './file/readProject';
export { blankProject } from './guided/blankProject';
export {
  type CarAnswers,
  carAnswersSchema,
  FLUID_ANSWER_IDS,
  PAD_ANSWER_IDS,
} from './guided/carAnswers';
export { carFromAnswers } from './guided/carFromAnswers';
export { CAR_KIND_IDS, type CarKind, type CarKindId, DRIVEN_IDS } from './guided/carKind';
export { CAR_KINDS } from './guided/carKinds';
export { CHARACTER_IDS, type CircuitFacts, circuitFactsSchema } from './guided/circuitFacts';
export { type Doubt, doubtsOf } from './guided/doubts';
export { lastOf, newEntry, newEvent, newSeason, newSet } from './guided/newKeep';
export {
  COOL_PACE,
  hotLapsIn,
  type LapTimes,
  OUT_PACE,
  type PlanSentence,
  planFromSentence,
  planSentenceSchema,
} from './guided/newPlan';
export { newPreparation } from './guided/newPreparation';
export {
  KIND_DESIGNS,
  newRun,
  newTest,
  runsOf,
  stopsOf,
  USUAL_CONDITIONS,
  USUAL_DESIGN,
} from './guided/newTest';
export { isPlaceholder } from './guided/placeholders';
export { inG, meanDeceleration, powerBetween, tyreDeceleration, zoneFromTyped } from './guided/zonesTyped';
export { MOVABLE_IDS, type MovableId, movable } from './parameters/movables';
export { parameterInfo } from './parameters/parameterInfo';
export { readTyped, unitsOf } from './quantity/typed';
export {
  formatQuantity,
  formatValue,
  fromSi,
  METRIC,
  QUANTITIES,
  type Quantity,
  SWITCHABLE,
  type Switchable,
  siShown,
  siText,
  toShown,
  toSi,
  toStored,
  type Unit,
  type UnitChoice,
  US,
  unitOf,
} from './quantity/units';
export type { AxleBrakes } from './schema/axle';
export { BENCH_CONTROLS, BENCH_STARTS, type StoredBench } from './schema/bench';
export {
  BENCH_FORMAT,
  BENCH_VERSION,
  type BenchProgrammeFile,
  benchProgrammeSchema,
} from './schema/benchProgramme';
export type { StoredTest } from './schema/brakeTest';
export type { Calibration } from './schema/calibration';
export { type Car, carSchema } from './schema/car';
export {
  type Circuit,
  type CircuitPlace,
  type CircuitSegment,
  type CircuitZone,
  circuitSchema,
  cornerSchema,
  straightSchema,
  typedZoneSchema,
} from './schema/circuit';
export {
  type Change,
  type Compare,
  changeSchema,
  MOST_SETUPS,
  type SetupVariant,
  setupSchema,
} from './schema/compare';
export {
  INSTRUMENTS,
  type Instrument,
  LIGHTS,
  type Observation,
  type ObservationKind,
  type ObservationOf,
  observationSchema,
  observationSchemas,
  PAINT_PLACES,
  SPOT_PLACES,
  type StoredDrive,
  SYMPTOMS,
  type Symptom,
} from './schema/drive';
export { type Exposed, exposedPart, starterExposed } from './schema/exposed';
export { type FieldInfo, type FieldLimits, fieldInfo } from './schema/field';
export { type FieldPlace, fieldsIn } from './schema/fields';
export * from './schema/kept';
export { ORIGIN_IDS, type Origin } from './schema/origin';
export { type Part, type PartKind, partSchema } from './schema/part';
export { getAt, infoAt, labelAt, type Path, SHELVES, type Shelf, setAt } from './schema/paths';
export { loadSchema, type Pedal, pistonField } from './schema/pedal';
export {
  lapLegSchema,
  type Plan,
  type PlanLeg,
  type PlanSession,
  planSchema,
  standLegSchema,
} from './schema/plan';
export {
  BEDDING_VERSIONS,
  type BeddingVersion,
  type BleedWay,
  type Bottle,
  type Done,
  FLUID_COLOURS,
  type Found,
  NOTHING_FOUND,
  outcomeSchema,
  PROTECTIONS,
  type Preparation,
  preparationSchema,
  type StoredBedding,
} from './schema/preparation';
export { PROJECT_FORMAT, PROJECT_VERSION, type Project, priceInfo } from './schema/project';
export type { PlanStart } from './schema/state';
export { TEST_BRAKING, TEST_KINDS, type TestDesign, type TestKind } from './schema/testDesign';
export {
  RUN_ENDS,
  type RunEnd,
  type StopSource,
  TEST_PLACES,
  TEST_SURFACES,
  type TestConditions,
  type TestRun,
  type TestStopStored,
  testRunSchema,
  testStopSchema,
} from './schema/testRun';
export { DEFAULT_UNCERTAIN, type Uncertain, uncertainRanges } from './schema/uncertain';
export {
  type AxleWorkshop,
  BLEED_SCREWS,
  FITTED_KEYS,
  type FittedKey,
  PARKING_BRAKES,
  type TorqueJoint,
  type TorqueKey,
  torqueSchema,
  USUAL_WORKSHOP,
  type Workshop,
} from './schema/workshop';
export {
  caliperFluid,
  chainOf,
  chassisOf,
  effectiveRadiusMm,
  frontSharePercent,
  taperOf,
  wheelFit,
} from './toCore/chain';
export { cornerOf } from './toCore/corner';
export { storedBrakesOf } from './toCore/state';
export {
  boilingThereC,
  circuitInput,
  dayInput,
  fluidBoilingPointC,
  fluidWater,
  loadFollowingPercent,
  type Setup,
  setupOf,
  siteOf,
  vehicleOf,
  zoneLength,
} from './toCore/toCore';
