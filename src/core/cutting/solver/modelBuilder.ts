import type { Offer } from '../model';

/** A program in columns and rows: minimise cost, every row between its bounds. Columns of `whole` are whole numbers. */
export interface Program {
  cost: number[];
  lower: number[];
  upper: number[];
  integer: boolean[];
  rows: Row[];
}

/** A row of a linear program: its bounds, and the coefficients of its columns. */
export interface Row {
  lower: number;
  upper: number;
  terms: Terms;
}

/** Columns with their coefficients. */
export type Terms = [column: number, value: number][];

/** An offer in one of its tiers. */
export interface TierColumn {
  column: number;
  offer: Offer;
  unitPrice: number;
}

/** A program that is being written. */
export interface ModelBuilder {
  program: Program;
  tags: TierColumn[];
  column: (cost: number, lower: number, upper: number) => number;
  row: (terms: Terms, lower: number, upper: number) => void;
  /** The columns of an offer: one, or one for each tier of which one at most is used. */
  purchase: (offer: Offer, wanted: number, costOf: (unitPrice: number) => number) => number[];
}

/** An empty linear program, to which rows and columns are added. */
export const newModelBuilder = (): ModelBuilder => {
  const program: Program = { cost: [], lower: [], upper: [], integer: [], rows: [] };
  const tags: TierColumn[] = [];
  const byOffer = new Map<Offer, number[]>();
  const column: ModelBuilder['column'] = (cost, lower, upper) => {
    program.cost.push(cost);
    program.lower.push(lower);
    program.upper.push(upper);
    program.integer.push(true);
    return program.cost.length - 1;
  };
  const row: ModelBuilder['row'] = (terms, lower, upper) => void program.rows.push({ terms, lower, upper });
  const purchase: ModelBuilder['purchase'] = (offer, wanted, costOf) => {
    const held = byOffer.get(offer);
    if (held) return held;
    const isPlain = offer.tiers.length === 1 && offer.tiers[0]?.minQty === 1;
    const chosen: number[] = [];
    const own = offer.tiers.map(({ minQty, unitPrice }, index) => {
      const next = offer.tiers[index + 1]?.minQty;
      // A tier may be worth reaching though fewer are needed.
      const usual = Math.max(Math.ceil(wanted / offer.pack), minQty);
      const cap = Math.max(
        0,
        Math.min(usual, offer.available ?? Infinity, next === undefined ? Infinity : next - 1),
      );
      const made = column(costOf(unitPrice), 0, cap);
      tags.push({ column: made, offer, unitPrice });
      if (isPlain) return made;
      const tier = column(0, 0, 1);
      chosen.push(tier);
      row(
        [
          [made, 1],
          [tier, -cap],
        ],
        -Infinity,
        0,
      );
      row(
        [
          [made, 1],
          [tier, -minQty],
        ],
        0,
        Infinity,
      );
      return made;
    });
    if (chosen.length > 1)
      row(
        chosen.map((tier) => [tier, 1]),
        -Infinity,
        1,
      );
    byOffer.set(offer, own);
    return own;
  };
  return { program, tags, column, row, purchase };
};

/** The boards of a stock that may be cut: owned + sum(value x column). */
export interface StockSupply {
  owned: number;
  terms: Terms;
  /** The columns of its purchases, with how many boards each brings: the same, where all that is bought may be cut. */
  offers: Terms;
  /** The share of the boards cut that is bought as spares besides. */
  share: number;
}

/** A program with some columns held to a value, and more rows. */
export const withFixedColumns = (
  program: Program,
  columns: Map<number, number>,
  rows: Row[] = [],
): Program => ({
  ...program,
  lower: program.lower.map((bound, column) => columns.get(column) ?? bound),
  upper: program.upper.map((bound, column) => columns.get(column) ?? bound),
  rows: [...program.rows, ...rows],
});
