import { meanLength } from '../model';
import type { CuttingPlane } from './master';
import type { Row, StockSupply } from './modelBuilder';
import type { Subproblem } from './subproblem';

/** The row that a cut asks of what is bought; null where what is owned will do. */
export const cutRow = ({ stockValue, rightHandSide }: CuttingPlane, supply: StockSupply[]): Row | null => {
  const owned = stockValue.reduce((sum, value, stock) => sum + value * (supply[stock]?.owned ?? 0), 0);
  const terms = stockValue.flatMap((value, stock) =>
    value > 0
      ? (supply[stock]?.terms ?? []).map(([column, boards]): [number, number] => [column, value * boards])
      : [],
  );
  const wanted = rightHandSide - owned;
  if (rightHandSide <= 0 || wanted <= 0 || terms.length === 0) return null;
  // On a scale of one, and a trifle lower, so that rounding in the worths never cuts off a plan.
  const scale = Math.max(...terms.map(([, value]) => value));
  return {
    terms: terms.map(([column, value]) => [column, value / scale]),
    lower: (wanted / scale) * (1 - 1e-7) - 1e-7,
    upper: Infinity,
  };
};

/**
 * That boards have as much face as their pieces: (length + kerf)(width + kerf), all pieces lying along the boards, slanted
 * ones with their mean length.
 */
export const faceCut = ({ wood, supply, kerf }: Subproblem): Row | null => {
  const stockValue = wood.stocks.map(({ length, width }) => (length + kerf) * (width + kerf));
  const rightHandSide = wood.types.reduce((sum, { part, demand }) => {
    const { kind, ends, length, thickness, width, shortOk } = part;
    const held = kind === 'board' ? meanLength(ends, length, thickness, width) : length;
    const across = kind === 'board' ? Math.min(thickness, width) : width - shortOk;
    return sum + demand * Math.max(0, held - shortOk + kerf) * Math.max(0, across + kerf);
  }, 0);
  return cutRow({ stockValue, rightHandSide }, supply);
};
