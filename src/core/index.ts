export * from './air';
export * from './brake';
export * from './circuit';
export { ZERO_CELSIUS } from './constants';
export * from './drive';
export * from './heat';
export * from './session';
