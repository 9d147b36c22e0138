/** Makes the sample projects in demo/ from the helpers, with the prices in demo/source. Run by `npm run demo`. */
import { readFileSync, writeFileSync } from 'node:fs';
import { baselineOf, purchaseLine } from '@/core/budget';
import { projectFileName, readPrices, rowsForBook, writeProjectFile } from '@/core/io';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import {
  apply,
  emptyBook,
  emptyExtra,
  emptyPart,
  emptyProject,
  measure,
  type Book,
  type Command,
  type Exposure,
  type Extra,
  type Part,
  type Project,
  type Store,
} from '@/core/project';
import { parseShape } from '@/core/project/shapeText';
import { buildMade, helperOf, usualAnswers, type HelperInput } from '@/core/takeoff';
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

/** One group of a sample: the helper that makes it, what it is told, and what is changed afterwards. */
interface SampleGroup {
  helper: string;
  name: string;
  told: HelperInput;
  materials: string[];
  exposure: Exposure;
  copies?: number;
  /** New names by role. */
  names?: Record<string, string>;
  /** Materials of their own, by role. */
  partMaterials?: Record<string, string[]>;
  /** What is done to their outlines, by role. */
  shapes?: Record<string, string>;
  /** As the shelf tag names what covers and fills, by name. */
  items?: Record<string, string>;
  /** Hardware that is counted: name, item, how many. */
  hardware?: [name: string, item: string, count: number][];
}

const run = (project: Project, command: Command): Project => apply(project, command, 0)?.document ?? project;

/** What is changed of a part of a role afterwards, one thing after the other. */
const partFields = (role: string, group: SampleGroup, unit: 'in' | 'mm'): Partial<Part>[] => {
  const shape = group.shapes?.[role];
  const name = group.names?.[role];
  const materials = group.partMaterials?.[role];
  return [
    ...(shape ? [{ shape: must(parseShape(shape, unit)) }] : []),
    ...(name ? [{ name }] : []),
    ...(materials ? [{ materials }] : []),
  ];
};

const withGroup = (project: Project, group: SampleGroup, newId: () => string): Project => {
  const helper = helperOf(group.helper);
  if (!helper) throw new Error(`no helper ${group.helper}`);
  const told = { ...usualAnswers(helper, project.unit), ...group.told };
  const context = { project, groupName: group.name, materials: group.materials, newId };
  let made = run(project, must(buildMade(helper, told, context)));
  const id = made.groups.at(-1)?.id ?? '';
  made = run(made, {
    type: 'editGroup',
    groupId: id,
    fields: { exposure: group.exposure, copies: group.copies },
  });
  for (const part of made.groups.at(-1)?.options[0]?.parts ?? [])
    for (const fields of partFields(part.role ?? '', group, project.unit))
      made = run(made, { type: 'editPart', partId: part.id, fields });
  for (const extra of made.extras.filter(({ groupId }) => groupId === id))
    made = run(made, {
      type: 'editExtra',
      extraId: extra.id,
      fields: { item: group.items?.[extra.name] ?? '' },
    });
  for (const [name, item, quantity] of group.hardware ?? [])
    made = run(made, {
      type: 'addPart',
      groupId: id,
      part: { ...emptyPart(newId()), kind: 'hardware', name, item, quantity },
    });
  return made;
};

/** A sample project: built from the helpers, in order. */
const sample = (
  id: string,
  name: string,
  unit: 'in' | 'mm',
  currency: string,
  fields: Partial<Project>,
  groups: SampleGroup[],
  extras: Partial<Extra>[] = [],
): Project => {
  const newId = ids(id);
  const empty = { ...emptyProject(id, name, unit, currency), ...fields };
  const built = groups.reduce((project, group) => withGroup(project, group, newId), empty);
  return extras.reduce(
    (project, extra) => run(project, { type: 'addExtra', extra: { ...emptyExtra(newId()), ...extra } }),
    built,
  );
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
        const price = Object.values(from.prices).find(
          ({ storeId: at, item }) => at === storeId && item.name === buy.item,
        );
        if (!price) throw new Error(`no price of ${buy.item}`);
        return {
          id: `${project.id}-bought-${index + 1}`,
          date,
          storeId,
          store: store.name,
          note: '',
          lines: [
            purchaseLine(
              price.item,
              buy.pack,
              buy.qty,
              buy.costWithTax,
              store,
              project.settings,
              project.currency,
            ),
          ],
        };
      }),
  };
};

/** The plan as it stood before anything was bought, when some prices were others. */
const planned = (project: Project, from: Book, date: string, then: Record<string, number>): Project => {
  const prices = Object.fromEntries(
    Object.entries(from.prices).map(([id, price]) => [
      id,
      { ...price, price: then[`${price.storeId}: ${price.item.name}`] ?? price.price },
    ]),
  );
  const before = { ...from, prices };
  return { ...project, baseline: baselineOf(project, before, firstPlan(planInput(project, before)), date) };
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
    { target: 28000, note: 'Three bays behind the shed: one to fill, one to turn, one to use.' },
    [
      {
        helper: 'frame',
        name: 'Wall frames',
        copies: 4,
        materials: ['treated'],
        exposure: 'ground',
        told: { length: '36', width: '34 1/2', board: '2x4', stand: 'flat', stiffener_spacing: '18' },
        names: { long_side: 'Post', short_side: 'Side rail', stiffener: 'Middle rail' },
        hardware: [['Lid hinge', 'strap hinge 4 in', 2]],
      },
      {
        helper: 'slats',
        name: 'Side slats',
        copies: 4,
        materials: ['cedar picket'],
        exposure: 'outdoors',
        told: { span: 'length', length: 'width', slat: '5/8x5-1/2in', largest_gap: '1', bearers: '' },
        names: { slat: 'Side slat' },
        hardware: [['Slat screw', 'coated deck screw 1 5/8 in', 24]],
      },
      {
        helper: 'cladding',
        name: 'Back',
        copies: 3,
        materials: ['cedar picket'],
        exposure: 'outdoors',
        told: {
          width: '41 1/2',
          height: 'length',
          board: '5/8x5-1/2in',
          run: 'lying',
          meet: 'gap',
          gap: '1',
          batten_spacing: '21',
          batten: '2x4',
        },
        names: { cladding_board: 'Back slat', batten: 'Back batten' },
        partMaterials: { batten: ['treated'] },
        shapes: { batten: 'clip 3/4 x 1 1/2 top right' },
      },
      {
        helper: 'braces',
        name: 'Braces',
        materials: ['treated'],
        exposure: 'outdoors',
        told: { form: 'corner', board: '2x4', brace_leg: '24', braces: '3' },
      },
    ],
  ),
);
const shelf = dollars(
  sample(
    'record-shelf',
    'Record shelf',
    'in',
    'USD',
    { target: 32000, note: 'Wall unit for the long wall, with a face frame.' },
    [
      {
        helper: 'shelves',
        name: 'Case',
        materials: ['birch ply'],
        exposure: 'indoors',
        told: {
          height: '76',
          width: '47 1/2',
          depth: '14',
          uprights: '1',
          shelves: '5',
          back: 'sheet',
          face: 'boards',
        },
        names: { upright: 'Middle upright' },
        partMaterials: { stile: ['select pine'], face_rail: ['select pine'] },
        hardware: [['Wall bracket', 'wall bracket', 4]],
      },
    ],
    [
      {
        name: 'Clear finish',
        item: 'clear finish quart',
        rule: 'finish',
        faces: 'showing',
        coats: 2,
        covers: '125 ft2',
      },
    ],
  ),
);
const sandpit = sample(
  'sandpit',
  'Sandpit with a folding lid',
  'mm',
  'EUR',
  { target: 18000, note: 'The lid folds back into two seats.' },
  [
    {
      helper: 'raised-box',
      name: 'Box',
      materials: ['larch', 'spruce'],
      exposure: 'ground',
      told: {
        length: '1600',
        width: '1500',
        sizes: 'outside',
        board: '45x145mm',
        rows: '2',
        post: '45x45mm',
        stake_spacing: '',
        liner: 'yes',
      },
      items: { Liner: 'ground fabric 5 m2' },
      names: { long_board: 'Long side', short_board: 'Short side', corner_post: 'Corner block' },
    },
    {
      helper: 'panel',
      name: 'Lid',
      copies: 2,
      materials: ['larch', 'spruce'],
      exposure: 'outdoors',
      told: {
        length: 'length',
        by: 'fill',
        width: '740',
        board: '20x95mm',
        gap: '5',
        battens: '4',
        batten: '20x95mm',
      },
      names: { board: 'Lid slat', batten: 'Lid batten' },
      shapes: { batten: 'clip 20 x 20 top left; clip 20 x 20 top right' },
      hardware: [['Lid hinge', 'hinge 80 mm', 4]],
    },
  ],
);
const metric: Project = { ...sandpit, settings: { ...sandpit.settings, tax: 0.19, taxIncluded: true } };

const files: [Project, Book][] = [
  [
    bought(
      planned(compost, usd, '2026-11-18', {
        'harrow: cedar picket 6 ft': 3_290_000,
        'postbox: strap hinge 4 in': 14_900_000,
      }),
      usd,
      'postbox',
      '2026-11-19',
    ),
    usd,
  ],
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
