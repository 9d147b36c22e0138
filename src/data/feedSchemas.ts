/** Checks of what a price service answers, by the schemas that the service publishes. */
import { validatorsOf, type Schema } from '@/core/jsonSchema';
import prices from '../../server/feed/feed.schema.json';
import stores from '../../server/feed/stores.schema.json';

const validatorOf = validatorsOf([prices, stores] as Schema[]);

export const validateStorePrices = validatorOf('billet-store-prices');
export const validateStores = validatorOf('billet-stores');
