export * from './types';
export * from './build';
export { HELPERS, helperOf } from './helpers';
