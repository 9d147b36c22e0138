/** Whatever a file is, it is refused whole with a place, or opened right; nothing throws, nothing hangs. */
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { ledgerOf, projectMoney } from '../budget';
import { againstProject, planInput } from '../plan';
import { checkPlan, firstPlan } from '../plan/planner';
import { resolve } from '../project';
import { counter, must } from '../testing';
import type { Problem } from '../result';
import { deflated, inflated } from './deflated';
import {
  planToJson,
  writeLedger,
  writeParts,
  writePrices,
  previewPrices,
  readLedger,
  readOwned,
  readParts,
  readPastedList,
  readPlan,
  readProjectFile,
  readQuickLine,
  readSettings,
  writeProjectFile,
} from '.';

const PROJECT = readFileSync('demo/compost-station.billet.json', 'utf8');
const METRIC = readFileSync('demo/sandpit.billet.json', 'utf8');
const { project, book } = must(readProjectFile(PROJECT, 'p.billet.json'));
const SETTINGS = JSON.stringify({ unit: 'in', currency: 'USD', tax: 0.0775, kerf: '1/8' });
const OWNED = 'qty,kind,item,section,length,material\n2,board,,2x4,96,stud\n1,hardware,wood glue,,,\n';
const PLAN = JSON.stringify(planToJson(firstPlan(planInput(project, book)), 1, project.settings.kerf.ticks));

type Read = (text: string) => { ok: boolean; problems?: Problem[] } | null;

/** Every kind of file, by a good one of it, and how it is read and what is done at once with what was read. */
const KINDS: Record<string, { good: string[]; read: Read }> = {
  'project file': {
    good: [PROJECT, METRIC],
    read: (text) => {
      const read = readProjectFile(text, 'x.billet.json');
      if (!read.ok) return read;
      const { project: opened, book: prices } = read.value;
      // What was opened can be saved and opened again, and is planned and summed.
      const again = must(readProjectFile(writeProjectFile(opened, prices), 'again.billet.json'));
      expect(writeProjectFile(again.project, again.book)).toBe(writeProjectFile(opened, prices));
      resolve(opened, prices.materials);
      projectMoney(opened, prices, firstPlan(planInput(opened, prices)));
      return read;
    },
  },
  'prices.csv': {
    good: [writePrices(book, 'USD', 'in')],
    read: (text) =>
      previewPrices(text, book, {
        file: 'x.csv',
        unit: 'in',
        currency: 'USD',
        today: '2026-11-28',
        newId: counter(),
      }),
  },
  'parts.csv': { good: [writeParts(project)], read: (text) => readParts(text, 'x.csv', 'in', counter()) },
  'ledger.csv': {
    good: [writeLedger(ledgerOf(project), 'USD', 'in')],
    read: (text) => readLedger(text, 'x.csv', 'in', 'USD'),
  },
  'owned.csv': { good: [OWNED], read: (text) => readOwned(text, 'x.csv', 'in') },
  'settings.json': { good: [SETTINGS], read: (text) => readSettings(text, 'x.json') },
  'plan.json': {
    good: [PLAN],
    read: (text) => {
      const read = readPlan(text, 'x.json');
      if (read.ok) checkPlan(read.value, againstProject(project, book));
      return read;
    },
  },
  'a pasted list': {
    good: ['Frame:\n4 2x4 48 legs\n2 @ 2x6 x 24 1/2 ends\n'],
    read: (text) => {
      readPastedList(text, 'in');
      return null;
    },
  },
  'a quick line': { good: ['4 2x4 48 leg cedar'], read: (text) => readQuickLine(text, 'mm') },
};

const nested = (depth: number): string => '['.repeat(depth) + ']'.repeat(depth);

/** Values that nobody means. */
const nasty = fc.constantFrom<unknown>(
  null,
  -1,
  0,
  0.1,
  1e308,
  -1e21,
  9007199254740993,
  '',
  '\0',
  'x'.repeat(100_000),
  '=1+1',
  '../../etc',
  '__proto__',
  [],
  {},
  JSON.parse('{"__proto__": {"x": 1}, "constructor": {"prototype": {"x": 1}}}'),
  true,
  '1e999',
  '1/0',
  '99999999999999999999999',
);

/** Changes something at one place of JSON, by the numbers of the way to it. */
const atPlace = (value: unknown, way: number[], put: unknown): unknown => {
  const [first, ...rest] = way;
  if (first === undefined || value === null || typeof value !== 'object') return put;
  const keys = Object.keys(value);
  if (keys.length === 0) return put;
  const key = keys[first % keys.length] as keyof typeof value;
  const changed = atPlace(value[key], rest, put);
  return Array.isArray(value)
    ? value.map((one: unknown, index) => (String(index) === key ? changed : one))
    : { ...value, [key]: changed };
};

const isJson = (text: string): boolean => /^\s*[[{]/.test(text);

const edited = fc.tuple(fc.array(fc.nat(40), { maxLength: 9 }), nasty).map(
  ([way, put]) =>
    (text: string) =>
      isJson(text)
        ? JSON.stringify(atPlace(JSON.parse(text), way, put))
        : editedCell(text, way, typeof put === 'string' ? put : JSON.stringify(put)),
);

/** A cell of a sheet that says something else. */
const editedCell = (text: string, [line = 0, cell = 0]: number[], put: string): string => {
  const lines = text.split(/\r?\n/);
  const row = line % lines.length;
  const cells = (lines[row] ?? '').split(',');
  cells[cell % cells.length] = put;
  return [...lines.slice(0, row), cells.join(','), ...lines.slice(row + 1)].join('\n');
};

const broken = fc.oneof(
  { weight: 6, arbitrary: edited },
  { weight: 2, arbitrary: fc.nat(5000).map((at) => (text: string) => text.slice(0, at % (text.length + 1))) },
  {
    weight: 2,
    arbitrary: fc
      .tuple(fc.nat(100_000), fc.string({ unit: 'binary', minLength: 1, maxLength: 4 }))
      .map(([at, put]) => (text: string) => {
        const place = at % text.length;
        return text.slice(0, place) + put + text.slice(place + put.length);
      }),
  },
  {
    weight: 2,
    arbitrary: fc.uint8Array({ maxLength: 300 }).map((bytes) => () => new TextDecoder().decode(bytes)),
  },
  {
    weight: 1,
    arbitrary: fc
      .constantFrom(
        nested(5000),
        '{"a":'.repeat(5000),
        '"'.repeat(20_001),
        ',\n'.repeat(5000),
        '\uFEFF',
        '\u0000',
      )
      .map((text) => () => text),
  },
);

const MOST_MS = 5000;

describe.each(Object.entries(KINDS))('%s', (_name, { good, read }) => {
  test.each(good.map((text, index) => [index + 1, text] as const))('good one %d is taken', (_, text) => {
    const result = read(text);
    expect(result?.problems ?? []).toEqual([]);
  });

  test('three hundred bad ones: refused with a place and a sentence, or opened right; each at once', () => {
    fc.assert(
      fc.property(fc.constantFrom(...good), broken, (text, breakIt) => {
        const began = performance.now();
        const result = read(breakIt(text));
        expect(performance.now() - began).toBeLessThan(MOST_MS);
        if (!result || result.ok) return;
        expect(result.problems?.length).toBeGreaterThan(0);
        for (const { sentence } of result.problems ?? []) {
          expect(sentence.length).toBeGreaterThan(5);
          expect(sentence).not.toMatch(/undefined|NaN|\[object/);
        }
      }),
      { numRuns: 300 },
    );
    expect(({} as { x?: number }).x).toBeUndefined();
  }, 120_000);
});

test('a text that would come to more than it may is refused before it does, whatever else is in it', () => {
  const bomb = deflated('0'.repeat(80_000_000));
  expect(bomb.length).toBeLessThan(200_000);
  const before = process.memoryUsage().arrayBuffers;
  expect(() => inflated(bomb, 1_000_000)).toThrow(/more than 1000000 bytes/);
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(50_000_000);
  expect(() => inflated('')).toThrow();
  expect(() => inflated(bomb.slice(0, 1000))).toThrow();
});

test('what was deflated is the same again', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) =>
      expect(inflated(deflated(value))).toEqual(JSON.parse(JSON.stringify(value))),
    ),
  );
});
