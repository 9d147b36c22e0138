import fc from 'fast-check';
import { offcutName } from '../cutting/model';
import { againstProject, faceOf, usefulOffcuts, type Layout, type Plan } from '../plan';
import { checkPlan } from '../plan/planner';
import type { Project } from '../project';
import { begunOn, GIVEN, measuredAs, planOf, PLENTY, withBought } from '../sawing/testing';
import { fromInches } from '../units';
import { inThePieceOfAll } from './inThePiece';
import { leftoversOf } from './leftovers';

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

const BOUGHT = withBought(PLENTY);
const START = planOf(BOUGHT);
/** Twelve boards at 5.00. */
const PAID = 6000;
/** Each figure is rounded to a cent: as many as there are lines. */
const CENTS = 30;

test('to begin on boards moves no money: neither what the parts use up nor what is left over', () => {
  const before = moneyOf(BOUGHT, START);
  fc.assert(
    fc.property(fc.array(fc.nat({ max: 30 }), { minLength: 1, maxLength: 6 }), (picks) => {
      let now = { project: BOUGHT, plan: START };
      for (const pick of picks) {
        const next = begunOn(now, pick);
        if (!next) break;
        now = next;
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
        const measuredBoards = boards.map(({ of, off, knot }, nth) =>
          measuredAs(`m${nth}`, of, off, knot === null ? [] : [[knot, knot + 2]]),
        );
        const first: Project = { ...BOUGHT, measuredBoards };
        let now = { project: first, plan: planOf(first, { project: BOUGHT, plan: START }) };
        for (const { pick, spoiled } of saws) {
          const next = begunOn(now, pick, (board) => ({
            ...board,
            pieces: board.pieces.map((piece, index) =>
              index === spoiled ? { ...piece, spoiled: fromInches(12) } : piece,
            ),
          }));
          if (!next) break;
          now = next;
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
