import fc from 'fast-check';
import { fromCsv } from '../testing';
import type { Book, Price, Project } from '../project';
import { planInput, planKey } from '.';
import { randomList } from './randomList';

const given = (seed: number): { project: Project; book: Book } => {
  const { rack, ...list } = randomList(seed);
  const { project, book } = fromCsv(list);
  const held = Object.fromEntries(rack.map((entry, index) => [`r${index}`, { ...entry, id: `r${index}` }]));
  return { project, book: { ...book, rack: held } };
};
const keyOf = ({ project, book }: { project: Project; book: Book }): string =>
  planKey(planInput(project, book));
const seeds = fc.integer({ min: 1, max: 100_000 });

test('ids, notes, sources, days and the order of price rows decide no plan', () => {
  fc.assert(
    fc.property(seeds, fc.string(), (seed, note) => {
      const { project, book } = given(seed);
      const rows = Object.values(book.prices).map((price, index): [string, Price] => [
        `other ${index}`,
        { ...price, id: `other ${index}`, note, source: 'typed', date: '2026-11-21' },
      ]);
      const prices = Object.fromEntries(rows.reverse());
      expect(keyOf({ project, book: { ...book, prices } })).toBe(keyOf({ project, book }));
    }),
    { numRuns: 60 },
  );
});

test('how a measure is written decides no plan, and neither do the names of project and groups', () => {
  fc.assert(
    fc.property(seeds, fc.string(), (seed, name) => {
      const { project, book } = given(seed);
      const { kerf } = project.settings;
      const settings = { ...project.settings, kerf: { ...kerf, text: `${kerf.text} ` } };
      expect(keyOf({ project: { ...project, name, note: name, settings }, book })).toBe(
        keyOf({ project, book }),
      );
    }),
    { numRuns: 60 },
  );
});

test('what is dearer by the smallest coin, is wanted once more, or is cut wider asks for another plan', () => {
  fc.assert(
    fc.property(seeds, fc.nat(), (seed, pick) => {
      const { project, book } = given(seed);
      const before = keyOf({ project, book });
      const offered = planInput(project, book).offers.map(({ item }) => item.name);
      const rows = Object.values(book.prices).filter(({ item }) => offered.includes(item.name));
      const row = rows[pick % Math.max(1, rows.length)];
      if (row) {
        const dearer = { ...book.prices, [row.id]: { ...row, price: row.price + 1 } };
        expect(keyOf({ project, book: { ...book, prices: dearer } })).not.toBe(before);
      }
      const kerf = { ...project.settings.kerf, ticks: project.settings.kerf.ticks + 1 };
      expect(keyOf({ project: { ...project, settings: { ...project.settings, kerf } }, book })).not.toBe(
        before,
      );
      expect(keyOf({ project: { ...project, builds: project.builds + 1 }, book })).not.toBe(before);
    }),
    { numRuns: 60 },
  );
});
