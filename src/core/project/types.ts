/** A project and the price book: the types of the declarations in `schemas/`, where each field is explained. */
import type { OwnMaterials } from '../lumber';
import type { Static } from '../schemaKinds';
import type { Extra, Variable } from './partTypes';
import type { Purchase } from './purchaseTypes';
import type * as book from './schemas/book';
import type * as schema from './schemas/project';

export * from './partTypes';
export * from './category';
export * from './purchaseTypes';

export interface PlanSettings extends Static<typeof schema.settings> {}
export interface Work extends Static<typeof schema.work> {}
export interface ReadyMade extends Static<typeof book.readyMade> {}
export type ProjectChange = Static<typeof schema.change>;
export interface Alternative extends Static<typeof schema.alternative> {}

/** A project with its purchases, which files keep beside it. */
export interface Project extends Omit<Static<typeof schema.project>, 'variables' | 'extras'> {
  variables: Variable[];
  extras: Extra[];
  purchases: Purchase[];
}

export type StoreKind = Static<typeof book.storeKind>;
export interface Store extends Static<typeof book.store> {}
export interface PackWeight extends Static<typeof book.packWeight> {}
export interface Rough extends Static<typeof book.rough> {}
export type PriceUnit = Static<typeof book.priceUnit>;
export interface Price extends Static<typeof book.price> {}
export interface RackEntry extends Static<typeof book.rackEntry> {}
export interface Tool extends Static<typeof book.tool> {}

/** The stores and their prices, shared by all projects. By id, so that changes to different rows never collide. */
export interface Book {
  stores: Record<string, Store>;
  prices: Record<string, Price>;
  /** What is there already, for any project to use; absent: nothing. By id. */
  rack?: Record<string, RackEntry>;
  /** Tools owned, by id; absent: none told. */
  tools?: Record<string, Tool>;
  /** Materials that the user added or changed; absent: none. */
  materials?: OwnMaterials;
}
