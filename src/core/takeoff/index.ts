export * from './types';
export * from './answers';
export * from './build';
export { HELPERS, helperOf } from './helpers';
export * from './templates';
export { checksOf, type Check } from './checks';
export * from './weight';
export { partSketch, SKETCH } from './partSketch';
