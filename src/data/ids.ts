import { useSyncExternalStore } from 'react';
import { nanoid } from 'nanoid';
import { isoDay } from '@/core/units';
import { onVisibility } from '@/platform/page';

/** A new id. They are made at the edge and never in the core. */
export const newId = (): string => nanoid(12);

/** Today, as ISO 8601 writes a day, by the user's clock. */
export const today = (): string => isoDay(new Date());

/** Today, on screens that stay open over midnight. */
export const useToday = (): string => useSyncExternalStore(eachMinute, today, today);

const eachMinute = (look: () => void): (() => void) => {
  const timer = setInterval(look, 60_000);
  const stop = onVisibility(look);
  return () => {
    clearInterval(timer);
    stop();
  };
};
