import fc from 'fast-check';
import { finishedCount, planInput, shownPlan } from '../plan';
import { firstPlan } from '../plan/planner';
import { randomList } from '../plan/randomList';
import { fromCsv } from '../testing';
import { boardsToSaw, hazardsOf, labelsOf, SAW_HAZARDS } from '.';

test('law: each piece of a plan has a label of its own, and no other', () => {
  fc.assert(
    fc.property(fc.nat(10_000), (seed) => {
      const { project, book } = fromCsv(randomList(seed));
      const labels = labelsOf(project);
      expect(new Set(labels.map(({ mark }) => mark)).size).toBe(labels.length);
      const plan = firstPlan(planInput(project, book));
      if (!shownPlan(plan) || plan.problems.length > 0) return;
      const cut = new Map<string, number>();
      for (const { pieces, count } of plan.layouts)
        for (const piece of pieces)
          cut.set(piece.partId, count * finishedCount(piece) + (cut.get(piece.partId) ?? 0));
      const named = new Map<string, number>();
      for (const { partId } of labels) named.set(partId, 1 + (named.get(partId) ?? 0));
      expect([...named].sort()).toEqual([...cut].sort());
    }),
    { numRuns: 60 },
  );
});

const sawn = (parts: string, prices: string) => {
  const { project, book } = fromCsv({
    parts: `part,qty,section,length,kind,width\n${parts}`,
    prices: `store,section,length,material,price,kind,width\n${prices}`,
  });
  const { boards } = boardsToSaw(firstPlan(planInput(project, book)).layouts, project.settings.kerf.ticks);
  return boards.map((board) => board.sequence.cuts.flatMap((_, index) => hazardsOf(board, index)));
};

// Common practice: what brings hands near the blade, tips or pinches is told where it is cut, and nowhere else.
test('short pieces, long boards and large sheets are told at the cut where they matter', () => {
  const short = sawn('block,3,2x4,5,board,', "Yard,2x4,6',stud,4,board,");
  expect(short.flat()).toEqual(['shortPiece', 'shortPiece', 'shortPiece']);
  const long = sawn('rail,2,2x4,40,board,', "Yard,2x4,8',stud,4,board,");
  expect(long.map((told) => told.filter((hazard) => hazard === 'longBoard').length)).toEqual([1]);
  const plain = sawn('rail,2,2x4,30,board,', "Yard,2x4,6',stud,4,board,");
  expect(plain.flat()).toEqual([]);
  const sheet = sawn('shelf,2,3/4in,30,sheet,20', "Yard,3/4in,8',ply,40,sheet,4'");
  expect(sheet.flat().filter((hazard) => hazard === 'largeSheet').length).toBe(1);
  for (const { title, sentence } of Object.values(SAW_HAZARDS))
    expect(`${title}: ${sentence}`).toMatch(/\.$/);
});
