import {
  fitsInCar,
  fitsPanel,
  leavesOf,
  storeCutsOf,
  useOf,
  waysOn,
  type Cutting,
  type FilledPanel,
  type Leaf,
  type SawSettings,
  type Stock,
} from '../model';
import { drawBoard } from './drawBoard';
import { drawPanel } from './drawPanel';
import { filledWith, room, type BoardPiece, type FilledBoard } from './packBoards';

/** Boards and panels as they were filled. */
export interface Filled {
  boards: FilledBoard[];
  panels: FilledPanel[];
}

/** Whether a filled board or panel can be brought home: as it is, or sawn at the store between its pieces. */
export const canComeHome = (filled: FilledBoard | FilledPanel, settings: SawSettings): boolean => {
  const { stock } = filled;
  if (stock.offers.length === 0 || fitsInCar(stock, settings)) return true;
  const drawing = 'cutting' in filled ? drawPanel(filled, settings) : drawBoard(filled, settings);
  return storeCutsOf({ ...stock, ...drawing }, settings, stock.storeCuts) !== null;
};

/**
 * The same pieces on boards that can be brought home: what is on others is laid anew, one piece after the other, each on the
 * board before it where that can still come home, else on the cheapest that can. Null where a piece finds none.
 */
export const comingHome = (
  { boards, panels }: Filled,
  stocks: Stock[],
  settings: SawSettings,
): Filled | null => {
  const home: Filled = {
    boards: boards.filter((board) => canComeHome(board, settings)),
    panels: panels.filter((panel) => canComeHome(panel, settings)),
  };
  const byPrice = [...stocks].sort((a, b) => a.price - b.price);
  const isLeft = (stock: Stock): boolean =>
    [...home.boards, ...home.panels].filter((one) => one.stock === stock).length < supplyOf(stock);
  for (const piece of boards.filter((board) => !home.boards.includes(board)).flatMap(({ pieces }) => pieces))
    if (!layPiece(piece, home.boards, byPrice.filter(isLeft), settings)) return null;
  for (const { stock, cutting } of panels.filter((panel) => !home.panels.includes(panel)))
    for (const leaf of leavesOf(cutting)) {
      const alike = byPrice.filter((other) => other.thickness === stock.thickness && isLeft(other));
      if (!layLeaf(leaf, home.panels, alike, settings)) return null;
    }
  return home;
};

/** How many of a stock there are, owned and sold. */
const supplyOf = ({ ownedCount, offers }: Stock): number =>
  offers.reduce((sum, { available, pack }) => sum + (available ?? Infinity) * pack, ownedCount);

const layPiece = (
  piece: BoardPiece,
  laid: FilledBoard[],
  stocks: Stock[],
  settings: SawSettings,
): boolean => {
  const holds = (board: FilledBoard) =>
    board.used - board.slack <= room(board.stock, settings) && canComeHome(board, settings);
  const last = laid.at(-1);
  const together = last && filledWith(last.stock, [...last.pieces, piece]);
  if (together && holds(together)) {
    laid[laid.length - 1] = together;
    return true;
  }
  const alone = stocks
    .filter((stock) => useOf(piece.part, stock, settings) === 'crosscut')
    .map((stock) => filledWith(stock, [piece]))
    .find(holds);
  if (alone) laid.push(alone);
  return alone !== undefined;
};

const layLeaf = (leaf: Leaf, laid: FilledPanel[], stocks: Stock[], settings: SawSettings): boolean => {
  const holds = (panel: FilledPanel) =>
    fitsPanel(panel.cutting, panel.stock, settings) && canComeHome(panel, settings);
  const last = laid.at(-1);
  const together = last && besideIn(last, leaf).find(holds);
  if (together) {
    laid[laid.length - 1] = together;
    return true;
  }
  const alone = stocks
    .flatMap((stock) =>
      waysOn(leaf.part, stock, settings).map((way): FilledPanel => ({ stock, cutting: inRows([[way]]) })),
    )
    .find(holds);
  if (alone) laid.push(alone);
  return alone !== undefined;
};

/** A panel with a piece more: in its last row, or in a row of its own. */
const besideIn = ({ stock, cutting }: FilledPanel, leaf: Leaf): FilledPanel[] => {
  const rows = 'parts' in cutting && cutting.axis === 'across' ? cutting.parts.map(leavesOf) : null;
  if (!rows) return [];
  const [last = []] = rows.slice(-1);
  return [
    [...rows.slice(0, -1), [...last, leaf]],
    [...rows, [leaf]],
  ].map((longer) => ({ stock, cutting: inRows(longer) }));
};

const inRows = (rows: Leaf[][]): Cutting => ({
  axis: 'across',
  parts: rows.map((leaves) => ({ axis: 'along', parts: leaves })),
});
