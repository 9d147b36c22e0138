import { purchasesOf, shownPlan, type Plan } from '../plan';
import type { Book } from '../project';
import { materialOf } from '../lumber';
import type { Outcome } from './outcome';

/** So many differences are told. */
const MAX_TOLD = 3;

/** What one plan buys less and more than another, in pieces, however they are packed: `one 2x4x8 treated less, two 2x4x10 treated more.` */
export const buysDifference = (before: Plan, after: Plan): string => {
  const counts = new Map<string, number>();
  const add = (plan: Plan, sign: number) => {
    for (const { item, qty, pack } of shownPlan(plan)?.buys ?? [])
      counts.set(item, (counts.get(item) ?? 0) + sign * qty * pack);
  };
  add(before, -1);
  add(after, 1);
  const changed = [...counts].filter(([, count]) => count !== 0);
  const less = changed.filter(([, count]) => count < 0).sort((a, b) => a[1] - b[1]);
  const more = changed.filter(([, count]) => count > 0).sort((a, b) => b[1] - a[1]);
  const told = [...less, ...more].slice(0, MAX_TOLD);
  if (told.length === 0) return 'the same is bought, elsewhere.';
  const words = told.map(
    ([item, count]) => `${countWord(Math.abs(count))} ${item} ${count < 0 ? 'less' : 'more'}`,
  );
  const rest = changed.length - told.length;
  return `${words.join(', ')}${rest > 0 ? `, and ${rest} other ${rest === 1 ? 'thing' : 'things'}` : ''}.`;
};

const WORDS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const countWord = (count: number): string => WORDS[count] ?? String(count);

/** What a plan buys of which offers, as one text; of what cannot all be made, for the rest. */
export const boughtIn = (plan: Plan): string => purchasesOf(shownPlan(plan) ?? { buys: [] });

/** `Lasts about 3 to 6 years instead of 12 to 20.`; blank where it lasts as long. */
export const lastsInstead = (before: Outcome, after: Outcome): string => {
  const [was, is] = [before.life, after.life];
  if (!was || !is || (was.low === is.low && was.high === is.high)) return '';
  return `Lasts about ${is.low} to ${is.high} years instead of ${was.low} to ${was.high}.`;
};

/** What must be done that was not before, as tasks: `To do: rip 4 boards, finish 32 sq ft.` */
export const newTasks = (before: Outcome, after: Outcome): string => {
  const more = newWork(before, after);
  return more.length > 0 ? `To do: ${more.join(', ')}.` : '';
};

/** The tasks of kinds that there were none of before: another amount of the same work is no new work. */
export const newWork = (before: Outcome, after: Outcome): string[] => {
  const kinds = new Set(before.preparation.map(kindOfWork));
  return after.preparation.filter((task) => !kinds.has(kindOfWork(task)));
};

/** The kind of a task of preparation, its first word: `rip`, `finish`. */
export const kindOfWork = (task: string): string => task.split(' ')[0] ?? task;

/** What a builder should know of the woods that come in: their notes, each once. */
export const notesOfNew = (before: Plan, after: Plan, book: Book): string => {
  const woods = (plan: Plan) =>
    (shownPlan(plan)?.layouts ?? []).map(({ material }) => materialOf(material, book.materials));
  const held = new Set(woods(before).map(({ note }) => note));
  return [...new Set(woods(after).map(({ note }) => note))]
    .filter((note) => note !== '' && !held.has(note))
    .join(' ');
};
