import { keysUnder, readText } from './storage';

/** What a browser keeps for one site in its local storage, in UTF-16 units: about 5 million, keys and all. */
export const STORAGE_QUOTA = 5_000_000;

/** How full the browser's storage is. */
export interface StorageUsage {
  /** Units taken by Billet. */
  used: number;
  of: number;
  /** What takes them. */
  parts: { name: string; used: number }[];
}

const nameOf = (key: string): string => {
  if (key.startsWith('billet/project/')) return 'Projects';
  if (key === 'billet/book') return 'Stores and prices';
  return 'Everything else';
};

/** Looks up how full the storage is. */
export const storageUsage = async (): Promise<StorageUsage> => {
  const parts = new Map<string, number>([
    ['Projects', 0],
    ['Stores and prices', 0],
    ['Everything else', 0],
  ]);
  for (const key of await keysUnder('')) {
    const size = key.length + ((await readText(key))?.length ?? 0);
    parts.set(nameOf(key), (parts.get(nameOf(key)) ?? 0) + size);
  }
  return {
    used: [...parts.values()].reduce((sum, used) => sum + used, 0),
    of: STORAGE_QUOTA,
    parts: [...parts].map(([name, used]) => ({ name, used })),
  };
};

/** How many units the price book may take: what is free, and what it takes now. */
export const freeForBook = async (): Promise<number> => {
  const { used, of } = await storageUsage();
  const held = (await readText('billet/book'))?.length ?? 0;
  // A little stays free for the projects to grow.
  return Math.max(0, of - used + held - 100_000);
};
