import { hardwareItem } from '../budget';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { measure, emptyExtra, type Book, type Joint, type Project } from '../project';
import { fromCsv } from '../testing';
import { forgottenIn } from '.';

const given = (
  material: string,
  exposure: 'indoors' | 'outdoors' | 'ground',
  how?: Joint['how'],
  parts = '',
) => {
  const { project, book } = fromCsv({
    parts: `part,qty,section,length,kind,item,width\nRail,2,2x4,40,,,\nPost,2,2x4,60,,,\n${parts}`,
    prices: `store,section,length,material,price,kind,item,width\nYard,2x4,8',${material},4,,,\nYard,,,,6,hardware,plain screw 3 in,\nYard,,,,7,hardware,coated screw 3 in,\nYard,,,,24,hardware,exterior stain 1 gallon,\nYard,,,,3,hardware,sandpaper pack,\nYard,3/4in,8',ply,41,sheet,,4'`,
  });
  const joints = (rail: string, post: string): Joint[] =>
    how
      ? [
          {
            id: 'j',
            name: 'Rail to post',
            how,
            first: rail,
            second: post,
            through: 'thickness',
            into: 'width',
            quantity: 4,
            each: 2,
            item: how === 'nail' ? 'plain screw 3 in' : 'coated screw 3 in',
          },
        ]
      : [];
  const groups = project.groups.map((group) => ({
    ...group,
    exposure,
    options: group.options.map((option) => ({
      ...option,
      joints: joints(option.parts[0]?.id ?? '', option.parts[1]?.id ?? ''),
    })),
  }));
  return { project: { ...project, groups }, book };
};

const idsOf = (project: Project, book: Book) =>
  forgottenIn(project, book, firstPlan(planInput(project, book))).map(({ id }) => id.split(':')[0]);
const of = (project: Project, book: Book, id: string) =>
  forgottenIn(project, book, firstPlan(planInput(project, book))).find((one) => one.id.startsWith(id));

test('bare pine outdoors wants a finish, with the can that a store sells; with one, or one that is owned, it does not', () => {
  const { project, book } = given('stud', 'outdoors');
  expect(of(project, book, 'finish')?.wants).toMatchObject({
    isPriced: true,
    extra: { rule: 'finish', item: 'exterior stain 1 gallon' },
  });
  const owned = {
    ...project,
    extras: [{ ...emptyExtra('e'), name: 'Oil', rule: 'finish' as const, covers: '60 ft2', isOwned: true }],
  };
  expect(idsOf(owned, book)).not.toContain('finish');
  expect(idsOf(owned, book)).toEqual(expect.arrayContaining(['sandpaper', 'brush']));
  const cedar = given('cedar', 'outdoors');
  expect(idsOf(cedar.project, cedar.book)).not.toContain('finish');
});

test('treated wood with plain screws: told, until they are coated', () => {
  const plain = given('treated', 'ground', 'nail');
  expect(of(plain.project, plain.book, 'steel')?.sentence).toMatch(/plain screw 3 in/);
  const coated = given('treated', 'ground', 'through');
  expect(idsOf(coated.project, coated.book)).not.toContain('steel');
  expect(idsOf(coated.project, coated.book)).toEqual(expect.arrayContaining(['gloves', 'concrete', 'bit']));
});

test('glue for joints that are nailed and glued, a jig for pocket screws; tools that are owned are not asked for', () => {
  const nailed = given('stud', 'indoors', 'nail');
  expect(idsOf(nailed.project, nailed.book)).toContain('glue');
  const pocket = given('stud', 'indoors', 'pocket');
  expect(of(pocket.project, pocket.book, 'bit:pocket')?.wants?.isTool).toBe(true);
  const tools = { a: { id: 'a', name: 'pocket-hole jig' }, b: { id: 'b', name: 'driver bits' } };
  expect(idsOf(pocket.project, { ...pocket.book, tools })).not.toContain('bit');
});

/** Each asks for something of its own. */
const asking: [id: string, silencedBy: string, Parameters<typeof given>, (project: Project) => Project][] = [
  [
    'liner',
    'pond liner',
    ['treated', 'ground'],
    (project) => ({
      ...project,
      treatedNearFood: 'liner',
      groups: project.groups.map((group) => ({ ...group, nearFood: true })),
    }),
  ],
  ['glue', 'wood glue', ['stud', 'indoors', 'nail'], (project) => project],
  ['bit:pocket', 'stepped bit', ['stud', 'indoors', 'pocket'], (project) => project],
  ['bit:bolt', 'auger bit 10 mm', ['stud', 'indoors', 'bolt'], (project) => project],
  ['bit:driver', 'bit set', ['stud', 'indoors', 'through'], (project) => project],
  [
    'blade:sheet',
    'blade 60 teeth',
    ['stud', 'indoors', undefined, 'Shelf,1,3/4in,20,sheet,,12\n'],
    (project) => project,
  ],
  ['concrete', 'gravel bag', ['treated', 'ground'], (project) => project],
  [
    'sandpaper',
    'sanding discs',
    ['stud', 'indoors'],
    (project) => ({
      ...project,
      extras: [{ ...emptyExtra('e'), name: 'Oil', rule: 'finish', covers: '60 ft2' }],
    }),
  ],
  [
    'brush',
    'foam roller',
    ['stud', 'indoors'],
    (project) => ({
      ...project,
      extras: [{ ...emptyExtra('e'), name: 'Oil', rule: 'finish', covers: '60 ft2' }],
    }),
  ],
  ['gloves', 'work gloves', ['treated', 'outdoors'], (project) => project],
];

test.each(asking)(
  '%s is asked for until it is there: on the list, bought, owned, or on the rack',
  (id, silencedBy, of, change) => {
    const { project: bare, book } = given(...of);
    const project = change(bare);
    const asked = (one: Project, with_: Book = book) =>
      forgottenIn(one, with_, firstPlan(planInput(one, with_))).map((each) => each.id);
    expect(asked(project)).toContain(id);
    expect(asked({ ...project, dismissed: [id] })).not.toContain(id);
    const item = hardwareItem(silencedBy);
    const bought = {
      id: 'p',
      date: '2026-11-25',
      storeId: '',
      store: 'Fair',
      note: '',
      lines: [{ item, pack: 1, quantity: 1, price: 100, tax: 0, category: 'other' as const }],
    };
    const ways: [Project, Book][] = [
      [
        {
          ...project,
          extras: [...project.extras, { ...emptyExtra('x'), name: silencedBy, amount: '1', isOwned: true }],
        },
        book,
      ],
      [{ ...project, purchases: [bought] }, book],
      [project, { ...book, rack: { r: { id: 'r', item, quantity: 1, from: '' } } }],
      [project, { ...book, tools: { t: { id: 't', name: silencedBy } } }],
    ];
    for (const [one, with_] of ways) expect(asked(one, with_)).not.toContain(id);
  },
);

test('what is dismissed is not asked for again', () => {
  const { project, book } = given('stud', 'outdoors');
  const [first] = forgottenIn(project, book, firstPlan(planInput(project, book)));
  const after = { ...project, dismissed: [first?.id ?? ''] };
  expect(forgottenIn(after, book, firstPlan(planInput(after, book))).map(({ id }) => id)).not.toContain(
    first?.id,
  );
});

test('short posts stand on the ground or inside a box: no concrete is asked for', () => {
  const { project, book } = given('treated', 'ground', 'through');
  const short = {
    ...project,
    groups: project.groups.map((group) => ({
      ...group,
      options: group.options.map((option) => ({
        ...option,
        parts: option.parts.map((part) => ({ ...part, length: measure('20', 'in') })),
      })),
    })),
  };
  expect(idsOf(project, book)).toContain('concrete');
  expect(idsOf(short, book)).not.toContain('concrete');
});
