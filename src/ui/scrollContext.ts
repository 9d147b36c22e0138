import { createContext } from 'react';

/** The element that scrolls a column; its lists draw only what is in sight of it. */
export const ScrollContext = createContext<HTMLElement | null>(null);
