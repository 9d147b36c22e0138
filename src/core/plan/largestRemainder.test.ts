import fc from 'fast-check';
import { planInput } from '.';
import { firstPlan } from './planner';
import { fromCsv } from '../testing';
import { largestRemainder } from '../cutting/heuristics/largestRemainder';

test('shares are whole, add up, and are no further from what they were than one', () => {
  expect(largestRemainder(10, [3.3, 3.3, 3.4])).toEqual([3, 3, 4]);
  expect(largestRemainder(0, [])).toEqual([]);
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 20 }),
      (shares) => {
        const total = Math.round(shares.reduce((sum, share) => sum + share, 0));
        const whole = largestRemainder(total, shares);
        expect(whole.reduce((sum, share) => sum + share, 0)).toBe(total);
        whole.forEach((share, index) =>
          expect(Math.abs(share - (shares[index] ?? 0))).toBeLessThan(1 + 1e-9),
        );
      },
    ),
  );
});

test('the lines of a store come to what leaves the pocket there, rounding and all', () => {
  const { project, book } = fromCsv({
    parts:
      'part,qty,kind,section,length,item\nRail,1,,2x4,40,\nA,1,hardware,,,a\nB,1,hardware,,,b\nC,1,hardware,,,c',
    prices:
      'store,kind,section,length,material,price,item\nYard,,2x4,8ft,stud,3.33,\nYard,hardware,,,,1.15,a\nYard,hardware,,,,1.15,b\nYard,hardware,,,,1.15,c',
    settings: { tax: 0.07 },
  });
  const plan = firstPlan(planInput(project, book));
  const lines = plan.buys.reduce((sum, { costWithTax }) => sum + costWithTax, 0);
  // 6.78 and tax of 0.47; each line by itself would come to 3.56 + 3 x 1.23.
  expect([lines, plan.goods + plan.tax]).toEqual([725, 725]);
});
