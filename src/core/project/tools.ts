import { TABLE_SAW, USUAL_TOOLS } from '../lumber';
import type { Book, PlanSettings } from './types';

/** Whether a tool, by its name, rips boards. */
export const ripsBoards = (name: string): boolean => /table[ -]?saw/i.test(name);

/** What there is to cut with: as the project says, or else the tools that are owned. Undefined: nothing is told. */
export const toolsOf = (
  { tools }: Pick<PlanSettings, 'tools'>,
  book: Pick<Book, 'tools'>,
): string[] | undefined => {
  if (tools) return tools;
  const isOwned = Object.values(book.tools ?? {}).some(({ name }) => ripsBoards(name));
  return isOwned ? [...USUAL_TOOLS, TABLE_SAW] : undefined;
};
