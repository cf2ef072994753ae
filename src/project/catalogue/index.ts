export * from './exposed';
export * from './fluids';
export * from './materials';
export * from './pads';
export * from './parts';
