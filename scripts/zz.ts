import loadHighs from 'highs';
import { planInput } from '@/core/plan';
import { bestPlan, solverOf, type Highs } from '@/core/plan/planner';
import { fromCsv } from '@/core/testing';
import { CLASSES } from '../bench/planClasses';
const main = async () => {
  const solver = solverOf((await loadHighs()) as unknown as Highs);
  for (const cls of CLASSES.filter(({ name }) => name.includes(process.argv[2] ?? ''))) {
    for (const seed of (process.argv[4] ?? "1,2,3,4,5,6,7,8,9,10").split(",").map(Number)) {
      const { project, book } = fromCsv(cls.make(seed));
      const t = performance.now();
      const plan = bestPlan(planInput(project, book), solver, Number(process.argv[3] ?? 10));
      console.log(seed, plan.status, plan.total, plan.lowerBound, (((plan.total - plan.lowerBound) / plan.total) * 100).toFixed(2), ((performance.now() - t) / 1000).toFixed(2));
    }
  }
};
void main();
