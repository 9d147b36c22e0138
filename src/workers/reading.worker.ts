import { expose } from 'comlink';
import { nanoid } from 'nanoid';
import {
  packColumns,
  previewPrices,
  readProjectFile,
  type Preview,
  type PreviewOptions,
  type PreviewRow,
} from '@/core/io';
import type { Book, Price, Project, Store } from '@/core/project';
import type { Meaning } from '@/core/pricing';
import type { Problem, Result } from '@/core/result';

/** What of a sheet is taken: which rows by what they mean. */
export interface Taking {
  meanings: Meaning[];
}

/** What the screen is told of a sheet: counts, and some rows of each kind to look at. */
export interface SheetSummary {
  counts: Preview['counts'];
  /** Rows that are wrong, and the first faults. */
  wrong: number;
  problems: Problem[];
  samples: Record<Meaning, PreviewRow[]>;
  stores: string[];
}

const SHOWN = 100;
const MEANINGS: Meaning[] = ['new', 'changed', 'conflict', 'history', 'same'];
let read: Preview | null = null;

/** Reads a sheet, and remembers it until the next. Problems: of the sheet as a whole. */
const preview = (text: string, book: Book, options: Omit<PreviewOptions, 'newId'>): Result<SheetSummary> => {
  read = null;
  const result = previewPrices(text, book, { ...options, newId: () => nanoid(12) });
  if (!result.ok) return result;
  read = result.value;
  const { rows, counts, stores, problems } = read;
  const samples = Object.fromEntries(
    MEANINGS.map((meaning) => [meaning, [] as PreviewRow[]]),
  ) as SheetSummary['samples'];
  for (const row of rows) if (samples[row.meaning].length < SHOWN) samples[row.meaning].push(row);
  const wrong = new Set(problems.map(({ place }) => place.split(': ')[0]));
  return {
    ok: true,
    value: {
      counts,
      wrong: wrong.size,
      problems: problems.slice(0, SHOWN),
      samples,
      stores: stores.map(({ name }) => name),
    },
  };
};

/** What taking rows of the sheet would put in the book. */
const taken = ({ meanings }: Taking): { prices: Price[]; stores: Store[] } => {
  const prices = (read?.rows ?? [])
    .filter(({ meaning }) => meanings.includes(meaning))
    .map(({ price }) => price);
  const used = new Set(prices.map(({ storeId }) => storeId));
  return { prices, stores: (read?.stores ?? []).filter(({ id }) => used.has(id)) };
};

/** Whether a book with these prices would fit into `room` units, and if not, how many of them would, about. */
const fitting = (
  book: Book,
  stores: Store[],
  prices: Price[],
  room: number,
): { fits: boolean; most: number } => {
  const size = (count: number) =>
    packColumns(
      {
        stores: { ...book.stores, ...Object.fromEntries(stores.map((store) => [store.id, store])) },
        prices: {
          ...book.prices,
          ...Object.fromEntries(prices.slice(0, count).map((price) => [price.id, price])),
        },
      },
      {},
    ).length;
  if (size(prices.length) <= room) return { fits: true, most: prices.length };
  let [low, high] = [0, prices.length];
  // Eight halvings are within half a percent.
  for (let step = 0; step < 8; step++) {
    const middle = Math.floor((low + high) / 2);
    if (size(middle) <= room) low = middle;
    else high = middle;
  }
  return { fits: false, most: low };
};

/** Reads a project file: what is wrong in it, the first faults of many. */
const project = (text: string, name: string): Result<{ project: Project; book: Book }> => {
  const result = readProjectFile(text, name);
  if (result.ok || result.problems.length <= SHOWN) return result;
  const more = result.problems.length - SHOWN;
  const rest: Problem = { code: 'more', place: name, sentence: `and ${more} more faults of this kind` };
  return { ok: false, problems: [...result.problems.slice(0, SHOWN), rest] };
};

/** What the worker can be asked for. */
const reader = { preview, taken, fitting, project };
/** What the reading worker can be asked. */
export type Reader = typeof reader;

expose(reader);
