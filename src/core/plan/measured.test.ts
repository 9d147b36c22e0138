import fc from 'fast-check';
import { measure } from '../project';
import { fromCsv } from '../testing';
import { againstProject, planInput } from '.';
import { checkPlan, firstPlan } from './planner';

const PARTS = 'part,qty,section,length,short_ok,ends\nRail,5,2x4,40,SLACK,ENDS\nPost,3,2x4,30,,';
const PRICES = "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x4,10',stud,5.50";

test('a part that was measured and partly cut is planned: what is cut keeps its length, the rest takes the new one', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 7 }),
      fc.constantFrom('38', '39 15/16', '40', '40 1/16', '41 1/2'),
      fc.constantFrom('', '1/16'),
      fc.constantFrom('', 'mitre 45'),
      (cut, length, slack, ends) => {
        const { project, book } = fromCsv({
          parts: PARTS.replace('SLACK', slack).replace('ENDS', ends),
          prices: PRICES,
        });
        const measured = { length: measure(length, 'in'), where: '', cut };
        const groups = project.groups.map((group) => ({
          ...group,
          options: group.options.map((option) => ({
            ...option,
            parts: option.parts.map((part) => (part.name === 'Rail' ? { ...part, measured } : part)),
          })),
        }));
        const real = { ...project, groups };
        const plan = firstPlan(planInput(real, book));
        expect(plan.status).not.toBe('infeasible');
        expect(checkPlan(plan, againstProject(real, book))).toEqual([]);
        const rails = plan.layouts.flatMap(({ count, pieces }) =>
          pieces.filter(({ part }) => part === 'Rail').map(() => count),
        );
        expect(rails.reduce((sum, count) => sum + count, 0)).toBe(5);
      },
    ),
    { numRuns: 80 },
  );
});
