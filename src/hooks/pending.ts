import { useState } from 'react';

/** What was touched on this screen and is not in the plan shown yet. */
export interface Pending {
  has: (key: string) => boolean;
  add: (key: string) => void;
}

/** Marks rows that were ticked until the plan that follows is shown: a second touch before that does nothing. */
export const usePending = (generation: number): Pending => {
  const [held, setHeld] = useState<{ generation: number; keys: string[] }>({ generation: -1, keys: [] });
  const keys = held.generation === generation ? held.keys : [];
  return {
    has: (key) => keys.includes(key),
    add: (key) =>
      setHeld((before) => ({
        generation,
        keys: [...(before.generation === generation ? before.keys : []), key],
      })),
  };
};
