import {
  fitsInCar,
  fitsPanel,
  leavesOf,
  storeCutsOf,
  useOf,
  waysOn,
  type FilledPanel,
  type Leaf,
  type SawSettings,
  type Stock,
} from '../model';
import { countStocks } from './buying';
import { drawBoard } from './drawBoard';
import { drawPanel } from './drawPanel';
import { filledWith, room, type BoardPiece, type FilledBoard } from './packBoards';
import { inRows } from './packPanels';

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
 * Boards and panels that can be brought home with the same pieces: those that can already, themselves; what is on others is laid
 * anew, one piece after the other, each on the board before it where that can still come home, else on the cheapest that can.
 * `isHome`: all could already. Null where a piece finds none.
 */
export const comingHome = (
  { boards, panels }: Filled,
  stocks: Stock[],
  settings: SawSettings,
): { filled: Filled | null; isHome: boolean } => {
  const [homeBoards, stuckBoards] = parted(boards, settings);
  const [homePanels, stuckPanels] = parted(panels, settings);
  if (stuckBoards.length + stuckPanels.length === 0) return { filled: { boards, panels }, isHome: true };
  const home: Filled = { boards: homeBoards, panels: homePanels };
  const byPrice = [...stocks].sort((x, y) => x.price - y.price);
  const left = (): Stock[] => {
    const counts = countStocks([...home.boards, ...home.panels].map(({ stock }) => stock));
    return byPrice.filter((stock) => (counts.get(stock) ?? 0) < supplyOf(stock));
  };
  const isLaid =
    stuckBoards
      .flatMap(({ pieces }) => pieces)
      .every((piece) => layPiece(piece, home.boards, left, settings)) &&
    stuckPanels.every(({ stock, cutting }) =>
      leavesOf(cutting).every((leaf) =>
        layLeaf(
          leaf,
          home.panels,
          () => left().filter(({ thickness }) => thickness === stock.thickness),
          settings,
        ),
      ),
    );
  return { filled: isLaid ? home : null, isHome: false };
};

/** Those that can be brought home, and those that cannot. */
const parted = <T extends FilledBoard | FilledPanel>(all: T[], settings: SawSettings): [T[], T[]] => {
  const parts: [T[], T[]] = [[], []];
  for (const one of all) parts[canComeHome(one, settings) ? 0 : 1].push(one);
  return parts;
};

/** How many of a stock there are, owned and sold. */
const supplyOf = ({ ownedCount, offers }: Stock): number =>
  offers.reduce((sum, { available, pack }) => sum + (available ?? Infinity) * pack, ownedCount);

const layPiece = (
  piece: BoardPiece,
  laid: FilledBoard[],
  stocks: () => Stock[],
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
  const alone = stocks()
    .filter((stock) => useOf(piece.part, stock, settings) === 'crosscut')
    .map((stock) => filledWith(stock, [piece]))
    .find(holds);
  if (alone) laid.push(alone);
  return alone !== undefined;
};

const layLeaf = (leaf: Leaf, laid: FilledPanel[], stocks: () => Stock[], settings: SawSettings): boolean => {
  const holds = (panel: FilledPanel) =>
    fitsPanel(panel.cutting, panel.stock, settings) && canComeHome(panel, settings);
  const last = laid.at(-1);
  const together = last && besideIn(last, leaf).find(holds);
  if (together) {
    laid[laid.length - 1] = together;
    return true;
  }
  const alone = stocks()
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
