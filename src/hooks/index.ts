export * from '@/data';
export * from './workspace';
export * from './plans';
export * from './pending';
export * from './compare';
export { services } from './services';
