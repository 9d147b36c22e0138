import { lazyScreen } from '@/ui';

/** The places as the routes name them: not among what the first screen loads. */
export const PricesPlace = lazyScreen(async () => (await import('./PricesPlace')).PricesPlace);
export const AislePlace = lazyScreen(async () => (await import('./AislePlace')).AislePlace);
