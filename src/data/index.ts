export * from './notices';
export * from './newVersion';
export { DAYS_KEPT } from './repository';
export { DEFAULT_SETTINGS, staleAfter } from './records';
export type { BookRecord, Damaged, ProjectRecord, Settings } from './records';
export * from '@/platform/files';
export * from './aside';
export * from './ids';
export * from './drafts';
export * from './feed';
export * from './storageUsage';
export * from './keptPlans';
export { saveEverything } from './everything';
export {
  isEverything,
  isSameProject,
  isSameSettings,
  readEverything,
  type Everything,
} from './readEverything';
