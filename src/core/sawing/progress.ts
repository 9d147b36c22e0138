import { nameKey } from '../lumber';
import { soundStretches, thereOf, type Layout } from '../plan';
import { type Book, type Item, type MeasuredBoard, type Project, type SawnBoard } from '../project';
import type { Ticks } from '../units';
import { drawingName, sawnKey, type SawBoard } from './boards';

/**
 * The record of each board on which sawing has begun, by the board's key. One that is bought stands in the plan by its record; of
 * others the first that is drawn so is meant.
 */
export const progressOf = (boards: SawBoard[], sawn: SawnBoard[], kerf: Ticks): Map<string, SawnBoard> => {
  const found = new Map<string, SawnBoard>();
  const keys = new Set(boards.map(({ key }) => key));
  for (const record of sawn) {
    const own = sawnKey(record.id);
    const name = drawingName(record, kerf);
    const key = keys.has(own)
      ? own
      : boards.find((board) => board.key.startsWith(`${name}#`) && !found.has(board.key))?.key;
    if (key !== undefined) found.set(key, record);
  }
  return found;
};

/** Which thing that is there a drawing is cut from, and how it was measured. */
export interface BoardThere {
  item: Item;
  /** Null: it was not measured yet. */
  measured: MeasuredBoard | null;
  /** Of a measured board the sound stretch that is drawn. */
  stretch: { from: Ticks; to: Ticks } | null;
  /** Sawing has begun on another stretch of it: it is not measured otherwise any more. */
  isBegun: boolean;
}

/** The board that a drawing is cut from, as it can be measured; null: it is not there yet, it is a sheet, or it is sawn already. */
export const boardThere = (project: Project, book: Book, layout: Layout): BoardThere | null => {
  if (!('owned' in layout.source) || layout.kind !== 'board' || layout.sawn) return null;
  const isOfIt = ({ section, material }: Item) =>
    section === layout.section && nameKey(material) === nameKey(layout.material);
  for (const measured of project.measuredBoards ?? []) {
    const stretches = soundStretches(measured, project.settings.kerf.ticks);
    const stretch = stretches.find(({ from, to }) => to - from === layout.length);
    if (!stretch || !isOfIt(measured.item)) continue;
    const isBegun = (project.sawnBoards ?? []).some(
      (sawn) =>
        sawn.section === layout.section &&
        nameKey(sawn.material) === nameKey(layout.material) &&
        stretches.some(({ from, to }) => to - from === sawn.length),
    );
    return { item: measured.item, measured, stretch, isBegun };
  }
  const pile = thereOf(project, book).find(
    ({ item }) => item.kind === 'board' && isOfIt(item) && item.length?.ticks === layout.length,
  );
  return pile ? { item: pile.item, measured: null, stretch: null, isBegun: false } : null;
};

/** Records of boards on which sawing has begun and that are not in the plan: what they were cut from is not there any more. */
export const lostRecords = (boards: SawBoard[], sawn: SawnBoard[], kerf: Ticks): SawnBoard[] => {
  const known = new Set([...progressOf(boards, sawn, kerf).values()].map(({ id }) => id));
  return sawn.filter(({ id }) => !known.has(id));
};
