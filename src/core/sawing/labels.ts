import { partLetters, resolve, type Project } from '../project';
import type { Ends } from '../lumber';
import type { Ticks } from '../units';

/** What is written on one piece. */
export interface PieceLabel {
  partId: string;
  /** Its letter and its number among those that are alike: `A3`; the letter alone where there is one. */
  mark: string;
  name: string;
  group: string;
  kind: 'board' | 'sheet';
  length: Ticks;
  /** Sheets: as cut; boards: of their section. */
  width: Ticks;
  ends: Ends;
}

/** A label for every piece that is cut from boards and sheets, in the order of the parts. */
export const labelsOf = (project: Project): PieceLabel[] => {
  const letters = partLetters(project);
  return resolve(project).parts.flatMap(({ id, name, group, kind, length, over = 0, width, ends, count }) =>
    kind === 'hardware'
      ? []
      : Array.from({ length: count }, (_, index) => ({
          partId: id,
          mark: `${letters[id] ?? ''}${count > 1 ? index + 1 : ''}`,
          name,
          group,
          kind,
          length: length - over,
          width,
          ends,
        })),
  );
};
