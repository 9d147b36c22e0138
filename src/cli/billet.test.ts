import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { JsonPlan } from '@/core/io';
import { readArguments } from './arguments';

const folder = mkdtempSync(path.join(tmpdir(), 'billet-'));
const file = (name: string, text: string): string => {
  const place = path.join(folder, name);
  writeFileSync(place, text);
  return place;
};

const run = (...words: string[]): { code: number; out: string; err: string } => {
  try {
    return { code: 0, out: execFileSync('bin/billet', words, { encoding: 'utf8', stdio: 'pipe' }), err: '' };
  } catch (error) {
    const { status, stdout, stderr } = error as { status: number; stdout: string; stderr: string };
    return { code: status, out: stdout, err: stderr };
  }
};

const parts = file('parts.csv', 'part,qty,section,length\nRail,4,2x4,48\nPost,8,2x4,31 1/2\n');
const prices = file(
  'prices.csv',
  'store,section,length,material,price\nHarrow Lumber,2x4,8ft,stud,3.98\nHarrow Lumber,2x4,10ft,stud,5.10\n',
);
const settings = file(
  'settings.json',
  '{ "tax": 0.07, "kerf": "1/8in", "spare": { "stud": 0.1 }, "stores": { "harrow lumber": { "trip": 6.5 } } }',
);

test('a plan as JSON has the fields of formats.md, adds up, and holds when it is checked', () => {
  const { code, out } = run('plan', '--parts', parts, '--prices', prices, '--settings', settings, '--json');
  expect(code).toBe(0);
  const plan = JSON.parse(out) as JsonPlan;
  expect(Object.keys(plan)).toEqual([
    'status',
    'currency',
    'total',
    'lowerBound',
    'goods',
    'tax',
    'trips',
    'shipping',
    'seconds',
    'buys',
    'layouts',
    'short',
    'problems',
  ]);
  expect(plan.total).toBeCloseTo(plan.goods + plan.tax + plan.trips + plan.shipping, 9);
  expect(plan.trips).toBe(6.5);
  expect(plan.buys.reduce((sum, { spare }) => sum + spare, 0)).toBe(1);
  // The spare stud is part of the proof.
  expect([plan.status, plan.lowerBound]).toEqual(['proved', plan.total]);
  const kept = file('plan.json', out);
  const held = run('check', kept, '--parts', parts, '--prices', prices, '--settings', settings);
  expect([held.code, held.out]).toEqual([0, 'The plan holds.\n']);
  const other = run('check', kept, '--parts', parts, '--prices', prices);
  expect(other.code).toBe(1);
  expect(other.out).toMatch(/trips: is 650, and the buys come to 0/);
});

test('a plan as text tells what to buy and how to cut it', () => {
  const { code, out } = run('plan', '--parts', parts, '--prices', prices);
  expect(code).toBe(0);
  expect(out).toMatch(/^\$[\d.]+ in all: /);
  expect(out).toMatch(/Harrow Lumber: goods/);
  expect(out).toMatch(/48"\s+Rail \(main\)/);
});

test('what is owned is used first, and a project file is planned as it is', () => {
  const owned = file('owned.csv', 'section,length,material,qty\n2x4,8ft,stud,12\n');
  const { out } = run('plan', '--parts', parts, '--prices', prices, '--owned', owned, '--json');
  expect((JSON.parse(out) as JsonPlan).total).toBe(0);
  expect(run('plan', '--project', 'demo/compost-station.billet.json').code).toBe(0);
});

test('no plan is possible: exit 1 with the reasons', () => {
  const long = file('long.csv', 'part,qty,section,length\nLeg,2,4x4,101\n');
  const sold = file('sold.csv', 'store,section,length,material,price\nYard,4x4,8ft,cedar,20\n');
  const { code, out } = run('plan', '--parts', long, '--prices', sold, '--json');
  expect(code).toBe(1);
  const plan = JSON.parse(out) as JsonPlan;
  expect([plan.status, plan.buys]).toEqual(['infeasible', []]);
  expect(plan.problems[0]?.sentence).toMatch(/Leg, 101".*the longest 4x4 sold is 96"/);
});

test('bad input: exit 2, all faults at once on standard error, nothing on standard output', () => {
  const wrong = file('wrong.csv', 'part,qty,section,length\nSlat,0,2x4,29 1/x\nLath,2,9x9,10\n');
  const rates = file('rates.json', '{ "tax": 7, "kerf": "wide" }');
  const { code, out, err } = run('plan', '--parts', wrong, '--prices', prices, '--settings', rates, '--json');
  expect([code, out]).toEqual([2, '']);
  const lines = err.trim().split('\n');
  expect(lines).toContainEqual(expect.stringMatching(/^wrong\.csv:2: length: "29 1\/x" is not a length/));
  expect(lines).toContainEqual(expect.stringMatching(/^wrong\.csv:2: qty: /));
  expect(lines).toContainEqual(expect.stringMatching(/^wrong\.csv:3: section: /));
  expect(lines).toContainEqual(expect.stringMatching(/^rates\.json: tax: 7 is not a share/));
  expect(lines).toContainEqual(expect.stringMatching(/^rates\.json: kerf: "wide" is not a length/));
  expect(run('plan', '--parts', 'nowhere.csv', '--prices', prices).code).toBe(2);
});

test('words that are not understood say so', () => {
  for (const words of [
    [],
    ['bake'],
    ['plan'],
    ['plan', '--parts'],
    ['plan', '--glue', 'x'],
    ['check', '--parts', 'a', '--prices', 'b'],
  ])
    expect(readArguments(words).ok).toBe(false);
  expect(readArguments(['plan', '--project', 'x', '--json']).ok).toBe(true);
});
