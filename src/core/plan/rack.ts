import { toMicros, type Micros } from '../units';
import { freeFor, type Book, type Project, type RackEntry } from '../project';

/** What is on the rack for a project to use: without what is kept for others. */
export const rackFor = ({ id, leavesRack }: Project, book: Book): RackEntry[] =>
  leavesRack
    ? []
    : Object.values(book.rack ?? {})
        .map((entry) => ({ ...entry, quantity: freeFor(entry, id) }))
        .filter(({ quantity }) => quantity > 0);

/** What a piece from the rack is worth, in a currency; it costs nothing more at the till. */
export const rackWorth = ({ value }: RackEntry, currency: string): Micros =>
  value && value.currency === currency ? toMicros(value.sum, currency) : 0;
