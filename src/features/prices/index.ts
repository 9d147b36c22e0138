import { lazyScreen } from '@/ui';

/** The places as the routes name them: not among what the first screen loads. */
export const PricesPlace = lazyScreen(async () => (await import('./PricesPlace')).PricesPlace);
/** Prices in the aisle, fetched when first opened. */
export const AislePlace = lazyScreen(async () => (await import('./AislePlace')).AislePlace);
