import { fromCsv } from '../testing';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { boardsToSaw, piecesFree } from '.';

const planOf = (parts: string) => {
  const { project, book } = fromCsv({
    parts,
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x6,8',stud,6",
  });
  return { layouts: firstPlan(planInput(project, book)).layouts, kerf: project.settings.kerf.ticks };
};

const LEGS = 'part,qty,section,length\nleg,6,2x4,30\nrail,2,2x4,47';

test('each board of a plan is sawn by itself, under a name that no other has', () => {
  const { layouts, kerf } = planOf(LEGS);
  const { boards, refused } = boardsToSaw(layouts, kerf);
  expect(refused).toEqual([]);
  expect(boards).toHaveLength(layouts.reduce((sum, { count }) => sum + count, 0));
  expect(new Set(boards.map(({ key }) => key)).size).toBe(boards.length);
});

test('a board keeps its name where other boards of the plan change', () => {
  const keys = (parts: string): string[] => {
    const { layouts, kerf } = planOf(parts);
    return boardsToSaw(layouts, kerf).boards.map(({ key }) => key);
  };
  const legs = 'part,qty,section,length\nleg,3,2x4,30';
  const [leg] = keys(legs);
  expect(keys(`${legs}\nplank,1,2x6,90`)).toContain(leg);
  expect(keys(legs.replace('30', '31'))).not.toContain(leg);
});

test('pieces come free one after the other, all of them once all cuts are done, and none before the first', () => {
  const { layouts, kerf } = planOf(LEGS);
  for (const { sequence, layout } of boardsToSaw(layouts, kerf).boards) {
    const free = sequence.cuts.map((_, done) => piecesFree(sequence, done).size);
    expect(free).toEqual([...free].sort((a, b) => a - b));
    if (sequence.cuts.length > 0) expect(free[0]).toBe(0);
    expect(piecesFree(sequence, sequence.cuts.length).size).toBe(layout.pieces.length);
  }
});
