import { nameKey, type Material } from '../lumber';
import { change, type Change } from './history';
import type { Book, Price, RackEntry, Store, Tool } from './types';

/** Every way in which the price book changes. */
export type BookCommand =
  | { type: 'putStore'; store: Store }
  | { type: 'removeStore'; storeId: string }
  | { type: 'putPrices'; prices: Price[]; stores?: Store[]; materials?: Material[] }
  | { type: 'removePrices'; ids: string[] }
  /** What the user says of a material; before that it was taken by the words in its name. */
  | { type: 'putMaterial'; material: Material }
  | { type: 'removeMaterial'; name: string }
  | { type: 'putOnRack'; entries: RackEntry[] }
  | { type: 'takeFromRack'; ids: string[] }
  | { type: 'putTool'; tool: Tool }
  | { type: 'removeTool'; toolId: string }
  | { type: 'clear' };

/** Applies one command to the book. Null when it changes nothing. Deleting a store deletes its prices. */
export const applyToBook = (
  book: Book,
  command: BookCommand,
  at: number,
): { document: Book; change: Change } | null =>
  change(book, label(book, command), at, (draft) => {
    switch (command.type) {
      case 'putStore':
        draft.stores[command.store.id] = command.store;
        return;
      case 'removeStore':
        delete draft.stores[command.storeId];
        for (const price of Object.values(draft.prices))
          if (price.storeId === command.storeId) delete draft.prices[price.id];
        return;
      case 'putPrices':
        for (const store of command.stores ?? []) draft.stores[store.id] = store;
        for (const price of command.prices) draft.prices[price.id] = price;
        for (const material of command.materials ?? [])
          draft.materials = { ...draft.materials, [nameKey(material.name)]: material };
        return;
      case 'removePrices':
        for (const id of command.ids) delete draft.prices[id];
        return;
      case 'putMaterial':
        draft.materials = { ...draft.materials, [nameKey(command.material.name)]: command.material };
        return;
      case 'removeMaterial':
        if (draft.materials) delete draft.materials[nameKey(command.name)];
        return;
      case 'putOnRack':
        draft.rack = {
          ...draft.rack,
          ...Object.fromEntries(command.entries.map((entry) => [entry.id, entry])),
        };
        return;
      case 'takeFromRack':
        for (const id of command.ids) if (draft.rack) delete draft.rack[id];
        return;
      case 'putTool':
        draft.tools = { ...draft.tools, [command.tool.id]: command.tool };
        return;
      case 'removeTool':
        if (draft.tools) delete draft.tools[command.toolId];
        return;
      case 'clear':
        draft.stores = {};
        draft.prices = {};
    }
  });

const label = (book: Book, command: BookCommand): string => {
  switch (command.type) {
    case 'putStore':
      return `${book.stores[command.store.id] ? 'change' : 'add'} store ${command.store.name}`;
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
    case 'putTool':
      return `own a ${command.tool.name}`;
    case 'removeTool':
      return 'a tool less';
    case 'clear':
      return 'delete all stores and prices';
  }
};
