import type { Ticks } from '../../units';
import {
  type SawSettings,
  type Item,
  fitsPanel,
  least,
  panelRoom,
  waysOn,
  type Cutting,
  type FilledPanel,
  type Leaf,
  type Stock,
} from '../model';

/** Which way pieces lie that may be turned. */
export type Turning = 'as given' | 'long side along' | 'long side across';

/** The ways in which the pieces of a sheet are turned before they are laid in rows. */
export const TURNINGS: Turning[] = ['as given', 'long side along', 'long side across'];

/** Pieces side by side along a panel, in a strip as high as the first of them. */
interface Row {
  leaves: Leaf[];
  used: Ticks;
  height: Ticks;
}

interface Rows {
  rows: Row[];
  /** Rows and the kerfs between them. */
  used: Ticks;
}

/** So many panels are looked through for each piece. */
const MAX_OPEN = 250;

/**
 * Row by row on sheets, or on boards that are ripped, of one size: each piece, highest first, goes in the row that it fits
 * with least height to spare, else in a new row of the first panel with room. Null where a piece fits none.
 */
export const rowByRow = (
  parts: Item[],
  turning: Turning,
  stock: Stock,
  settings: SawSettings,
): FilledPanel[] | null => {
  const space = panelRoom(stock, settings);
  const kerf = settings.kerf.ticks;
  const leaves: Leaf[] = [];
  for (const part of parts) {
    const leaf = lay(part, turning, stock, settings);
    if (!leaf) return null;
    for (let made = 0; made < part.count; made++) leaves.push(leaf);
  }
  leaves.sort((a, b) => least(b.across) - least(a.across) || least(b.along) - least(a.along));
  const panels: Rows[] = [];
  let open: Rows[] = [];
  for (const leaf of leaves) {
    const [along, across] = [least(leaf.along), least(leaf.across)];
    let row: Row | null = null;
    for (const panel of open)
      for (const candidate of panel.rows)
        if (
          across <= candidate.height &&
          candidate.used + kerf + along <= space.length &&
          candidate.height < (row?.height ?? Infinity)
        )
          row = candidate;
    if (row) {
      row.leaves.push(leaf);
      row.used += kerf + along;
      continue;
    }
    let panel = open.find(({ used }) => used + kerf + across <= space.width);
    if (!panel) {
      panel = { rows: [], used: -kerf };
      panels.push(panel);
      // Of very many panels only the last are looked through.
      open = [...open.slice(-MAX_OPEN), panel];
    }
    panel.used += kerf + across;
    panel.rows.push({ leaves: [leaf], used: along, height: across });
  }
  return panels.map(({ rows }) => ({ stock, cutting: inRows(rows.map(({ leaves: own }) => own)) }));
};

/** Rows of pieces across a panel, the pieces of each side by side along it. */
export const inRows = (rows: Leaf[][]): Cutting => ({
  axis: 'across',
  parts: rows.map((leaves) => ({ axis: 'along', parts: leaves })),
});

/** A part as it lies on a stock, turned as `turning` says where its grain allows that and it fits so. Null: it fits in no way. */
const lay = (part: Item, turning: Turning, stock: Stock, settings: SawSettings): Leaf | null => {
  const ways = waysOn(part, stock, settings).filter((leaf) => fitsPanel(leaf, stock, settings));
  const wanted = ways.find(({ along, across }) =>
    turning === 'as given'
      ? along.full === part.length
      : (turning === 'long side along') === along.full >= across.full,
  );
  return wanted ?? ways[0] ?? null;
};

/** The same panels, each of the cheapest stock that holds it. */
export const shrinkPanels = (panels: FilledPanel[], stocks: Stock[], settings: SawSettings): FilledPanel[] =>
  panels.map((panel) => {
    const stock = stocks
      .filter((candidate) => fitsPanel(panel.cutting, candidate, settings))
      .reduce((best, candidate) => (candidate.price < best.price ? candidate : best), panel.stock);
    return { ...panel, stock };
  });
