import { boardThere, progressOf, sawnBoardOf, sawnKey, type SawBoard } from '@/core/sawing';
import type { SawnBoard, SawnPiece } from '@/core/project';
import type { Ticks } from '@/core/units';
import type { OpenProject } from '@/hooks';

/** What is before the eyes: it outlasts the while in which boards are planned anew. */
export interface Eyes {
  /** The key of a board, or of what it was measured as; null: the first that is not sawn. */
  chosen: string | null;
  /** The boards as they were drawn before something was measured or cut wrong; null: nothing was. */
  before: string[] | null;
}

/** At first. */
export const NOWHERE: Eyes = { chosen: null, before: null };

/** What a board that was measured is looked for by. */
export const measuredKey = (id: string): string => `measured:${id}`;

/** What is sawn of a project's boards, and how that changes: kept in the project, a step to undo each. */
export interface Sawing {
  /** The board before the eyes; undefined: there is none. */
  board: SawBoard | undefined;
  /** Cuts that are done. */
  doneOf: (board: SawBoard) => number;
  isLeft: (board: SawBoard) => boolean;
  setDone: (board: SawBoard, count: number) => void;
  /** A piece of a board that is begun was cut wrong, by its place in the drawing; `left`: what of its length is of use, in ticks. */
  spoil: (board: SawBoard, piece: number, left: Ticks) => void;
  isBegun: boolean;
  beginAgain: () => void;
}

/** `open` at its newest, and the boards of its plan. */
export const useSawing = (
  open: OpenProject,
  boards: SawBoard[],
  { chosen }: Eyes,
  look: (key: string) => void,
): Sawing => {
  const kerf = open.project.settings.kerf.ticks;
  const records = open.project.sawnBoards ?? [];
  const progress = progressOf(boards, records, kerf);
  const recordOf = ({ key }: SawBoard) => progress.get(key);
  const doneOf = (board: SawBoard) => Math.min(recordOf(board)?.done ?? 0, board.sequence.cuts.length);
  const isLeft = (board: SawBoard) => doneOf(board) < board.sequence.cuts.length;
  // A board that was begun has another key once it is planned as begun.
  const isChosen = (board: SawBoard) => {
    const record = recordOf(board);
    if (board.key === chosen || (record !== undefined && sawnKey(record.id) === chosen)) return true;
    const measured = chosen?.startsWith(measuredKey(''))
      ? boardThere(open.project, open.book, board.layout)?.measured
      : null;
    return measured ? measuredKey(measured.id) === chosen : false;
  };
  return {
    board: boards.find(isChosen) ?? boards.find(isLeft) ?? boards[0],
    doneOf,
    isLeft,
    setDone: (board, count) => {
      const record = recordOf(board);
      if (record && count === 0) {
        open.dispatch({ type: 'unsawBoard', boardId: record.id });
        return;
      }
      const next = record
        ? { ...record, done: count }
        : sawnBoardOf({ ...board.layout, count: 1 }, nextId(records), kerf, count);
      look(sawnKey(next.id));
      open.dispatch({ type: 'sawBoard', board: next });
    },
    spoil: (board, index, left) => {
      const record = recordOf(board);
      const piece = board.layout.pieces[index];
      const isIt = ({ partId, outline, spoiled }: SawnPiece) =>
        spoiled === undefined &&
        partId === piece?.partId &&
        outline.every(({ x, y }, at) => piece.outline[at]?.[0] === x && piece.outline[at][1] === y);
      const at = record?.pieces.findIndex(isIt) ?? -1;
      if (record && at >= 0) open.dispatch({ type: 'spoilPiece', boardId: record.id, piece: at, left });
    },
    isBegun: records.length > 0,
    beginAgain: () => open.dispatch({ type: 'unsawAll' }),
  };
};

/** The id of one more record: the same for two touches of one rendering, which are one cut of one board. */
const nextId = (records: SawnBoard[]): string =>
  `board ${1 + Math.max(0, ...records.map(({ id }) => Number(/\d+$/.exec(id)?.[0] ?? 0)))}`;
