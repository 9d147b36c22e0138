import { useRef, useState } from 'react';

/** What was touched on this screen and is not in the plan shown yet. */
export interface Pending {
  has: (key: string) => boolean;
  /** Marks a row; false where it is marked already, also by a touch before anything was drawn. */
  claim: (key: string) => boolean;
}

interface Touched {
  generation: number;
  keys: string[];
}

/** Marks rows that were ticked until the plan that follows is shown: a second touch before that does nothing. */
export const usePending = (generation: number): Pending => {
  const [shown, setShown] = useState<Touched>({ generation: -1, keys: [] });
  const touched = useRef<Touched>(shown);
  const keys = shown.generation === generation ? shown.keys : [];
  return {
    has: (key) => keys.includes(key),
    claim: (key) => {
      const before = touched.current.generation === generation ? touched.current.keys : [];
      if (before.includes(key)) return false;
      touched.current = { generation, keys: [...before, key] };
      setShown(touched.current);
      return true;
    },
  };
};
