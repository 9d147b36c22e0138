import type { Ticks } from '../units';
import type { Layout } from '../cutting/model';
import { partLetters, resolve, withLetter, type Project, partOf } from '../project';
import { shapeWords } from '../project/shapeText';

/** What is left to do by hand on the pieces of one part, once the saw has parted them. */
export interface HandWork {
  partId: string;
  /** With its letter. */
  name: string;
  /** `taper 5" to 1 1/2" top right` */
  words: string;
  /** Pieces of the board that are two, head to tail. */
  pairs: number;
}

/** The shaped pieces of a board, with what is done to them: one entry for each part, in the order of the pieces. */
export const handWorkOf = (layout: Pick<Layout, 'pieces'>, project: Project): HandWork[] => {
  if (!layout.pieces.some(({ faces }) => faces)) return [];
  const letters = partLetters(project);
  const widths = new Map(resolve(project).parts.map(({ id, width }) => [id, width]));
  const work = new Map<string, HandWork>();
  for (const { partId, part: name, faces } of layout.pieces) {
    const part = faces && partOf(project, partId);
    if (!part) continue;
    const held = work.get(partId);
    const pairs = (held?.pairs ?? 0) + (faces.length > 1 ? 1 : 0);
    const words = held?.words ?? shapeWords(part, widths.get(partId) ?? 0, project.unit);
    work.set(partId, { partId, name: withLetter(letters, partId, name), words, pairs });
  }
  return [...work.values()];
};

/** Pieces of a board that are to be measured before they have their length. */
export interface ToFit {
  partId: string;
  /** With its letter. */
  name: string;
  /** How much longer they are sawn, in ticks. */
  over: Ticks;
}

/** The parts of a project that are cut to fit and not measured yet. */
export const partsToFit = (project: Project): ReadonlySet<string> =>
  new Set(resolve(project).parts.flatMap(({ id, over }) => (over === undefined ? [] : [id])));

/** Which pieces of a board are cut to fit: one entry for each part, in the order of the pieces. */
export const toFitOn = (layout: Pick<Layout, 'pieces'>, project: Project): ToFit[] => {
  const letters = partLetters(project);
  const over = new Map(resolve(project).parts.map((part) => [part.id, part.over ?? 0]));
  const pieces = new Map(layout.pieces.map(({ partId, part }) => [partId, part]));
  return [...pieces].flatMap(([partId, part]) => {
    const more = over.get(partId) ?? 0;
    return more > 0 ? [{ partId, name: withLetter(letters, partId, part), over: more }] : [];
  });
};
