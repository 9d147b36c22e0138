import { nameKey, type Material } from '../lumber';
import type { Patch } from 'immer';
import { assertNever } from '../assertNever';
import { aislesWith } from './aisles';
import { keptEntry } from './rack';
import type { Category } from './category';
import type { Change } from './history';
import { applyPatches } from './patches';
import type { Book, Price, RackEntry, Store, Tool } from './types';

/** Every way in which the price book changes. */
export type BookCommand =
  | { type: 'putStore'; store: Store }
  /** Some fields of a store; the others stay. */
  | { type: 'editStore'; storeId: string; fields: Partial<Omit<Store, 'id'>> }
  /** One aisle of a store comes right before another, in the order in which it is walked. */
  | { type: 'moveAisle'; storeId: string; category: Category; before: Category }
  | { type: 'removeStore'; storeId: string }
  | { type: 'putPrices'; prices: Price[]; stores?: Store[]; materials?: Material[] }
  | { type: 'removePrices'; ids: string[] }
  /** What the user says of a material; before that it was taken by the words in its name. */
  | { type: 'putMaterial'; material: Material }
  | { type: 'removeMaterial'; name: string }
  | { type: 'putOnRack'; entries: RackEntry[] }
  | { type: 'takeFromRack'; ids: string[] }
  /** So many pieces of entries of the rack, by id, are kept for a project; 0: none. As many as others leave. */
  | { type: 'keepOnRack'; projectId: string; pieces: Record<string, number> }
  /** Nothing of the rack is kept for a project any more. */
  | { type: 'releaseRack'; projectId: string }
  | { type: 'putTool'; tool: Tool }
  | { type: 'removeTool'; toolId: string }
  | { type: 'clear' };

/** Of which type each command is: told apart from those of a project, and none is forgotten. */
const BOOK_COMMANDS: Record<BookCommand['type'], true> = {
  putStore: true,
  editStore: true,
  moveAisle: true,
  removeStore: true,
  putPrices: true,
  removePrices: true,
  putMaterial: true,
  removeMaterial: true,
  putOnRack: true,
  takeFromRack: true,
  keepOnRack: true,
  releaseRack: true,
  putTool: true,
  removeTool: true,
  clear: true,
};

/** Whether a command is one for the price book. */
export const isBookCommand = (command: { type: string }): command is BookCommand =>
  command.type in BOOK_COMMANDS;

type Section = 'stores' | 'prices' | 'rack' | 'tools' | 'materials';

/** One entry of a section that becomes another; undefined: it goes. */
interface EntryChange {
  section: Section;
  id: string;
  value: object | undefined;
}

const put =
  (section: Section) =>
  (value: object & { id: string }): EntryChange => ({ section, id: value.id, value });

const remove =
  (section: Section) =>
  (id: string): EntryChange => ({ section, id, value: undefined });

const asMaterial = (value: Material): EntryChange => ({
  section: 'materials',
  id: nameKey(value.name),
  value,
});

const entryChanges = (book: Book, command: BookCommand): EntryChange[] => {
  switch (command.type) {
    case 'putStore':
      return [put('stores')(command.store)];
    case 'editStore': {
      const store = book.stores[command.storeId];
      return store ? [put('stores')({ ...store, ...command.fields })] : [];
    }
    case 'moveAisle': {
      const store = book.stores[command.storeId];
      if (!store) return [];
      const moved: Store = {
        ...store,
        aisles: aislesWith(store, command.category, command.before),
      };
      return [put('stores')(moved)];
    }
    case 'removeStore':
      return [
        remove('stores')(command.storeId),
        ...Object.values(book.prices)
          .filter(({ storeId }) => storeId === command.storeId)
          .map(({ id }) => remove('prices')(id)),
      ];
    case 'putPrices':
      return [
        ...(command.stores ?? []).map(put('stores')),
        ...command.prices.map(put('prices')),
        ...(command.materials ?? []).map(asMaterial),
      ];
    case 'removePrices':
      return command.ids.map(remove('prices'));
    case 'putMaterial':
      return [asMaterial(command.material)];
    case 'removeMaterial':
      return [remove('materials')(nameKey(command.name))];
    case 'putOnRack':
      return command.entries.map(put('rack'));
    case 'takeFromRack':
      return command.ids.map(remove('rack'));
    case 'keepOnRack':
      return Object.entries(command.pieces).flatMap(([id, count]) => {
        const entry = book.rack?.[id];
        return entry ? [put('rack')(keptEntry(entry, command.projectId, count))] : [];
      });
    case 'releaseRack':
      return Object.values(book.rack ?? {})
        .filter(({ keptFor }) => keptFor?.[command.projectId] !== undefined)
        .map((entry) => put('rack')(keptEntry(entry, command.projectId, 0)));
    case 'putTool':
      return [put('tools')(command.tool)];
    case 'removeTool':
      return [remove('tools')(command.toolId)];
    case 'clear':
      return [
        ...Object.keys(book.stores).map(remove('stores')),
        ...Object.keys(book.prices).map(remove('prices')),
      ];
    default:
      return assertNever(command);
  }
};

/**
 * Applies one command to the book. Null when it changes nothing. Deleting a store deletes its prices. Written out without
 * immer, which would walk through all observations: 20,000 of them take a few milliseconds.
 */
export const applyToBook = (
  book: Book,
  command: BookCommand,
  at: number,
): { document: Book; change: Change } | null => {
  const last = new Map<string, EntryChange>();
  for (const one of entryChanges(book, command)) last.set(`${one.section}/${one.id}`, one);
  const changes = [...last.values()].filter(
    ({ section, id, value }) => JSON.stringify(book[section]?.[id]) !== JSON.stringify(value),
  );
  if (changes.length === 0) return null;
  const patches: Patch[] = [];
  const inverse: Patch[] = [];
  for (const section of new Set(changes.map((one) => one.section)))
    if (!book[section]) {
      patches.push({ op: 'add', path: [section], value: {} });
      inverse.push({ op: 'remove', path: [section] });
    }
  for (const { section, id, value } of changes) {
    const before = book[section]?.[id];
    const path = [section, id];
    if (value === undefined) patches.push({ op: 'remove', path });
    else patches.push({ op: before === undefined ? 'add' : 'replace', path, value });
    if (before === undefined) inverse.push({ op: 'remove', path });
    else inverse.push({ op: value === undefined ? 'add' : 'replace', path, value: before });
  }
  inverse.reverse();
  return {
    document: applyPatches(book, patches),
    change: { label: label(book, command), at, patches, inverse },
  };
};

const label = (book: Book, command: BookCommand): string => {
  switch (command.type) {
    case 'putStore':
      return `${book.stores[command.store.id] ? 'change' : 'add'} store ${command.store.name}`;
    case 'editStore':
    case 'moveAisle':
      return `change store ${book.stores[command.storeId]?.name ?? ''}`;
    case 'removeStore':
      return `delete store ${book.stores[command.storeId]?.name ?? ''}`;
    case 'putPrices':
      return command.prices.length === 1
        ? `price of ${command.prices[0]?.item.name}`
        : `${command.prices.length} prices`;
    case 'removePrices':
      return command.ids.length === 1 ? 'delete a price' : `delete ${command.ids.length} prices`;
    case 'putMaterial':
      return `material ${command.material.name}`;
    case 'removeMaterial':
      return `what was said of ${command.name}`;
    case 'putOnRack':
      return command.entries.length === 1
        ? 'put something on the rack'
        : `put ${command.entries.length} things on the rack`;
    case 'takeFromRack':
      return command.ids.length === 1
        ? 'take something off the rack'
        : `take ${command.ids.length} things off the rack`;
    case 'keepOnRack':
      return 'keep pieces on the rack for a project';
    case 'releaseRack':
      return 'free what is kept on the rack';
    case 'putTool':
      return `own a ${command.tool.name}`;
    case 'removeTool':
      return 'a tool less';
    case 'clear':
      return 'delete all stores and prices';
    default:
      return assertNever(command);
  }
};
