import { existsSync, readFileSync } from 'node:fs';

/** What Playwright and Jest write of a run, as far as it is read here. */
interface Suite {
  file?: string;
  specs?: { title: string; tests: { status: string; results: { error?: { message?: string } }[] }[] }[];
  suites?: Suite[];
}
interface Units {
  testResults: {
    name: string;
    message: string;
    assertionResults: { status: string; fullName: string; failureMessages: string[] }[];
  }[];
}

const LINES = 12;
/** Without the colours of a terminal. */
const plain = (text: string): string => text.replace(/\u001b\[[\d;]*m/g, '');
const brief = (text: string): string =>
  plain(text)
    .split('\n')
    .filter((line) => line.trim())
    .slice(0, LINES)
    .map((line) => `     ${line.slice(0, 240)}`)
    .join('\n');

const read = <T>(place: string): T | null =>
  existsSync(place) ? (JSON.parse(readFileSync(place, 'utf8')) as T) : null;

const ofBrowser = (suite: Suite, file = suite.file ?? ''): string[] => [
  ...(suite.specs ?? []).flatMap(({ title, tests }) =>
    tests
      .filter(({ status }) => status === 'unexpected' || status === 'flaky')
      .map(
        ({ status, results }) =>
          `   ${file} > ${title} (${status})\n${results.map(({ error }) => brief(error?.message ?? '')).join('\n')}`,
      ),
  ),
  ...(suite.suites ?? []).flatMap((inner) => ofBrowser(inner, inner.file ?? file)),
];

const ofUnits = ({ testResults }: Units): string[] =>
  testResults.flatMap(({ name, message, assertionResults }) => {
    const file = name.slice(name.lastIndexOf('/src/') + 1);
    const failed = assertionResults.filter(({ status }) => status === 'failed');
    if (!failed.length && message && !assertionResults.length) return [`   ${file}\n${brief(message)}`];
    return failed.map(
      ({ fullName, failureMessages }) => `   ${file} > ${fullName}\n${brief(failureMessages.join('\n'))}`,
    );
  });

const units = read<Units>('.billet/units.json');
const browser = read<{ suites: Suite[] }>('.billet/browser.json');
const told = [
  ...(units ? ofUnits(units) : []),
  ...(browser ? browser.suites.flatMap((suite) => ofBrowser(suite)) : []),
];
if (told.length) console.log(`== what failed, or only at a second try\n${told.join('\n')}`);
