export * from './hooks';
export * from './notices';
export { addProject, setDeleted, runOnBook as changeBook } from './workspace';
export { DAYS_KEPT } from './repository';
export type { Damaged, ProjectRecord, Settings } from './records';
export * from './files';
export * from './ids';
