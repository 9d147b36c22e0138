import { askToStay, roomInBytes } from '@/platform/room';
import { textsUnder } from './storage';

/** What a browser keeps at the least where it does not say how much, in bytes. */
const LEAST_ROOM = 5_000_000;
/** A browser writes a little beside what it is given: so much of its room stays free. */
const KEPT_FREE = 0.1;

/** How full the browser's storage is. */
export interface StorageUsage {
  /** Bytes taken by Billet. */
  used: number;
  of: number;
  /** What takes them, in characters. */
  parts: { name: string; used: number }[];
  /** The browser has promised not to clear it when it is short of room. */
  isPromised: boolean;
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
  for (const [key, text] of Object.entries(await textsUnder('')))
    parts.set(nameOf(key), (parts.get(nameOf(key)) ?? 0) + key.length + text.length);
  const used = [...parts.values()].reduce((sum, size) => sum + size, 0);
  const room = await roomInBytes();
  return {
    used: Math.max(used, room?.used ?? 0),
    of: room?.of ?? LEAST_ROOM,
    parts: [...parts].map(([name, size]) => ({ name, used: size })),
    isPromised: await askToStay(),
  };
};

/** How many characters the price book may take: what is free, less a little for the projects to grow. */
export const freeForBook = async (): Promise<number> => {
  const { used, of } = await storageUsage();
  return Math.max(0, Math.floor(of * (1 - KEPT_FREE)) - used);
};
