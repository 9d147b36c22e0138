import type { Ticks } from '../measure';
import type { PlanSettings, ResolvedPart } from '../project';
import type { Stock } from './stock';

/** A sheet piece as it lies: its side along the sheet's length, and its side across. */
export interface SheetPiece {
  part: ResolvedPart;
  along: Ticks;
  across: Ticks;
}

/** Pieces side by side along the sheet, in a strip as high as the first of them. */
export interface Row {
  pieces: SheetPiece[];
  used: Ticks;
  height: Ticks;
}

export interface FilledSheet {
  stock: Stock;
  rows: Row[];
  /** Rows and the kerfs between them. */
  used: Ticks;
}

/** Which way pieces lie that may be turned. */
export type Turning = 'as given' | 'long side along' | 'long side across';

export const TURNINGS: Turning[] = ['as given', 'long side along', 'long side across'];

/** The pieces of sheet parts, turned as `turning` says where the grain allows it, highest strip first. */
export const sheetPieces = (parts: ResolvedPart[], turning: Turning): SheetPiece[] =>
  parts
    .flatMap((part): SheetPiece[] => {
      const piece = lay(part, turning);
      return Array.from({ length: part.count }, () => piece);
    })
    .sort((a, b) => b.across - a.across || b.along - a.along);

const lay = (part: ResolvedPart, turning: Turning): SheetPiece => {
  const given = { part, along: part.length, across: part.width };
  const turned = { part, along: part.width, across: part.length };
  if (part.grain === 'length' || turning === 'as given') return given;
  return (turning === 'long side along') === part.length >= part.width ? given : turned;
};

/** Turns a piece that does not fit as it lies, where its grain allows that. Null where it fits neither way. */
const toFit = (piece: SheetPiece, space: { length: Ticks; width: Ticks }): SheetPiece | null => {
  const fits = (along: Ticks, across: Ticks) => along <= space.length && across <= space.width;
  if (fits(piece.along, piece.across)) return piece;
  const mayTurn = piece.part.grain === 'any' && fits(piece.across, piece.along);
  return mayTurn ? { part: piece.part, along: piece.across, across: piece.along } : null;
};

/** The face of a sheet less what is trimmed from its four edges. */
export const sheetRoom = (
  stock: { length: Ticks; width: Ticks },
  settings: PlanSettings,
): { length: Ticks; width: Ticks } => ({
  length: stock.length - 2 * settings.sheetTrim.ticks,
  width: stock.width - 2 * settings.sheetTrim.ticks,
});

/**
 * Row by row on sheets of one size: each piece goes in the row that it fits with least height to spare, else
 * in a new row of the first sheet with room. Null where a piece is larger than the sheet.
 */
export const rowByRow = (
  pieces: SheetPiece[],
  stock: Stock,
  settings: PlanSettings,
): FilledSheet[] | null => {
  const space = sheetRoom(stock, settings);
  const kerf = settings.kerf.ticks;
  const sheets: FilledSheet[] = [];
  for (const given of pieces) {
    const piece = toFit(given, space);
    if (!piece) return null;
    const row = sheets
      .flatMap(({ rows }) => rows)
      .filter(({ used, height }) => piece.across <= height && used + kerf + piece.along <= space.length)
      .reduce<Row | null>(
        (best, candidate) => (best && best.height <= candidate.height ? best : candidate),
        null,
      );
    if (row) {
      row.pieces.push(piece);
      row.used += kerf + piece.along;
      continue;
    }
    let sheet = sheets.find(({ used }) => used + kerf + piece.across <= space.width);
    if (!sheet) sheets.push((sheet = { stock, rows: [], used: 0 }));
    sheet.used += piece.across + (sheet.rows.length > 0 ? kerf : 0);
    sheet.rows.push({ pieces: [piece], used: piece.along, height: piece.across });
  }
  return sheets;
};

/** The same sheets, each of the cheapest stock that holds its rows. */
export const shrinkSheets = (sheets: FilledSheet[], stocks: Stock[], settings: PlanSettings): FilledSheet[] =>
  sheets.map((sheet) => {
    const longest = Math.max(...sheet.rows.map(({ used }) => used));
    const stock = stocks
      .filter((candidate) => {
        const space = sheetRoom(candidate, settings);
        return longest <= space.length && sheet.used <= space.width;
      })
      .reduce((best, candidate) => (candidate.price < best.price ? candidate : best), sheet.stock);
    return { ...sheet, stock };
  });
