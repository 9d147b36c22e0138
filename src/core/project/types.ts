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
export * from './sawnTypes';

/** What decides how wood is cut and money reckoned. */
export interface PlanSettings extends Static<typeof schema.settings> {}
/** Hours, tools, travel and power beside what is bought. */
export interface Work extends Static<typeof schema.work> {}
/** What such a thing costs ready made. */
export interface ReadyMade extends Static<typeof book.readyMade> {}
/** One change that a way to do a project is made of. */
export type ProjectChange = Static<typeof schema.change>;
/** Another way to do a project, by its changes. */
export interface Alternative extends Static<typeof schema.alternative> {}

/** A way that was chosen, with what it took the place of. */
export interface Decision extends Static<typeof schema.decision> {}

/** A project with its purchases, which files keep beside it. */
export interface Project extends Omit<Static<typeof schema.project>, 'variables' | 'extras'> {
  variables: Variable[];
  extras: Extra[];
  purchases: Purchase[];
}

/** What kind of store it is. */
export type StoreKind = Static<typeof book.storeKind>;
/** A store with its terms. */
export interface Store extends Static<typeof book.store> {}
/** What a pack sold by weight weighs, and its pieces. */
export interface PackWeight extends Static<typeof book.packWeight> {}
/** What is lost of rough wood. */
export interface Rough extends Static<typeof book.rough> {}
/** Of what a price is: each, a foot, a square metre. */
export type PriceUnit = Static<typeof book.priceUnit>;
/** One price seen in a store. */
export interface Price extends Static<typeof book.price> {}
/** Something that is owned. */
export interface RackEntry extends Static<typeof book.rackEntry> {}
/** A tool that is owned. */
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
