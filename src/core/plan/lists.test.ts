/** The worked lists of the trade, common practice: kerf 1/8 in, boards at a price by the foot. */
import loadHighs from 'highs';
import { measure } from '../project';
import { faultsOf, fromCsv, type Case } from '../testing';
import { planInput } from './input';
import type { Plan } from '.';
import { bestPlan } from './planner';
import { solverOf, type Highs, type Solver } from '../cutting/solver';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const planOf = (given: Case): Plan => {
  const { project, book } = fromCsv(given);
  const plan = bestPlan(planInput(project, book), solver, 20);
  expect(faultsOf(given, plan)).toEqual([]);
  return plan;
};

/** `2x6x8: 4`: how many of each section and length are bought. */
const bought = ({ buys }: Plan): Record<string, number> =>
  Object.fromEntries(buys.map(({ item, qty }) => [item.split(' ')[0], qty]).sort());

const PARTS = 'part,qty,section,length,ends,short_ok';
const boards = (...items: string[]): string => {
  const rows = items.map((item) => {
    const [thick = '', wide = '', feet = ''] = item.split('x');
    return `Yard,${thick}x${wide},${feet}ft,stud,${((Number(feet) * Number(wide)) / 8).toFixed(2)}`;
  });
  return ['store,section,length,material,price', ...rows].join('\n');
};
const list = (text: string, section: string, ends = '', short = ''): string[] =>
  text.split(' ').map((entry) => {
    const [qty = '', length = ''] = entry.split('@');
    return `${section} ${entry} ${ends},${qty},${section},${length.replace('_', ' ')},${ends},${short}`;
  });

test('list A: four 2x6x8 and three 2x4x8', () => {
  const plan = planOf({
    parts: [PARTS, ...list('3@48 3@45 2@25 2@21_1/2', '2x6'), ...list('4@23_1/2 2@23 2@48 2@20', '2x4')].join(
      '\n',
    ),
    prices: boards('2x6x8', '2x4x8'),
    settings: { shortOk: measure('1/16', 'in') },
  });
  expect([plan.status, bought(plan)]).toEqual(['proved', { '2x4x8': 3, '2x6x8': 4 }]);
});

test('list B: slanted ends nest: six 2x6x12, one 2x6x10 and three 2x4x8', () => {
  const plan = planOf({
    parts: [
      PARTS,
      ...list('10@72 2@60', '2x6'),
      ...list('4@31', '2x6', 'parallel 22.5'),
      ...list('3@33 6@10_1/2', '2x4', 'mitre 45'),
      ...list('2@29_3/4', '2x4', 'parallel 31.6'),
    ].join('\n'),
    prices: boards('2x6x12', '2x6x10', '2x4x8'),
    settings: { shortOk: measure('1/16', 'in') },
  });
  expect([plan.status, bought(plan)]).toEqual(['proved', { '2x4x8': 3, '2x6x10': 1, '2x6x12': 6 }]);
  expect(plan.short.every(({ by }) => by <= 508)).toBe(true);
});

test('list C: fourteen 2x4x8 where halves may be 1/16 short, sixteen strictly', () => {
  const given: Case = {
    parts: [PARTS, ...list('8@96 8@48 8@14', '2x4')].join('\n'),
    prices: boards('2x4x8'),
  };
  expect(bought(planOf(given))).toEqual({ '2x4x8': 16 });
  const slack = planOf({ ...given, settings: { shortOk: measure('1/16', 'in') } });
  expect([slack.status, bought(slack)]).toEqual(['proved', { '2x4x8': 14 }]);
});

const SAW: Case['settings'] = { tools: ['mitre-saw', 'table-saw'] };

test('list D: sixteen pieces 1 1/2 square come out of three 2x4x8, ripped', () => {
  const section = '1-1/2x1-1/2in';
  const plan = planOf({
    parts: [PARTS, ...list('4@72 4@35_1/2 4@14_1/2', section), ...list('4@9', section, 'mitre 45')].join(
      '\n',
    ),
    prices: boards('2x4x8'),
    settings: SAW,
  });
  expect([plan.status, bought(plan)]).toEqual(['proved', { '2x4x8': 3 }]);
  expect(plan.layouts.every(({ cuts }) => cuts.some(({ kind }) => kind === 'rip'))).toBe(true);
});

test('list E: sixteen pieces of two sections come out of one 2x6x8', () => {
  const plan = planOf({
    parts: [
      PARTS,
      ...list('2@30_1/4 6@31_3/4 6@29_1/2', '3/4x1-1/2in'),
      ...list('2@15', '1-1/2x3-1/8in'),
    ].join('\n'),
    prices: boards('2x6x8'),
    settings: SAW,
  });
  expect([plan.status, bought(plan)]).toEqual(['proved', { '2x6x8': 1 }]);
});

test('list F: eight boards of 1200 mm, counted as about seven by hand', () => {
  const plan = planOf({
    unit: 'mm',
    parts: [PARTS, ...list('2@1200 2@540 4@980 2@600', '30x90mm')].join('\n'),
    prices: 'store,section,length,material,price\nYard,30x90mm,1200,larch,5',
    settings: { kerf: measure('3mm', 'mm') },
  });
  expect([plan.status, plan.total]).toEqual(['proved', 4000]);
});

test('three trapezoids of 33 in at 45 degrees come out of 96 in, though 3 x 33 is 99', () => {
  const plan = planOf({
    parts: [PARTS, ...list('3@33', '2x4', 'mitre 45')].join('\n'),
    prices: boards('2x4x8'),
  });
  expect(bought(plan)).toEqual({ '2x4x8': 1 });
});

test('two pieces of 49 in with one slanted end each share that cut: 98 in of edges come out of 96 in', () => {
  const plan = planOf({
    parts: [PARTS, ...list('4@49', '2x4', 'one 45')].join('\n'),
    prices: boards('2x4x8'),
  });
  expect([plan.status, bought(plan)]).toEqual(['proved', { '2x4x8': 2 }]);
});

describe('strips (planner.md, rule 4)', () => {
  test.each([
    ['two 2x2 out of a 2x4', '2@96', '1-1/2x1-1/2in', '2x4x8', 1],
    ['six strips of 3/4 in out of a 2x6', '6@96', '3/4x1-1/2in', '2x6x8', 1],
    ['not seven', '7@96', '3/4x1-1/2in', '2x6x8', 2],
    ['a 2x4 out of a 4x4, as its thickness is never sawn again', '2@96', '2x4', '4x4x8', 1],
  ])('%s', (_what, pieces, section, stock, count) => {
    const plan = planOf({
      parts: [PARTS, ...list(pieces, section)].join('\n'),
      prices: boards(stock),
      settings: SAW,
    });
    expect(bought(plan)).toEqual({ [stock]: count });
  });

  test('a 2x6 less two strips of 3/4 in leaves 3 3/4 in', () => {
    const parts = [PARTS, ...list('2@96', '3/4x1-1/2in'), ...list('1@96', '1-1/2x3-3/4in')].join('\n');
    expect(bought(planOf({ parts, prices: boards('2x6x8'), settings: SAW }))).toEqual({ '2x6x8': 1 });
    expect(
      bought(
        planOf({ parts: parts.replace('3-3/4in,', '3-7/8in,'), prices: boards('2x6x8'), settings: SAW }),
      ),
    ).toEqual({ '2x6x8': 2 });
  });

  test('without a table saw nothing is ripped, and the reason is told', () => {
    const given: Case = {
      parts: [PARTS, ...list('2@96', '1-1/2x1-1/2in')].join('\n'),
      prices: boards('2x4x8'),
    };
    const plan = planOf(given);
    expect(plan.status).toBe('infeasible');
    expect(plan.problems[0]?.sentence).toMatch(/no price for 2x2|no price for 1-1\/2x1-1\/2in/);
  });
});
