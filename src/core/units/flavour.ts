/**
 * A number of one unit. A plain number may be put where one is wanted, and arithmetic gives a plain number back; a number of
 * another unit may not: money never passes for a length, nor an amount of micros for one of minor units.
 */
export type Flavour<Unit extends string> = number & { readonly unit?: Unit };
