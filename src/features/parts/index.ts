import { lazyScreen } from '@/ui';

/** The place as the routes name it: not among what the first screen loads. */
export const PartsPlace = lazyScreen(async () => (await import('./PartsPlace')).PartsPlace);
