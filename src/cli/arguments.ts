import { fail, ok, type Result } from '@/core/result';

/** What the command line asks for. */
export interface Arguments {
  command: 'plan' | 'check';
  /** The plan to check. */
  plan: string | null;
  parts: string | null;
  prices: string | null;
  owned: string | null;
  settings: string | null;
  project: string | null;
  json: boolean;
  /** With where every sum comes from. */
  explain: boolean;
}

/** What is printed where the words of a command line are not understood. */
export const USAGE = `billet plan --parts parts.csv --prices prices.csv [--owned owned.csv] [--settings settings.json] [--json | --explain]
billet plan --project project.billet.json [--json | --explain]
billet check plan.json --parts parts.csv --prices prices.csv [--owned owned.csv] [--settings settings.json]
`;

const FILES = ['parts', 'prices', 'owned', 'settings', 'project'] as const;

/** Reads the words behind `billet`. */
export const readArguments = (words: string[]): Result<Arguments> => {
  const [command, ...rest] = words;
  if (command !== 'plan' && command !== 'check')
    return fail('usage', `"${command ?? ''}" is not known; write plan or check`, 'billet');
  const given: Arguments = {
    command,
    plan: null,
    parts: null,
    prices: null,
    owned: null,
    settings: null,
    project: null,
    json: false,
    explain: false,
  };
  for (let index = 0; index < rest.length; index++) {
    const word = rest[index] ?? '';
    const file = FILES.find((name) => word === `--${name}`);
    if (word === '--json') given.json = true;
    else if (word === '--explain' && command === 'plan') given.explain = true;
    else if (file) {
      const value = rest[++index];
      if (value === undefined || value.startsWith('--'))
        return fail('usage', `--${file} wants a file behind it`, 'billet');
      given[file] = value;
    } else if (!word.startsWith('--') && command === 'check' && given.plan === null) given.plan = word;
    else return fail('usage', `"${word}" is not known`, 'billet');
  }
  if (command === 'check' && given.plan === null) return fail('usage', 'name the plan to check', 'billet');
  if (given.project === null && (given.parts === null || given.prices === null))
    return fail('usage', 'name --parts and --prices, or a --project', 'billet');
  return ok(given);
};
