export * from './section';
export * from './sheet';
export * from './ends';
export * from './materials';
export * from './fasteners';
export * from './ripping';
