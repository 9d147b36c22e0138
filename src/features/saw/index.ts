import { lazyScreen } from '@/ui';

/** The place as the routes name it: not among what the first screen loads. */
export const SawPlace = lazyScreen(async () => (await import('./SawPlace')).SawPlace);
