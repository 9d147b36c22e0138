import type { Static } from '../schemaKinds';
import type * as schema from './schemas/sawing';

/** A stretch of a board that no part is cut from. */
export interface BoardMark extends Static<typeof schema.boardMark> {}
/** A board that is there, as it was measured before it is cut. */
export interface MeasuredBoard extends Static<typeof schema.measuredBoard> {}
/** A piece of a board that is sawn. */
export interface SawnPiece extends Static<typeof schema.sawnPiece> {}
/** A board or sheet on which sawing has begun. */
export interface SawnBoard extends Static<typeof schema.sawnBoard> {}
