import type { Minor } from '../units';
import { shownPlan, type Plan } from '../plan';
import type { Book, Project } from '../project';
import { categoryOf } from './purchase';
import { typedPriceLines } from './typedPriceLines';

/** What tools come to that are still to buy, with tax: they are paid at the till, and stay when the piece is gone. */
export const toolsToBuy = (project: Project, book: Book, plan: Plan | null): Minor =>
  [
    ...(shownPlan(plan)?.buys ?? [])
      .filter(({ kind, item }) => categoryOf({ kind, name: item }) === 'tools')
      .map(({ costWithTax }) => costWithTax),
    ...typedPriceLines(project, book)
      .filter(({ category }) => category === 'tools')
      .map(({ costWithTax }) => costWithTax),
  ].reduce((sum, paid) => sum + paid, 0);
