import { later } from '@/ui';

/** The place as the routes name it: not among what the first screen loads. */
export const RunPlace = later(async () => (await import('./RunPlace')).RunPlace);
