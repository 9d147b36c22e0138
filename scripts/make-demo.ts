/** Makes the sample projects in demo/ from the lists in demo/source. Run by `npm run demo`. */
import { readFileSync, writeFileSync } from 'node:fs';
import { purchaseLine } from '@/core/budget';
import { projectFileName, readParts, readPrices, rowsForBook, writeProjectFile } from '@/core/formats';
import { firstPlan, planInput } from '@/core/plan';
import {
  emptyBook,
  emptyProject,
  measure,
  type Book,
  type Exposure,
  type Group,
  type Project,
  type Store,
} from '@/core/project';
import type { Result } from '@/core/result';

const read = (name: string) => readFileSync(`demo/source/${name}`, 'utf8');
const must = <T>(result: Result<T>): T => {
  if (!result.ok)
    throw new Error(result.problems.map(({ place, sentence }) => `${place}: ${sentence}`).join('\n'));
  return result.value;
};

/** Ids that stay the same from run to run: `compost-p1`, `compost-p2`. */
const ids = (prefix: string) => {
  let last = 0;
  return () => `${prefix}-${++last}`;
};

const STORES: Record<string, Partial<Store>> = {
  'Broadfield Home Centre': {
    id: 'broadfield',
    kind: 'home centre',
    trip: 650,
    note: 'Open late; cuts sheets free of charge.',
  },
  'Harrow Lumber': { id: 'harrow', kind: 'lumber yard', trip: 420, note: 'Closed on Sundays.' },
  'Postbox Hardware': { id: 'postbox', kind: 'online', cuts: false, shipping: { fee: 895, freeFrom: 4900 } },
  'Weir Sawmill': { id: 'weir', kind: 'sawmill', trip: 900, note: 'Sells by the cubic metre.' },
  'Lindgrund Baumarkt': { id: 'lindgrund', kind: 'home centre', trip: 350 },
};

const book = (file: string, unit: 'in' | 'mm', currency: string): Book => {
  const rows = must(readPrices(read(file), file, unit));
  const taken = rowsForBook(rows, emptyBook(), currency, ids(`price-${currency.toLowerCase()}`));
  const renamed = new Map(taken.stores.map((store) => [store.id, { ...store, ...STORES[store.name] }]));
  return {
    stores: Object.fromEntries([...renamed.values()].map((store) => [store.id, store])),
    prices: Object.fromEntries(
      taken.prices.map((price) => [
        price.id,
        { ...price, source: 'sample', storeId: renamed.get(price.storeId)?.id ?? '' },
      ]),
    ),
  };
};

const sample = (
  id: string,
  name: string,
  unit: 'in' | 'mm',
  currency: string,
  fields: Partial<Project>,
  exposures: Record<string, Exposure>,
): Project => {
  const project = emptyProject(id, name, unit, currency);
  const groups = must(readParts(read(`${id}.csv`), `${id}.csv`, unit, ids(id)));
  return {
    ...project,
    ...fields,
    groups: groups.map((group) => shared({ ...group, exposure: exposures[group.name] ?? 'indoors' })),
  };
};

/** A material that all cut parts of a group are of is the group's. */
const shared = (group: Group): Group => {
  const lists = group.options.flatMap(({ parts }) =>
    parts.filter(({ kind }) => kind !== 'hardware').map(({ materials }) => materials),
  );
  const [first = []] = lists;
  if (!lists.every((list) => list.join() === first.join())) return group;
  const bare = group.options.map((option) => ({
    ...option,
    parts: option.parts.map((part) => ({ ...part, materials: [] })),
  }));
  return { ...group, materials: first, options: bare };
};

/** Marks what the plan buys at a store as bought, at the planned price. */
const bought = (project: Project, from: Book, storeId: string, date: string): Project => {
  const store = from.stores[storeId];
  const plan = firstPlan(planInput(project, from));
  if (!store) throw new Error(`no store ${storeId}`);
  return {
    ...project,
    purchases: plan.buys
      .filter((buy) => buy.storeId === storeId)
      .map((buy, index) => {
        const price = Object.values(from.prices).find(({ storeId: at, item }) => at === storeId && item.name === buy.item);
        if (!price) throw new Error(`no price of ${buy.item}`);
        return {
          id: `${project.id}-bought-${index + 1}`, date, storeId, store: store.name, note: '',
          lines: [purchaseLine(price.item, buy.pack, buy.qty, buy.paid, store, project.settings, project.currency)],
        };
      }),
  }; // prettier-ignore
};

const usd = book('prices-usd.csv', 'in', 'USD');
const eur = book('prices-eur.csv', 'mm', 'EUR');
const dollars = (project: Project): Project => ({
  ...project,
  settings: { ...project.settings, tax: 0.07, shortOk: measure('1/16', 'in') },
});

const compost = dollars(
  sample(
    'compost-station',
    'Compost station',
    'in',
    'USD',
    { target: 24000, note: 'Three bays behind the shed: one to fill, one to turn, one to use.' },
    { Frame: 'ground', Slats: 'outdoors' },
  ),
);
const shelf = dollars(
  sample(
    'record-shelf',
    'Record shelf',
    'in',
    'USD',
    { target: 32000, note: 'Wall unit for the long wall, with a face frame.' },
    {},
  ),
);
const sandpit = sample(
  'sandpit',
  'Sandpit with a folding lid',
  'mm',
  'EUR',
  { target: 18000, note: 'The lid folds back into two seats.' },
  { Box: 'ground', Lid: 'outdoors' },
);
const metric: Project = { ...sandpit, settings: { ...sandpit.settings, tax: 0.19, taxIncluded: true } };

const files: [Project, Book][] = [
  [bought(compost, usd, 'postbox', '2026-11-19'), usd],
  [shelf, usd],
  [metric, eur],
];
for (const [project, from] of files) {
  writeFileSync(`demo/${project.id}.billet.json`, writeProjectFile(project, from));
  const plan = firstPlan(planInput(project, from));
  const shown = plan.rest ?? plan;
  console.log(
    projectFileName(project),
    plan.status,
    shown.total,
    'bound',
    shown.lowerBound,
    plan.problems.map(({ sentence }) => sentence),
  );
  for (const buy of shown.buys)
    console.log('  ', buy.store, '|', buy.qty, 'x', buy.item, '|', buy.cost / 1e6);
}
