export * from '@/data';
export * from './workspace';
export * from './plans';
export * from './pending';
export * from './rackClaims';
export * from './compare';
export * from './readyToCompare';
export { services } from './services';
export * from './forAWhile';
