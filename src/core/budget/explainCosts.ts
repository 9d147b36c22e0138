import { formatMoney } from '../units';
import { shownPlan, type Plan } from '../plan';
import { resolve, type Book, type Project } from '../project';
import { costsOf, type Costs } from './costs';
import { explainEntry, explainTotal, leaf, some, sumOf, type Explanation } from './explain';
import { inThePiece, inThePieceOfAll } from './inThePiece';
import { groupKey, type Entry, type Grouping } from './ledger';
import { projectMoney } from './money';
import { toolsToBuy } from './toolsToBuy';

/** What a project uses up: every part's share of the boards, sheets and packs that it comes from. */
export const explainInPiece = (project: Project, book: Book, plan: Plan | null): Explanation => {
  const shown = shownPlan(plan);
  const shares = shown ? inThePiece(project, shown, book) : {};
  const { parts, typedPriced } = resolve(project, book.materials);
  const named = [
    ...parts.map(({ id, name, group, kind }) => ({
      id,
      label: kind === 'hardware' ? name : `${name}, ${group}`,
    })),
    ...typedPriced.map(({ extra: { id }, item }) => ({ id, label: item })),
  ];
  const seen = new Set<string>();
  const leaves = named.flatMap(({ id, label }) => {
    const sum = shares[id];
    if (sum === undefined || sum === 0 || seen.has(id)) return [];
    seen.add(id);
    return [leaf(label, sum)];
  });
  const others = Object.entries(shares).filter(([id]) => !seen.has(id));
  return sumOf(
    'In the piece',
    [
      ...leaves,
      ...some(
        leaf(
          'Other parts',
          others.reduce((sum, [, share]) => sum + share, 0),
        ),
      ),
    ],
    `Its share of each board by its face, and of each pack by number, without trips and what is left over.${each(project)}`,
  );
};

/** What a project comes to all in: the till, tools as they count, travel, power, hours. */
export const explainAllIn = (project: Project, book: Book, plan: Plan | null): Explanation => {
  const { currency } = project;
  const costs = costsNow(project, book, plan);
  const tools = costs.tools.map(({ name, price, counted, at }) =>
    leaf(
      name,
      counted - (at ? price : 0),
      at
        ? `At the till it stands with ${formatMoney(price, currency)}; ${formatMoney(counted, currency)} of it counts here.`
        : `${formatMoney(counted, currency)} of ${formatMoney(price, currency)} counts here.`,
    ),
  );
  return sumOf(
    'All in',
    [
      { ...explainTotal(project, book, plan), label: 'At the till' },
      ...some(
        ...tools,
        leaf('Travel', costs.travel, 'Distance at its rate.'),
        leaf('Power', costs.power, 'Kilowatt hours at their rate.'),
        leaf('Hours', costs.labour, 'Hours at their rate.'),
        leaf('What else was told', costs.otherCosts),
      ),
    ],
    each(project).trim(),
  );
};

/** The three costs of a project as it is planned. */
export const costsNow = (project: Project, book: Book, plan: Plan | null): Costs => {
  const shown = shownPlan(plan);
  return costsOf(project, {
    inPiece: shown ? inThePieceOfAll(project, shown, book) : 0,
    atTill: projectMoney(project, book, plan).total,
    toolsToBuy: toolsToBuy(project, book, plan),
  });
};

const each = ({ builds }: Project): string => (builds > 1 ? ` For all ${builds}: one is a share of it.` : '');

/** What of the ledger goes under one heading, line by line. */
export const explainGroup = (entries: Entry[], grouping: Grouping, key: string): Explanation =>
  sumOf(key, entries.filter((entry) => groupKey(entry, grouping) === key).map(explainEntry));
