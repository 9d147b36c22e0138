/** Plans random lists of mixed kinds and prints the seed of each fault: `npm run fuzz -- 200 [first seed] [seconds]`. */
import loadHighs from 'highs';
import { solverOf, type Highs } from '@/core/plan/planner';
import { shownPlan } from '@/core/plan';
import { fuzzOne, givenList } from '@/core/plan/fuzz';
import { sawFaults, sequenceOf } from '@/core/sawing';

const [count = 60, first = Date.now() % 1_000_000, limit = 6] = process.argv.slice(2).map(Number);

const main = async () => {
  const solver = solverOf((await loadHighs()) as unknown as Highs);
  const statuses: Record<string, number> = {};
  let faulty = 0;
  let longest = 0;
  for (let seed = first; seed < first + count; seed++) {
    const { faults, plan, seconds } = fuzzOne(seed, solver, limit);
    const kerf = givenList(seed).project.settings.kerf.ticks;
    for (const layout of shownPlan(plan)?.layouts ?? [])
      faults.push(...sawFaults(layout, sequenceOf(layout, kerf), kerf));
    longest = Math.max(longest, seconds);
    statuses[plan?.status ?? 'none'] = (statuses[plan?.status ?? 'none'] ?? 0) + 1;
    if (faults.length > 0) faulty++;
    for (const fault of faults) console.log(`seed ${seed}: ${fault}`);
  }
  console.log(
    `${count} lists from seed ${first}: ${JSON.stringify(statuses)}, longest ${longest.toFixed(1)} s`,
  );
  console.log(`${faulty} with faults`);
  process.exitCode = faulty > 0 ? 1 : 0;
};
void main();
