/** The command line: `bin/billet plan` and `bin/billet check` (formats.md). */
import loadHighs from 'highs';
import { explainTotal, explainVerdict, explanationText } from '@/core/budget';
import { asSawn, planText, planToJson, readPlan } from '@/core/io';
import { againstProject, type Plan } from '@/core/plan';
import { bestPlan, checkPlan, solverOf, type Highs } from '@/core/plan/planner';
import type { Problem } from '@/core/result';
import { readArguments, USAGE, type Arguments } from './arguments';
import { inputOf, nameOf, readGiven, readText, type Given } from './files';

const BAD_INPUT = 2;
const NO_PLAN = 1;

/** So many faults are printed; the rest is counted. */
const MAX_TOLD = 100;

const tellFaults = (problems: Problem[]): number => {
  for (const { place, sentence } of problems.slice(0, MAX_TOLD))
    process.stderr.write(`${place}: ${sentence}\n`);
  if (problems.length > MAX_TOLD) process.stderr.write(`and ${problems.length - MAX_TOLD} more\n`);
  return BAD_INPUT;
};

const plan = async (given: Given, { json, explain }: Arguments): Promise<number> => {
  const began = performance.now();
  const highs = (await loadHighs()) as unknown as Highs;
  const made = bestPlan(inputOf(given), solverOf(highs), given.timeLimit);
  const seconds = (performance.now() - began) / 1000;
  const faults = checkPlan(made, againstProject(given.project, given.book, given.owned));
  if (faults.length > 0) {
    process.stderr.write('The plan did not pass its check, and is not shown. This is a fault of Billet:\n');
    for (const { place, sentence } of faults) process.stderr.write(`${place}: ${sentence}\n`);
    return NO_PLAN;
  }
  process.stdout.write(
    json
      ? `${JSON.stringify(planToJson(made, seconds, given.project.settings.kerf.ticks), null, 2)}\n`
      : planText(made, given.project.unit),
  );
  if (explain && !json) process.stdout.write(explained(given, made));
  return made.status === 'infeasible' ? NO_PLAN : 0;
};

/** Where every sum comes from, and what the verdict rests on. */
const explained = ({ project, book }: Given, made: Plan): string =>
  [
    '',
    'Where it comes from:',
    ...explanationText(explainTotal(project, book, made), project.currency).map((line) => `  ${line}`),
    '',
    ...explainVerdict(made).map((sentence) => `  ${sentence}`),
    '',
  ].join('\n');

const check = (given: Given, file: string): number => {
  const content = readText(file);
  const read = content.ok ? readPlan(content.value, nameOf(file)) : content;
  if (!read.ok) return tellFaults(read.problems);
  const against = againstProject(given.project, given.book, given.owned);
  const faults = checkPlan(asSawn(read.value, against.parts), against);
  for (const { place, sentence } of faults) process.stdout.write(`${place}: ${sentence}\n`);
  process.stdout.write(
    faults.length === 0 ? 'The plan holds.\n' : `The plan does not hold: ${faults.length} faults.\n`,
  );
  return faults.length === 0 ? 0 : NO_PLAN;
};

const main = async (words: string[]): Promise<number> => {
  const asked = readArguments(words);
  if (!asked.ok) {
    const code = tellFaults(asked.problems);
    process.stderr.write(USAGE);
    return code;
  }
  const given = readGiven(asked.value);
  if (!given.ok) return tellFaults(given.problems);
  return asked.value.command === 'plan'
    ? plan(given.value, asked.value)
    : check(given.value, asked.value.plan ?? '');
};

// Whoever reads may have had enough: `billet plan … | head` is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

void main(process.argv.slice(2)).then((code) => {
  process.exitCode = code;
});
