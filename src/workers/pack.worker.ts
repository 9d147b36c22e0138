import { expose } from 'comlink';
import { packBook, unpackOwnBook, type Tags } from '@/core/io/packedBook';
import type { Book, History } from '@/core/project';

let book: Book = { stores: {}, prices: {} };

/** Packs the price book for storage. Holds a copy of it, so that only what changed has to be sent. */
const packer = {
  /** Begins with what is stored. */
  startFrom: async (text: string): Promise<void> => {
    book = unpackOwnBook(text);
  },
  /** Begins with a whole book. */
  replace: async (whole: Book): Promise<void> => {
    book = whole;
  },
  /** The stored text of the book after some entries became others. */
  pack: async (
    delta: { section: string; id: string; value: unknown }[],
    history: History,
    tags: Tags,
  ): Promise<string> => {
    const sections = book as unknown as Record<string, Record<string, unknown> | undefined>;
    for (const { section, id, value } of delta) {
      const entries = (sections[section] ??= {});
      if (value === undefined) delete entries[id];
      else entries[id] = value;
    }
    return packBook({ book, history }, tags);
  },
};
/** What the packing worker can be asked. */
export type BookPacker = typeof packer;

expose(packer);
