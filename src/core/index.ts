export * from './air';
export * from './brake';
export * from './circuit';
export { STANDARD_GRAVITY, ZERO_CELSIUS } from './constants';
export * from './drive';
export * from './force';
export * from './heat';
export * from './session';
