export { type AxleBrakes, type Car, carSchema } from './carSchema';
export * from './catalogue';
export { type Circuit, type CircuitSegment, type CircuitStop, circuitSchema } from './circuitSchema';
export { circuitClosing, closeCircuit } from './closeCircuit';
export { type FieldInfo, fieldInfo } from './field';
export { type Plan, PROJECT_FORMAT, PROJECT_VERSION, type Project, planSchema, projectSchema } from './projectSchema';
export { circuitInput, fluidBoilingPointC, fluidWater, type Setup, sessionInput, setupOf, stopLength } from './toCore';
export * from './units';
