import { packBook, type BookRecord, type Tags } from '@/core/io/packedBook';
import type { Book } from '@/core/project';
import type { BookPacker } from '@/workers/pack.worker';

type Section = 'stores' | 'prices' | 'rack' | 'tools' | 'materials';
const SECTIONS: Section[] = ['stores', 'prices', 'rack', 'tools', 'materials'];

/** What became of one entry of a section since the copy of the book in the worker; undefined: it went. */
export interface EntryDelta {
  section: Section;
  id: string;
  value: unknown;
}

/** What differs between two states of a book. Entries that were not touched are the same object: they are told at a glance. */
export const deltaOf = (before: Book, now: Book): EntryDelta[] =>
  SECTIONS.flatMap((section): EntryDelta[] => {
    const [old, next] = [before[section] ?? {}, now[section] ?? {}];
    if (old === next) return [];
    const deltas: EntryDelta[] = [];
    for (const id in next) if (old[id] !== next[id]) deltas.push({ section, id, value: next[id] });
    for (const id in old) if (!(id in next)) deltas.push({ section, id, value: undefined });
    return deltas;
  });

/** Packs the price book off the page: a worker holds a copy of it, and hears only what changed. */
export interface Packing {
  /** What is stored, as it was read: the worker can start from the text. */
  start: (text: string, book: Book) => void;
  pack: (record: BookRecord, tags: Tags) => Promise<string>;
}

/** Changes kept for undo, without what the next state of the book makes needless to send. */
export const newPacking = (spawn: (() => BookPacker) | null): Packing => {
  let packer: BookPacker | null = null;
  let held: Book | null = null;
  let stored: string | null = null;
  return {
    start: (text, book) => {
      packer = null;
      [held, stored] = [book, text];
    },
    pack: async (record, tags) => {
      if (!spawn) return packBook(record, tags);
      if (!packer) {
        packer = spawn();
        if (stored !== null) await packer.startFrom(stored);
        else await packer.replace(record.book);
        if (stored === null) held = record.book;
        stored = null;
      }
      const delta = deltaOf(held ?? record.book, record.book);
      held = record.book;
      return packer.pack(delta, record.history, tags);
    },
  };
};
