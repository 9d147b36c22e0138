import fc from 'fast-check';
import { offcutName } from '../cutting/model';
import { againstProject, faceOf, planInput, usefulOffcuts, type Layout, type Plan } from '../plan';
import { checkedPlan, checkPlan } from '../plan/planner';
import type { Project, Purchase } from '../project';
import { sawnBoardOf } from '../sawing';
import { fromCsv } from '../testing';
import { fromInches } from '../units';
import { inThePieceOfAll } from './inThePiece';
import { leftoversOf } from './leftovers';

const GIVEN = fromCsv({
  parts:
    'part,qty,section,length,ends\nRail,6,2x4,40,\nPost,4,2x4,29 1/2,\nBrace,4,2x4,18,mitre 45\nSlat,7,1x4,30,',
  prices: "store,section,length,material,price\nYard,2x4,10',stud,6\nYard,2x4,8',stud,4\nYard,1x4,8',pine,3",
});

/** Four boards of each size bought, at 5.00 each. */
const BOUGHT: Project = (() => {
  const items = Object.values(GIVEN.book.prices).map(({ item }) => item);
  const lines = items.map((item) => ({
    item,
    pack: 1,
    quantity: 4,
    price: 2000,
    tax: 0,
    category: 'wood' as const,
  }));
  const purchase: Purchase = { id: 'b', date: '2026-11-25', storeId: '', store: 'Yard', note: '', lines };
  return { ...GIVEN.project, purchases: [purchase] };
})();

const planOf = (project: Project, before: { project: Project; plan: Plan } | null): Plan => {
  const last = before && { plan: before.plan, input: planInput(before.project, GIVEN.book) };
  return checkedPlan(planInput(project, GIVEN.book), againstProject(project, GIVEN.book), last);
};
const kerf = GIVEN.project.settings.kerf.ticks;

/** What a board is worth as its pieces, and as what of it is left and of use. */
const valueOf = ({ value, length, width, pieces, offcuts }: Layout): number => {
  const faces = [
    ...pieces.map(({ outline }) => faceOf(outline)),
    ...usefulOffcuts(offcuts).map((offcut) => offcut.length * offcut.width),
  ];
  return (value * faces.reduce((sum, face) => sum + face, 0)) / (length * width);
};

/** What a plan says of money: what the parts use up, and what is left over. */
const moneyOf = (project: Project, plan: Plan) => ({
  inPiece: inThePieceOfAll(project, plan, GIVEN.book),
  left: leftoversOf(project, GIVEN.book, plan).reduce(
    (sum, { worth, quantity }) => sum + worth * quantity,
    0,
  ),
});

const START = planOf(BOUGHT, null);
const PAID = 6000;
/** Each figure is rounded to a cent: as many as there are lines. */
const CENTS = 30;

test('to begin on boards moves no money: neither what the parts use up nor what is left over', () => {
  const before = moneyOf(BOUGHT, START);
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 30 }), { minLength: 1, maxLength: 6 }), (picks) => {
      let now = { project: BOUGHT, plan: START };
      for (const [nth, pick] of picks.entries()) {
        const open = now.plan.layouts.filter((layout) => !layout.sawn && 'owned' in layout.source);
        const layout = open[pick % Math.max(1, open.length)];
        if (!layout) break;
        const board = sawnBoardOf({ ...layout, count: 1 }, `s${nth}`, kerf, 1);
        const project = { ...now.project, sawnBoards: [...(now.project.sawnBoards ?? []), board] };
        now = { project, plan: planOf(project, now) };
        const money = moneyOf(now.project, now.plan);
        expect(Math.abs(money.inPiece - before.inPiece)).toBeLessThanOrEqual(CENTS);
        expect(Math.abs(money.left - before.left)).toBeLessThanOrEqual(CENTS);
      }
    }),
    { numRuns: 40 },
  );
});

test('whatever is begun, spoiled or measured, what is used up and left is never more than was paid', () => {
  const begun = fc.record({ pick: fc.nat({ max: 30 }), spoiled: fc.option(fc.nat({ max: 5 })) });
  const measured = fc.record({
    of: fc.nat({ max: 2 }),
    off: fc.integer({ min: -20, max: 10 }),
    knot: fc.option(fc.integer({ min: 1, max: 80 })),
  });
  fc.assert(
    fc.property(
      fc.array(measured, { maxLength: 3 }),
      fc.array(begun, { minLength: 1, maxLength: 5 }),
      (boards, saws) => {
        const items = BOUGHT.purchases[0]?.lines.map(({ item }) => item) ?? [];
        const measuredBoards = boards.flatMap(({ of, off, knot }, nth) => {
          const item = items[of];
          if (!item?.length) return [];
          const length = item.length.ticks + fromInches(off / 16);
          const marks =
            knot === null
              ? []
              : [{ from: fromInches(knot), to: fromInches(knot + 2), kind: 'knot' as const }];
          return [{ id: `m${nth}`, item, length, marks }];
        });
        const first: Project = { ...BOUGHT, measuredBoards };
        let now = { project: first, plan: planOf(first, { project: BOUGHT, plan: START }) };
        for (const [nth, { pick, spoiled }] of saws.entries()) {
          const open = now.plan.layouts.filter((layout) => !layout.sawn && 'owned' in layout.source);
          const layout = open[pick % Math.max(1, open.length)];
          if (!layout) break;
          const board = sawnBoardOf({ ...layout, count: 1 }, `s${nth}`, kerf, 1);
          const pieces = board.pieces.map((piece, index) =>
            index === spoiled ? { ...piece, spoiled: fromInches(12) } : piece,
          );
          const project = {
            ...now.project,
            sawnBoards: [...(now.project.sawnBoards ?? []), { ...board, pieces }],
          };
          now = { project, plan: planOf(project, now) };
        }
        expect(checkPlan(now.plan, againstProject(now.project, GIVEN.book))).toEqual([]);
        const { inPiece, left } = moneyOf(now.project, now.plan);
        const toBuy = now.plan.buys.reduce((sum, { costWithTax }) => sum + costWithTax, 0);
        expect(inPiece + left).toBeLessThanOrEqual(PAID + toBuy + CENTS);
        // Of like boards, whose offcuts have one name, no piece and no offcut is counted twice.
        const sawn = now.plan.layouts.filter((layout) => layout.sawn);
        for (const name of new Set(sawn.map(offcutName))) {
          const like = sawn.filter((layout) => offcutName(layout) === name);
          const again = now.plan.layouts.filter(({ source }) => 'owned' in source && source.owned === name);
          const parted = again.reduce((sum, { value, count }) => sum + value * count, 0);
          const kept = like.reduce((sum, layout) => sum + valueOf(layout), 0);
          const whole = like.reduce((sum, { value }) => sum + value, 0);
          // A value is a whole micro: each sum of it may be one off.
          expect(parted + kept).toBeLessThanOrEqual(whole + again.length + like.length);
        }
      },
    ),
    {
      numRuns: 100,
      // An offcut of a sawn board on which sawing began in its turn was left over as well.
      examples: [
        [
          [{ of: 2, off: -3, knot: 28 }],
          [
            { pick: 21, spoiled: null },
            { pick: 17, spoiled: 0 },
            { pick: 20, spoiled: null },
          ],
        ],
      ],
    },
  );
});
