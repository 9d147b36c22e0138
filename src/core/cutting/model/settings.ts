import type { Minor, Ticks } from '../../units';

/** A length; how it was written is of no account. */
interface Length {
  ticks: Ticks;
}

/** How wood is cut and carried, and what tax is added. */
export interface SawSettings {
  /** Share added to goods. */
  tax: number;
  /** Prices hold the tax already. */
  taxIncluded: boolean;
  kerf: Length;
  /** Comes off each end of a board. */
  endTrim: Length;
  /** Comes off all four edges of a sheet. */
  sheetTrim: Length;
  /** Names of tools; `table-saw` allows ripping. */
  tools?: string[];
  /** The longer and the shorter side of what can be carried; absent or null: anything can. */
  maxCarryLength?: Length | null;
  maxCarryWidth?: Length | null;
  /** Of sheets alone; absent or null: the two limits hold for them too. */
  maxCarrySheet?: { length: Length; width: Length } | null;
  /** Extra boards against defects, by material: the share of the boards that are cut. */
  spare?: Record<string, number>;
}

/** A fee for sending goods, waived from a sum on; null: never. */
export type Shipping = { fee: Minor; freeFrom: Minor | null } | null;

/** What a store asks for sending goods of `goods`, after discount and before tax. Zero where it asks nothing. */
export const shippingFor = (shipping: Shipping, goods: Minor): Minor =>
  shipping && goods < (shipping.freeFrom ?? Infinity) ? shipping.fee : 0;
