import { keepForBegun, type Plan } from '../plan';
import type { Book, BookCommand, Command, Project, Purchase } from '../project';
import { firstBaseline } from './baseline';
import { chargesFor } from './money';

/**
 * The commands that record a purchase, with what it brings of trip and shipping. The first thing ever bought keeps the plan as it
 * stood, and what that cuts of the rack.
 */
export const recordPurchase = (
  project: Project,
  book: Book,
  plan: Plan | null,
  purchase: Purchase,
  day: string,
  charges = chargesFor(project, book, plan, purchase),
): (Command | BookCommand)[] => [
  { type: 'recordPurchase', purchase, charges, ...firstBaseline(project, book, plan, day) },
  ...keepForBegun(project, book, plan),
];
