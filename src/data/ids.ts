import { useSyncExternalStore } from 'react';
import { nanoid } from 'nanoid';

/** A new id. They are made at the edge and never in the core. */
export const newId = (): string => nanoid(12);

/** Today, as ISO 8601 writes a day, by the user's clock. */
export const today = (): string => {
  const now = new Date();
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');
};

/** Today, on screens that stay open over midnight. */
export const useToday = (): string => useSyncExternalStore(eachMinute, today, today);

const eachMinute = (look: () => void): (() => void) => {
  const timer = setInterval(look, 60_000);
  document.addEventListener('visibilitychange', look);
  return () => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', look);
  };
};
