import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { readProjectFile } from '../io';
import { againstProject, planInput, shownPlan, type Plan } from '../plan';
import { bestPlan, checkPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import { apply, emptyExtra, withChanges, type Book, type Project, type ProjectChange } from '../project';
import { fromCsv, must } from '../testing';
import { outcomeOf, proposalsFor, usualProposals, waysToSave, type Proposal, type Saving } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const planWith = (project: Project, book: Book): Plan => {
  const plan = bestPlan(planInput(project, book), solver, 5);
  expect(checkPlan(plan, againstProject(project, book))).toEqual([]);
  return plan;
};
const waysOf = (project: Project, book: Book): Saving[] => {
  const found = new Map<string, Saving>();
  waysToSave(
    project,
    book,
    planWith(project, book),
    planWith,
    () => false,
    (saving) => found.set(saving.id, saving),
  );
  return [...found.values()];
};

/** The ids of groups, parts and settings that changes touch. */
const touchedBy = (changes: ProjectChange[]): string[] =>
  changes.map((change) =>
    change.type === 'editPart'
      ? `part ${change.partId}`
      : change.type === 'editSettings'
        ? `settings ${Object.keys(change.fields).join(' ')}`
        : 'groupId' in change
          ? `group ${change.groupId}`
          : change.type,
  );

test.each(['compost-station', 'record-shelf', 'sandpit'])(
  '%s: nothing outside of what a way names is moved',
  (name) => {
    const { project, book } = must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name));
    for (const { name: title, kind, groupId, changes } of proposalsFor(project, book, null)) {
      const made = withChanges(project, changes);
      const others = (of: Project) =>
        kind === 'section' || kind === 'option' ? of.groups.filter(({ id }) => id !== groupId) : [];
      expect([title, others(made)]).toEqual([title, others(project)]);
      if (kind === 'with' || kind === 'without')
        expect([title, touchedBy(changes)]).toEqual([title, [`group ${groupId}`]]);
      if (kind !== 'material' && kind !== 'section')
        expect([title, made.settings.spare]).toEqual([title, project.settings.spare]);
      if (kind === 'section')
        expect(touchedBy(changes).filter((one) => one.startsWith('group')).length).toBeGreaterThan(0);
    }
  },
);

const table = (materials: string): { project: Project; book: Book } =>
  fromCsv({
    parts: `part,kind,qty,section,length,width,material,group\nLeg,board,4,2x4,28in,,${materials},Table\nTop,sheet,1,3/4in,40in,20in,,Table`,
    prices: [
      'store,kind,section,length,width,material,price',
      'Yard,board,2x4,8ft,,stud,4',
      'Yard,board,2x6,8ft,,stud,7',
      'Yard,board,3x4,8ft,,stud,6',
      'Yard,sheet,3/4in,8ft,4ft,birch plywood,60',
      'Yard,sheet,3/4in,8ft,4ft,pine plywood,40',
    ].join('\n'),
  });

test('another section leaves what is open open: the sheet stays of whatever costs least, and no spare boards are written', () => {
  const { project, book } = table('stud');
  const ways = proposalsFor(project, book, null).filter(({ kind }) => kind === 'section');
  expect(ways.map(({ name }) => name)).toEqual(['Table in 3x4 stud for 2x4']);
  const made = withChanges(project, ways[0]?.changes ?? []);
  const parts = made.groups[0]?.options.find(({ id }) => id === made.groups[0]?.chosen)?.parts ?? [];
  expect(parts.map(({ name, section, materials }) => [name, section, materials])).toEqual([
    ['Leg', '3x4', ['stud']],
    ['Top', '3/4in', []],
  ]);
  expect(made.settings.spare).toBeUndefined();
  const { total } = projectMoney(made, book, planWith(made, book));
  expect(total - projectMoney(project, book, planWith(project, book)).total).toBe(400);
});

test('grade against grade is like against like: no spares where the present one has none and wants as many', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length,material,group\nPost,10,2x4,8ft,stud,Frame',
    prices:
      'store,section,length,material,price\nYard,2x4,8ft,stud,5\nYard,2x4,8ft,spruce stud,4\nYard,2x4,8ft,premium,6',
  });
  const sameGrade = proposalsFor(project, book, null).find(({ name }) => name === 'Frame in spruce stud');
  expect(withChanges(project, sameGrade?.changes ?? []).settings.spare).toBeUndefined();
  const dearer = { ...project, groups: project.groups.map((group) => ({ ...group })) };
  const inPremium = withChanges(
    dearer,
    proposalsFor(dearer, book, null).find(({ name }) => name === 'Frame in premium')?.changes ?? [],
  );
  const back = proposalsFor(inPremium, book, null).find(({ name }) => name === 'Frame in stud');
  expect(withChanges(inPremium, back?.changes ?? []).settings.spare).toEqual({ stud: 0.1 });
});

test('one section of several groups is offered in one grade; with a table saw the way without ripping is offered too', () => {
  const { project, book } = fromCsv({
    parts:
      'part,qty,section,length,material,group\nPost,4,2x4,8ft,stud,Frame\nRail,4,2x4,4ft,stud,Rails\nLath,4,2x2,4ft,stud,Rails',
    prices:
      'store,section,length,material,price\nYard,2x4,8ft,stud,5\nYard,2x4,8ft,premium,4\nYard,2x2,8ft,stud,9',
    settings: { tools: ['mitre-saw', 'table-saw'] },
  });
  const names = (all: Proposal[]) => all.map(({ name }) => name);
  const found = proposalsFor(project, book, null);
  expect(names(found)).toContain('All 2x4 in premium');
  const unripped = found.find(({ name }) => name === 'Nothing ripped');
  const made = withChanges(project, unripped?.changes ?? []);
  expect(made.settings.tools).toEqual(['mitre-saw']);
  expect(names(proposalsFor(made, book, null))).toContain('Narrow boards ripped');
});

test('savings are differences of the whole, however many are built, and taking one moves the total by just that', () => {
  const { project, book } = table('stud');
  const two = { ...project, builds: 2 };
  const dear = withChanges(two, [
    {
      type: 'editPart',
      partId: two.groups[0]?.options[0]?.parts[1]?.id ?? '',
      fields: { materials: ['birch plywood'] },
    },
  ]);
  const before = projectMoney(dear, book, planWith(dear, book)).total;
  const ways = waysOf(dear, book).filter(({ isForEach }) => !isForEach);
  expect(ways.length).toBeGreaterThan(0);
  for (const { title, changes, saves, total } of ways) {
    const taken = apply(dear, { type: 'choose', name: title, changes }, 0)?.document ?? dear;
    const after = projectMoney(taken, book, planWith(taken, book)).total;
    expect([title, after]).toEqual([title, total]);
    expect([title, saves]).toEqual([title, before - after]);
  }
});

test('a way whose finish has no price says so and is no whole saving; with a priced can the can is in the sum', () => {
  const given = (cans: string) =>
    fromCsv({
      parts: 'part,qty,section,length,material,group\nPost,10,2x4,8ft,cedar,Frame',
      prices: `store,item,kind,section,length,material,price\nYard,,board,2x4,8ft,cedar,9\nYard,,board,2x4,8ft,douglas fir,5${cans}`,
    });
  const outdoors = ({ project, book }: { project: Project; book: Book }) => ({
    project: {
      ...project,
      groups: project.groups.map((group) => ({ ...group, exposure: 'outdoors' as const })),
    },
    book,
  });
  const bare = outdoors(given(''));
  const way = waysOf(bare.project, bare.book).find(({ title }) => title.toLowerCase().includes('fir'));
  expect(way).toMatchObject({
    isWhole: false,
    tradeOff: expect.stringMatching(/^Without the finish it wants/),
  });
  const oiled = outdoors(given('\nYard,exterior oil 1 gal,hardware,,,,30'));
  const one = waysOf(oiled.project, oiled.book).find(({ title }) => title.toLowerCase().includes('fir'));
  expect(one).toMatchObject({ isWhole: true, saves: 4000 - 3000 });
});

test('a finish whose price was typed in its own sheet is finish, and neither trip nor hardware', () => {
  const { project, book } = table('stud');
  const typed: Project = {
    ...project,
    extras: [
      {
        ...emptyExtra('f'),
        name: 'Oil',
        rule: 'finish',
        groupId: null,
        coats: 1,
        covers: '250 ft2',
        price: 1298,
      },
    ],
  };
  const plan = planWith(typed, book);
  const outcome = outcomeOf(typed, book, plan);
  expect(outcome).toMatchObject({ finish: 1298, trips: 0, hardware: 0 });
  expect(outcome?.atTill).toBe((shownPlan(plan)?.total ?? 0) + 1298);
});

test('a group is seen with and without: its cost is put off, told so, and is no column unless it is asked for', () => {
  const two = fromCsv({
    parts: 'part,qty,section,length,material,group\nPost,4,2x4,8ft,stud,Frame\nRail,4,2x4,4ft,stud,Rails',
    prices: 'store,section,length,material,price\nYard,2x4,8ft,stud,5',
  });
  const ways = proposalsFor(two.project, two.book, null);
  expect(ways.filter(({ kind }) => kind === 'without').map(({ name }) => name)).toEqual([
    'Frame another time',
    'Rails another time',
  ]);
  expect(usualProposals(ways, 12).some(({ kind }) => kind === 'without')).toBe(false);
  const rails = ways.find(({ name }) => name === 'Rails another time');
  const made = withChanges(two.project, rails?.changes ?? []);
  expect(outcomeOf(made, two.book, planWith(made, two.book))).toMatchObject({
    atTill: 2000,
    notYet: ['Rails'],
  });
  const [back] = usualProposals(proposalsFor(made, two.book, null), 12);
  expect(back).toMatchObject({ kind: 'with', name: 'With Rails' });
  expect(withChanges(made, back?.changes ?? []).groups.map(({ isLater }) => isLater ?? false)).toEqual([
    false,
    false,
  ]);
});
