/** Checks of what a price service answers, by the schemas that the service publishes. */
import { validatorsOf, type Schema } from '@/core/jsonSchema';
import prices from '../../server/feed/feed.schema.json';
import stores from '../../server/feed/stores.schema.json';

const validatorOf = validatorsOf([prices, stores] as Schema[]);

/** What a price service tells of a store's prices. */
export const validateStorePrices = validatorOf('billet-store-prices');
/** What a price service tells of its stores. */
export const validateStores = validatorOf('billet-stores');
