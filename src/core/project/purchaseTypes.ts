/** What was bought and what was meant: the types of the declarations in `schemas/purchases.ts`. */
import type { Minor } from '../units';
import type { Static } from '../schemaKinds';
import type * as schema from './schemas/purchases';

export interface PurchaseLine extends Static<typeof schema.purchaseLine> {}
export interface Share extends Static<typeof schema.share> {}
export interface Returned extends Static<typeof schema.returned> {}
export interface Charge extends Static<typeof schema.charge> {}
export interface Receipt extends Static<typeof schema.receipt> {}
export interface Purchase extends Static<typeof schema.purchase> {}
export interface Budget extends Static<typeof schema.budget> {}
export interface BaselineLine extends Static<typeof schema.baselineLine> {}
export interface Baseline extends Static<typeof schema.baseline> {}

/** What a purchase brings with it besides its lines, as it stands when it is recorded. */
export interface Charges {
  trip: Minor;
  /** Null: not settled, because more is to come from there that makes it free. */
  shipping: Minor | null;
}
