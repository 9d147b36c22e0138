import type { SawSettings } from '../model';
import { fitsInCar, storeCutOf } from '../model';
import { drawBoard } from '../heuristics/drawBoard';
import { drawPanel } from '../heuristics/drawPanel';
import { boardPiece, filledWith } from '../heuristics/packBoards';
import type { CuttingInstance, Pattern } from './types';

/** Whether boards that are cut so can be brought home: as they are, or sawn once at the store between pieces. */
export const isCarriable = (
  { stock: place, counts, cutting }: Pattern,
  { stocks, types }: CuttingInstance,
  settings: SawSettings,
): boolean => {
  const stock = stocks[place];
  if (!stock || stock.offers.length === 0 || fitsInCar(stock, settings)) return true;
  const pieces = counts.flatMap(([type, count]) => {
    const part = types[type]?.part;
    return part ? Array.from({ length: count }, () => boardPiece(part, settings)) : [];
  });
  const drawing = cutting
    ? drawPanel({ stock, cutting }, settings)
    : drawBoard(filledWith(stock, pieces), settings);
  return storeCutOf({ ...stock, ...drawing }, settings) !== null;
};
