import { lazyScreen } from '@/ui';

export type { ImportProps } from './ImportDialog';
export type { ImportFile, ImportFormat } from './types';

/** The dialog for every file that comes in: not among what the first screen loads. */
export const ImportDialog = lazyScreen(async () => (await import('./ImportDialog')).ImportDialog);
