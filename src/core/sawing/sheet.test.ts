import fc from 'fast-check';
import { randomList } from '../plan/randomList';
import { fromCsv } from '../testing';
import { planInput, shownPlan } from '../plan';
import { firstPlan } from '../plan/planner';
import { boardsToSaw, drawingsToSaw, setupsOf } from '.';

test('a cut sheet has every board and every cut of them, each setting once', () => {
  fc.assert(
    fc.property(fc.nat(10_000), (seed) => {
      const { project, book } = fromCsv(randomList(seed));
      const layouts = shownPlan(firstPlan(planInput(project, book)))?.layouts ?? [];
      const { boards } = boardsToSaw(layouts, project.settings.kerf.ticks);
      const drawings = drawingsToSaw(boards);
      expect(drawings.reduce((sum, { count }) => sum + count, 0)).toBe(boards.length);
      expect(drawings.map(({ number }) => number)).toEqual([...new Set(boards.map(({ number }) => number))]);
      const uses = setupsOf(drawings);
      const own = boards.flatMap(({ sequence }) => sequence.cuts.filter(({ store }) => !store));
      expect(uses.reduce((sum, { cuts }) => sum + cuts, 0)).toBe(own.length);
      const said = uses.map(({ setup, of }) => JSON.stringify([setup, of]));
      expect(new Set(said).size).toBe(said.length);
    }),
    { numRuns: 60 },
  );
});

// Common practice: what has the same length is cut against the same stop, the longest first.
test('six legs and two rails of one section: two stops, the longer first', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length\nleg,6,2x4,30\nrail,2,2x4,47',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  const { boards } = boardsToSaw(firstPlan(planInput(project, book)).layouts, project.settings.kerf.ticks);
  const stops = setupsOf(drawingsToSaw(boards)).flatMap(({ setup, cuts }) =>
    setup.tool === 'stop' ? [[Math.round(setup.stop / project.settings.kerf.ticks) / 8, cuts]] : [],
  );
  expect(stops.map(([stop]) => stop)).toEqual([47, 30]);
  expect(stops.map(([, cuts]) => cuts)).toEqual([2, 6]);
});
