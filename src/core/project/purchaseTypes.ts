/** What was bought and what was meant: the types of the declarations in `schemas/purchases.ts`. */
import type { Minor } from '../units';
import type { Static } from '../schemaKinds';
import type * as schema from './schemas/purchases';

/** One line of a purchase: so many of one thing for one sum. */
export interface PurchaseLine extends Static<typeof schema.purchaseLine> {}
/** The part of a line that is this project’s. */
export interface Share extends Static<typeof schema.share> {}
/** What was taken back to the store. */
export interface Returned extends Static<typeof schema.returned> {}
/** How a tool counts in what the project cost. */
export interface Charge extends Static<typeof schema.charge> {}
/** What a receipt says in all. */
export interface Receipt extends Static<typeof schema.receipt> {}
/** What was bought at one store at one time. */
export interface Purchase extends Static<typeof schema.purchase> {}
/** A target by category, with a share held back and a day. */
export interface Budget extends Static<typeof schema.budget> {}
/** One line of the plan as it stood at the first purchase. */
export interface BaselineLine extends Static<typeof schema.baselineLine> {}
/** The plan as it stood before anything was bought. */
export interface Baseline extends Static<typeof schema.baseline> {}

/** What a purchase brings with it besides its lines, as it stands when it is recorded. */
export interface Charges {
  trip: Minor;
  /** Null: not settled, because more is to come from there that makes it free. */
  shipping: Minor | null;
}
