export * from './types';
export * from './answers';
export * from './build';
export { HELPERS, helperOf } from './helpers';
export * from './templates';
export { isAsMade } from './asMade';
export { checksOf, type Check } from './checks';
export * from './weight';
export { partSketch, SKETCH } from './partSketch';
