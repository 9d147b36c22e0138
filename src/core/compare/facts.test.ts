/** Money facts of the trade, each common practice, as the comparison reckons them. */
import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { fromInches } from '../units';
import { planInput, type Plan } from '../plan';
import { bestPlan, firstPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { emptyExtra, withChanges, type Book, type Project, type ProjectChange } from '../project';
import { fromCsv, type Case } from '../testing';
import { unfitFor, unfitInPlan } from './fit';
import { hazardContext } from './hazardContext';
import { buildOrBuy, outcomeOf, proposalsFor, unitRankings, waysToSave, type Outcome, type Saving } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const planOf = (project: Project, book: Book): Plan => bestPlan(planInput(project, book), solver, 10);
const costOf = (
  { project, book }: { project: Project; book: Book },
  changes: ProjectChange[] = [],
): number => {
  const made = withChanges(project, changes);
  return projectMoney(made, book, planOf(made, book)).total;
};
const waysOf = ({ project, book }: { project: Project; book: Book }): Saving[] => {
  const found: Saving[] = [];
  waysToSave(
    project,
    book,
    planOf(project, book),
    planOf,
    () => false,
    (saving) => found.push(saving),
  );
  return found;
};

test('slats against sheets: thirteen 2x4 for 35 instead of two sheets at 35 each, 35 saved (common practice)', () => {
  const given = fromCsv({
    parts: 'part,qty,kind,section,length,width\nDeck,2,sheet,3/4in,72,48',
    prices:
      'store,section,length,material,price,kind,width\nYard,2x4,8ft,stud,2.69,,\nYard,3/4in,96in,ply,35,sheet,48in',
  });
  const slats = fromCsv({
    parts: 'part,qty,section,length\nSlat,13,2x4,80',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,1',
  });
  const group = given.project.groups[0];
  const option = { id: 'slats', name: 'Slats', parts: slats.project.groups[0]?.options[0]?.parts ?? [] };
  const changes: ProjectChange[] = [
    { type: 'putOption', groupId: group?.id ?? '', option },
    { type: 'chooseOption', groupId: group?.id ?? '', optionId: 'slats' },
  ];
  expect(costOf(given)).toBe(7000);
  expect(costOf(given, changes)).toBe(13 * 269);
  // As an option of its group it is proposed, and found among the ways to save.
  const two = { ...given, project: withChanges(given.project, [changes[0] as ProjectChange]) };
  expect(proposalsFor(two.project, two.book, null).map(({ name }) => name)).toContain(
    `${group?.name}: Slats`,
  );
  expect(waysOf(two).map(({ saves }) => saves)).toContain(7000 - 13 * 269);
});

test('ripping 2x4s makes two 2x2s for about the price of one (common practice)', () => {
  const given: Case = {
    parts: 'part,qty,section,length\nBar,8,2x2,8ft',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,3.80\nYard,2x2,8ft,stud,3.60',
  };
  const made = fromCsv(given);
  expect(costOf(made)).toBe(8 * 360);
  const [way] = waysOf(made).filter(({ title }) => title.startsWith('Rip'));
  expect(way).toMatchObject({ saves: 8 * 360 - 4 * 380, tradeOff: expect.stringMatching(/table saw/) });
  const ranking = unitRankings(made.book, 'USD', 'in', fromInches(1 / 8)).find(
    ({ kind }) => kind === 'ripped',
  );
  expect(ranking?.rows.map(({ name, how }) => [name, how])).toEqual([
    ['2x4x8 stud', 'ripped, 2 strips of each'],
    ['2x2x8 stud', ''],
  ]);
});

test('store split: lumber at a yard and metal parts online for 115, one big store over 200; a trip costs too (common practice)', () => {
  const given = fromCsv({
    parts: 'part,qty,kind,section,length,item\nRail,10,,2x4,80,\nBracket,8,hardware,,,bracket',
    prices:
      'store,kind,section,length,material,price,item\nBig Store,,2x4,8ft,stud,8.2,\nBig Store,hardware,,,,15,bracket\nYard,,2x4,8ft,stud,7.5,\nOnline,hardware,,,,4.5,bracket',
    stores: { Yard: { trip: 400 } },
  });
  expect(costOf(given)).toBe(7500 + 3600 + 400);
  const one = proposalsFor(given.project, given.book, null).find(({ name }) => name === 'Only Big Store');
  expect(costOf(given, one?.changes)).toBe(8200 + 12000);
});

test('batch: of four legs of 31 in, eight-foot boards give three each and one twelve-foot board all four (common practice)', () => {
  const given = fromCsv({
    parts: 'part,qty,section,length\nLeg,3,2x4,31',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,4\nYard,2x4,12ft,stud,5.60',
  });
  expect(costOf(given)).toBe(400);
  const way = waysOf(given).find(({ isForEach }) => isForEach);
  // Six legs: two eight-foot boards at 4.00 save nothing on two of one; so nothing is claimed.
  expect(way).toBeUndefined();
  const legs = fromCsv({
    parts: 'part,qty,section,length\nLeg,4,2x4,31',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,4\nYard,2x4,12ft,stud,5.60',
  });
  expect(costOf(legs)).toBe(560);
});

test('build two at once saves where whole packs are used up, and says so for each', () => {
  const given = fromCsv({
    parts: 'part,qty,kind,section,length,item\nLeg,2,,2x4,31,\nScrew,50,hardware,,,screw',
    prices:
      'store,kind,section,length,material,price,item,pack\nYard,,2x4,8ft,stud,4,,\nYard,hardware,,,,9,screw,100',
  });
  const way = waysOf(given).find(({ isForEach }) => isForEach);
  // Alone 4 + 9; two: two boards and one box, 8 + 9.
  expect(way).toMatchObject({ saves: 1300 - 850, total: 1700 });
});

test('a dimension just over a length: an inch and a quarter less, and one 1x10 fewer', () => {
  const given = fromCsv({
    parts: 'part,qty,section,length\nShelf,3,1x10,33',
    prices: 'store,section,length,material,price\nYard,1x10,8ft,pine,14.80',
  });
  expect(costOf(given)).toBe(2960);
  const way = waysOf(given).find(({ title }) => title.startsWith('Shelf'));
  // Three in 96 less two kerfs: 31 11/12 in each.
  expect(way).toMatchObject({
    title: 'Shelf 1 1/8" shorter',
    saves: 1480,
    tradeOff: 'One 1x10x8 pine less. See that it still fits.',
  });
});

test('a part allowed 1/16 short, where two halves of a board lack a kerf; half panels, where a panel nearly fits one', () => {
  const halves = fromCsv({
    parts: 'part,qty,section,length\nRail,8,2x4,48',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,4',
  });
  const short = waysOf(halves).find(({ title }) => title.includes('come out'));
  expect(short).toMatchObject({ saves: 1600, tradeOff: expect.stringMatching(/^8 pieces do/) });
  const panel = fromCsv({
    parts: 'part,qty,kind,section,length,width\nBack,1,sheet,3/4in,49,40',
    prices:
      'store,kind,section,length,width,material,price,item\nYard,sheet,3/4in,96in,48in,ply,60,whole panel\nYard,sheet,3/4in,48in,48in,ply,34,half panel',
  });
  const way = waysOf(panel).find(({ title }) => title.startsWith('Back'));
  expect(way).toMatchObject({
    saves: 2600,
    tradeOff: 'One whole panel less, one half panel more. See that it still fits.',
  });
});

test('rough wood after its waste against dressed boards, packs by the piece, panels by the square foot', () => {
  const { book } = fromCsv({
    parts: 'part,qty,section,length\nA,1,2x4,10',
    prices:
      'store,kind,section,length,width,material,price,item,pack\nYard,sheet,3/4in,96in,48in,ply,64,,\nYard,sheet,3/4in,48in,48in,ply,40,,\nYard,hardware,,,,,9,screw,100\nPost,hardware,,,,,20,screw,250\nYard,,2x4,8ft,,larch,9,,',
  });
  const rough = { ...Object.values(book.prices).find(({ item }) => item.section === '2x4') };
  const price = {
    ...rough,
    id: 'rough',
    item: { ...rough.item, section: '2x6in', length: rough.item?.length },
    price: 6e6,
    rough: { planing: { text: '1/4', ticks: fromInches(1 / 4) }, waste: 0.2 },
  } as Book['prices'][string];
  const rankings = unitRankings(
    { ...book, prices: { ...book.prices, rough: price } },
    'USD',
    'in',
    fromInches(1 / 8),
  );
  const of = (kind: string) => rankings.find((ranking) => ranking.kind === kind);
  expect(of('panel')?.rows.map(({ rate }) => rate)).toEqual([2e6, 2.5e6]);
  expect(of('panel')?.rows[1]?.more).toBeCloseTo(0.25);
  expect(of('pack')?.rows.map(({ store }) => store)).toEqual(['Post', 'Yard']);
  const [cheap, dear] = of('rough')?.rows ?? [];
  // 3 1/2 + 1/4 in of the 6 in, and a fifth lost: 6.00 x 3.75 / 6 x 1.2 = 4.50 against 9.00.
  expect([(cheap?.rate ?? 0) * 8, (dear?.rate ?? 0) * 8]).toEqual([4.5e6, 9e6]);
  expect(cheap?.how).toBe('planed from rough, 20 % lost');
});

test('build or buy: the three costs of one, the share saved, and what an hour earns', () => {
  const { project } = fromCsv({
    parts: 'part,qty,section,length\nA,1,2x4,10',
    prices: 'store,section,length,material,price\nY,2x4,8ft,stud,1',
  });
  const made: Project = {
    ...project,
    builds: 2,
    readyMade: [{ id: 'a', price: 20000, source: 'a catalogue', date: '2026-11-01' }],
    work: { hours: 10, rate: 1000, beside: 2000 },
  };
  const found = buildOrBuy(made, { atTill: 12000, inPiece: 9000 } as Outcome);
  expect([found.inPiece, found.atTill, found.allIn]).toEqual([4500, 6000, (12000 + 2000 + 10000) / 2]);
  // Two sell for 400; 140 is spent beside the hours: 260 for ten hours.
  expect(found.readyMade[0]).toMatchObject({ shareSaved: 0.4, anHour: 2600 });
});

test('a cheaper grade brings its spare boards into the price', () => {
  const given = fromCsv({
    parts: 'part,qty,section,length,material\nRail,10,2x4,8ft,premium',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,premium,5\nYard,2x4,8ft,stud,3',
  });
  const way = waysOf(given).find(({ title }) => title === 'All spruce' || title.includes('stud'));
  // Ten, and one in ten against defects.
  expect(way).toMatchObject({
    saves: 5000 - 3300,
    tradeOff: expect.stringMatching(/1 spare board is in the price/),
  });
  const outcome = outcomeOf(given.project, given.book, planOf(given.project, given.book));
  expect(outcome?.boards).toBe(10);
});

test('what the plan makes of a wood that rots where it stands is told; what it merely might be made of is not', () => {
  const given = fromCsv({
    parts: 'part,qty,section,length,material\nPost,2,4x4,60,pine|cedar',
    prices: "store,section,length,material,price\nYard,4x4,8',pine,9\nYard,4x4,8',cedar,20",
  });
  const groups = given.project.groups.map((group) => ({ ...group, exposure: 'ground' as const }));
  const project = { ...given.project, groups };
  const plan = firstPlan(planInput(project, given.book));
  expect(unfitInPlan(project, given.book, plan).map(({ material }) => material)).toEqual(['pine']);
  const book = {
    ...given.book,
    prices: Object.fromEntries(
      Object.entries(given.book.prices).filter(([, { item }]) => item.material === 'cedar'),
    ),
  };
  expect(unfitInPlan(project, book, firstPlan(planInput(project, book)))).toEqual([]);
  // At the shelf too, by the section it is wanted in.
  const post = { kind: 'board' as const, section: '4x4', material: 'pine' };
  expect(unfitFor(post, [project], book)).toMatchObject({
    material: 'pine',
    sentence: expect.stringMatching(/./),
  });
  expect(unfitFor({ ...post, material: 'cedar' }, [project], book)).toBeNull();
  expect(unfitFor({ ...post, section: '2x4' }, [project], book)).toBeNull();
});

test('outdoors the finish is put on again: the cost per year bears it as often', () => {
  const cost = (exposure: 'outdoors' | 'indoors') => {
    const given = fromCsv({
      parts: 'part,qty,section,length,material\nRail,2,2x4,90,pine',
      prices:
        "store,item,kind,section,length,material,price,unit\nYard,,board,2x4,8',pine,10,\nYard,deck stain quart,hardware,,,,12,pack",
    });
    const project: Project = {
      ...given.project,
      groups: given.project.groups.map((group) => ({ ...group, exposure })),
      extras: [
        { ...emptyExtra('e'), name: 'Stain', item: 'deck stain quart', rule: 'finish', covers: '250 ft2' },
      ],
    };
    return outcomeOf(project, given.book, planOf(project, given.book));
  };
  const outside = cost('outdoors');
  const life = outside?.life;
  // 20 of wood and 12 of stain, which is due again every three years.
  const by = (years: number) => Math.round((3200 + 1200 * (Math.ceil(years / 3) - 1)) / years);
  expect(outside?.isRenewed).toBe(true);
  expect(life && outside.perYear).toEqual(
    life && {
      low: Math.min(by(life.low), by(life.high)),
      high: Math.max(by(life.low), by(life.high)),
    },
  );
  expect(cost('indoors')?.isRenewed).toBe(false);
});

test('tall is what is tall and shallow: a bookcase, not a bed or a bench', () => {
  const tall = (parts: string): number => {
    const { project, book } = fromCsv({
      parts: `part,qty,section,length,width,kind\n${parts}`,
      prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
    });
    const groups = project.groups.map((group) => ({ ...group, exposure: 'indoors' as const }));
    return hazardContext({ ...project, groups }, book, null).tall;
  };
  expect(tall('Side,2,3/4in,72,11,sheet\nShelf,5,3/4in,30,11,sheet')).toBeCloseTo(72 * 25.4);
  expect(tall('Post,4,4x4,36,,board\nSide rail,2,2x6,80,,board\nEnd rail,2,2x6,54,,board')).toBe(0);
  expect(tall('Leg,4,2x4,39,,board\nLong rail,2,2x4,40,,board\nShort rail,2,2x4,18,,board')).toBe(0);
});

test('a thing without a price hides no way to save, and a way that loses a price is none', () => {
  const given = fromCsv({
    parts: [
      'part,kind,qty,section,length,material,item',
      'Rail,board,10,2x4,90,premium|stud,',
      'Hook,hardware,8,,,,hook',
      'Cap,hardware,4,,,,cap',
    ].join('\n'),
    prices: [
      'store,item,kind,section,length,material,price,unit',
      "Yard,,board,2x4,8',premium,6,",
      "Yard,,board,2x4,8',stud,5,",
      'Mill,cap,hardware,,,,2,each',
      "Mill,,board,2x4,8',stud,3,",
    ].join('\n'),
    stores: { Mill: { trip: 500 } },
  });
  const { project, book } = given;
  const plan = planOf(project, book);
  expect(plan.status).toBe('infeasible');
  // Ten at 3, four caps, and the trip: all but the hooks.
  expect(projectMoney(project, book, plan).total).toBe(3000 + 800 + 500);
  const later = waysOf({ project: { ...project, target: 1 }, book });
  expect(later.length).toBeGreaterThan(0);
  for (const way of later) {
    expect(way.saves).toBe(way.isForEach ? Math.floor(4300 - way.total / 2) : 4300 - way.total);
    // None saves by what it cannot buy any more.
    expect(way.plan.problems.flatMap(({ part }) => part)).toEqual(['Hook']);
  }
});
