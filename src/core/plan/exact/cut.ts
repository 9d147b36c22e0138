import type { Cut } from './master';
import type { Row, Supply } from './program';

/** The row that a cut asks of what is bought; null where what is owned will do. */
export const cutRow = ({ most, worth }: Cut, supply: Supply[]): Row | null => {
    const owned = most.reduce((sum, value, stock) => sum + value * (supply[stock]?.owned ?? 0), 0);
    const terms = most.flatMap((value, stock) =>
      value > 0 ? (supply[stock]?.terms ?? []).map(([column, boards]): [number, number] => [column, value * boards]) : [],
    );
    const wanted = worth - owned;
    if (worth <= 0 || wanted <= 0 || terms.length === 0) return null;
    // On a scale of one, and a trifle lower, so that rounding in the worths never cuts off a plan.
    const scale = Math.max(...terms.map(([, value]) => value));
    return { terms: terms.map(([column, value]) => [column, value / scale]), lower: (wanted / scale) * (1 - 1e-7) - 1e-7, upper: Infinity };
}; // prettier-ignore
