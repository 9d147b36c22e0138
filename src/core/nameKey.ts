import { byText } from './byText';

/** What a name is matched by: without outer spaces, in lower case, with single spaces. */
export const nameKey: (name: string) => string = byText((name) =>
  name.trim().replace(/\s+/g, ' ').toLowerCase(),
);
