import { type SawSettings, fitsPanel, usableLength, useOf } from '../model';
import { drawBoard } from '../heuristics/drawBoard';
import { canComeHome } from '../heuristics/carrying';
import { boardPiece, filledWith } from '../heuristics/packBoards';
import type { CuttingInstance, Pattern } from './types';

/** Whether boards that are cut so can be brought home: as they are, or sawn at the store between pieces. */
export const isCarriable = (
  { stock: place, counts, cutting }: Pattern,
  { stocks, types }: CuttingInstance,
  settings: SawSettings,
): boolean => {
  const stock = stocks[place];
  if (!stock) return true;
  const pieces = counts.flatMap(([type, count]) => {
    const part = types[type]?.part;
    return part ? Array.from({ length: count }, () => boardPiece(part, settings)) : [];
  });
  return canComeHome(cutting ? { stock, cutting } : filledWith(stock, pieces), settings);
};

/** What the corners of drawn pieces may be rounded by, in ticks. */
const ROUNDING = 2;

/** Whether all pieces of a pattern fit its board, those that may come out short as short as they may be. */
export const fitsStock = (
  { stock: place, counts, cutting }: Pattern,
  { stocks, types }: CuttingInstance,
  settings: SawSettings,
): boolean => {
  const stock = stocks[place];
  if (!stock) return false;
  if (cutting) return fitsPanel(cutting, stock, settings);
  const pieces = counts.flatMap(([type, count]) => {
    const part = types[type]?.part;
    return part ? Array.from({ length: count }, () => boardPiece(part, settings)) : [];
  });
  const trim = settings.endTrim.ticks;
  const drawn = drawBoard(filledWith(stock, pieces), settings);
  // A slant is rounded to a tick at each end.
  return drawn.pieces.every(({ outline }) =>
    outline.every(([x]) => x >= trim - ROUNDING && x <= usableLength(stock) - trim + ROUNDING),
  );
};

/** Whether each piece may be of the wood of its board. */
export const isMadeOf = (
  { stock, counts }: Pattern,
  { types, stocks }: CuttingInstance,
  settings: SawSettings,
): boolean => {
  const board = stocks[stock];
  return counts.every(([type]) => {
    const part = types[type]?.part;
    return part !== undefined && board !== undefined && useOf(part, board, settings) !== null;
  });
};
