import * as fc from 'fast-check';
import { fromCsv } from '../testing';
import { planInput, shownPlan, type Layout } from '../plan';
import { firstPlan } from '../plan/planner';
import { givenList } from '../plan/fuzz';
import { countSetups, sawFaults, sequenceOf } from '.';

/** The layouts of a first plan of the random list of a seed, and what its saw takes. */
const layoutsOf = (seed: number): { layouts: Layout[]; kerf: number } => {
  const { project, book } = givenList(seed);
  const plan = shownPlan(firstPlan(planInput(project, book)));
  return { layouts: plan?.layouts ?? [], kerf: project.settings.kerf.ticks };
};

test('what the saw does leaves the pieces and offcuts of every layout of 500 random lists', () => {
  let [layouts, slanted, ripped, stored] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 500; seed++) {
    const of = layoutsOf(seed);
    for (const [index, layout] of of.layouts.entries()) {
      const sequence = sequenceOf(layout, of.kerf);
      const faults = sawFaults(layout, sequence, of.kerf);
      if (faults.length > 0)
        throw new Error(`seed ${seed}, layout ${index}: ${faults.join('; ')}\n${JSON.stringify(layout)}`);
      layouts++;
      const { cuts } = sequence;
      if (cuts.some(({ setup }) => setup.tool !== 'fence' && setup.angle > 0)) slanted++;
      if (layout.kind === 'board' && cuts.some(({ kind }) => kind === 'rip')) ripped++;
      if (cuts.some(({ store }) => store)) stored++;
    }
  }
  // The lists are of all kinds, or this would say little.
  expect(layouts).toBeGreaterThan(1000);
  for (const kind of [slanted, ripped, stored]) expect(kind).toBeGreaterThan(20);
});

test('a sequence that is changed anywhere is refused', () => {
  const given = [2, 3, 7, 11, 19, 23].flatMap((seed) => {
    const { layouts, kerf } = layoutsOf(seed);
    return layouts.filter(({ pieces }) => pieces.length > 1).map((layout) => ({ layout, kerf }));
  });
  fc.assert(
    fc.property(
      fc.constantFrom(...given),
      fc.nat(),
      fc.constantFrom('moved', 'dropped', 'twice', 'from', 'kind', 'leaf', 'silent', 'kerf', 'store'),
      ({ layout, kerf }, pick, change) => {
        const sequence = sequenceOf(layout, kerf);
        const cuts = sequence.cuts.map((cut) => ({ ...cut }));
        const leaves = { ...sequence.leaves };
        const index = pick % cuts.length;
        const cut = cuts[index];
        fc.pre(cut !== undefined);
        const pieces = Object.keys(leaves).filter((id) => typeof leaves[Number(id)] === 'number');
        const id = Number(pieces[pick % pieces.length]);
        if (change === 'moved') {
          const [[x, y], [u, v]] = cut.line;
          const by = 10;
          cut.line =
            cut.kind === 'crosscut'
              ? [
                  [x + by, y],
                  [u + by, v],
                ]
              : [
                  [x, y + by],
                  [u, v + by],
                ];
          // What is only waste on both sides may be cut anywhere.
          fc.pre(cut.to.some((side) => side !== null && leaves[side] !== 'waste'));
        }
        if (change === 'dropped') cuts.splice(index, 1);
        if (change === 'twice') cuts.splice(index, 0, cut);
        if (change === 'from') cut.from = 999;
        if (change === 'kind') cut.kind = cut.kind === 'rip' ? 'crosscut' : 'rip';
        if (change === 'leaf') leaves[id] = 'waste';
        if (change === 'silent') delete leaves[id];
        if (change === 'store') cut.store = cut.store ? undefined : true;
        const saw = change === 'kerf' ? kerf + 40 : kerf;
        expect(sawFaults(layout, { cuts, leaves }, saw)).not.toEqual([]);
      },
    ),
    { numRuns: 300 },
  );
});

const sawn = (parts: string, prices: string) => {
  const settings = { tools: ['mitre-saw', 'table-saw'] };
  const { project, book } = fromCsv({ parts, prices, settings });
  const plan = firstPlan(planInput(project, book));
  return plan.layouts.map((layout) => sequenceOf(layout, project.settings.kerf.ticks));
};

test('common practice: a 2x6x8 as strips first, the fence set once for strips of one width', () => {
  const [sequence] = sawn(
    'part,qty,section,length\nrail,4,3/4x1-1/2in,30\nslat,2,3/4x1-1/2in,29',
    "store,section,length,material,price\nYard,1x6,8',pine,9",
  );
  const cuts = sequence?.cuts ?? [];
  const rips = cuts.filter(({ kind }) => kind === 'rip');
  expect(new Set(rips.map(({ setup }) => JSON.stringify(setup))).size).toBe(1);
  expect(cuts.slice(0, rips.length).every(({ kind }) => kind === 'rip')).toBe(true);
  // Four rails by one stop and two slats by another, besides the fence.
  expect(countSetups(cuts)).toBe(3);
});

test('common practice: three 33 in trapezoids of 45 degrees from one 96 in 2x4 share their cuts', () => {
  const [sequence] = sawn(
    'part,qty,section,length,ends\nbrace,3,2x4,33,mitre 45',
    "store,section,length,material,price\nYard,2x4,8',stud,4",
  );
  const slanted = sequence?.cuts.filter(({ setup }) => setup.tool !== 'fence' && setup.angle === 45) ?? [];
  // One at the first end, then one behind each piece: neighbours share theirs.
  expect(slanted).toHaveLength(4);
});

test('ends cut across the thickness tilt the blade, also where the board begins; what is left is squared', () => {
  const [sequence] = sawn(
    'part,qty,section,length,ends\ntrim,1,1x4,20,mitre 45 edge',
    "store,section,length,material,price\nYard,1x4,8',pine,4",
  );
  expect(sequence?.cuts.map(({ setup }) => ('bevel' in setup ? setup.bevel : null))).toEqual([45, 45, 0]);
});
