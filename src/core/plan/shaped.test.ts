/** Shaped parts in plans: sawn as rectangles, two head to tail where that costs no more, and the same again from a file. */
import fc from 'fast-check';
import loadHighs from 'highs';
import { asSawn, planToJson, readPlan } from '../io';
import { resolve } from '../project';
import { fromCsv, must, type Case } from '../testing';
import { checkPlan } from './check';
import { planInput } from './input';
import { againstProject, type Plan } from '.';
import { bestPlan, firstPlan } from './planner';
import { solverOf, type Highs, type Solver } from '../cutting/solver';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});

const HEAD = 'part,qty,section,length,shape,kind,width,grain';

/** The best plan of a case, which has passed the checker as it is and once more from its file. */
const planOf = (given: Case): Plan => {
  const { project, book } = fromCsv(given);
  const plan = bestPlan(planInput(project, book), solver, 5);
  expect(faultsOf(given, plan)).toEqual([]);
  return plan;
};

const faultsOf = (given: Case, plan: Plan): string[] => {
  const { project, book } = fromCsv(given);
  const against = againstProject(project, book);
  const written = JSON.stringify(planToJson(plan, 0, project.settings.kerf.ticks));
  const read = asSawn(must(readPlan(written, 'plan.json')), against.parts);
  return [...checkPlan(plan, against), ...checkPlan(read, against)].map(
    ({ place, sentence }) => `${place}: ${sentence}`,
  );
};

const boards = (parts: string[], sold: string[], settings: Case['settings'] = {}): Case => ({
  parts: [HEAD, ...parts].join('\n'),
  prices: ['store,section,length,material,price,kind,width', ...sold].join('\n'),
  settings,
});

const made = (plan: Plan): number =>
  plan.layouts.reduce(
    (sum, { count, pieces }) =>
      sum + count * pieces.reduce((all, { faces }) => all + (faces?.length ?? 1), 0),
    0,
  );

test('six right triangles 14 x 7 1/4 from at most 51 in of a 7 1/4 in board (common practice)', () => {
  const given = boards(
    ['End,6,2x8,14,clip 14in x 7 1/4in top right,,,'],
    ['Yard,2x8,51in,stud,8,,', 'Yard,2x8,96in,stud,14,,'],
  );
  const plan = planOf(given);
  expect([plan.status, plan.total, made(plan)]).toEqual(['proved', 800, 6]);
});

test('two back braces 25 in, tapered, head to tail on one board that would not hold two rectangles', () => {
  const given = boards(
    ['Brace,2,2x6,25,taper 5in to 1 1/2in top right,,,'],
    ['Yard,2x6,4ft,stud,5,,', 'Yard,2x6,8ft,stud,9,,'],
  );
  const plan = planOf(given);
  expect([plan.status, plan.total, made(plan)]).toEqual(['proved', 500, 2]);
  expect(plan.layouts[0]?.pieces).toHaveLength(1);
});

test('where a pair fits nowhere, each lies for itself', () => {
  const given = boards(['Brace,3,2x6,25,taper 5in to 1 1/2in top right,,,'], ['Yard,2x6,30in,stud,3,,']);
  const plan = planOf(given);
  expect([plan.status, plan.total, made(plan)]).toEqual(['proved', 900, 3]);
});

test('a shape that cannot be cut is told with its part, and all else is planned', () => {
  const given = boards(
    ['Arm,2,2x6,20,clip 30in x 2in top left,,,', 'Leg,2,2x6,20,,,,'],
    ['Yard,2x6,8ft,stud,9,,'],
  );
  const { project, book } = fromCsv(given);
  const plan = firstPlan(planInput(project, book));
  expect(plan.status).toBe('infeasible');
  expect(plan.problems[0]?.sentence).toContain('Arm, shape: The clip at the top left reaches past');
  expect(plan.rest?.total).toBe(900);
});

test('a shape that a plan does not keep is found by the checker', () => {
  const given = boards(['Brace,2,2x6,25,taper 5in to 1 1/2in top right,,,'], ['Yard,2x6,4ft,stud,5,,']);
  const plan = planOf(given);
  const spoiled = (
    to: (faces: NonNullable<Plan['layouts'][number]['pieces'][number]['faces']>) => unknown,
  ): Plan => {
    const copy = structuredClone(plan);
    const piece = copy.layouts[0]?.pieces[0];
    if (piece?.faces) to(piece.faces);
    return copy;
  };
  const { project, book } = fromCsv(given);
  const against = againstProject(project, book);
  const faults = (changed: Plan) => checkPlan(changed, against).map(({ sentence }) => sentence);
  expect(faults(spoiled((faces) => faces.pop()))).toContain('is drawn as 1 shapes, and is 2');
  const nearer = spoiled(([, second]) => second?.forEach((corner) => (corner[0] -= 400)));
  expect(faults(nearer)).toContain('is laid head to tail closer than a kerf');
  const bent = spoiled(([first]) => first?.forEach((corner, at) => (corner[1] += at === 2 ? 500 : 0)));
  expect(faults(bent)).toContain('is not shaped as its part is');
  const out = spoiled(([first]) => first?.forEach((corner) => (corner[1] += 500)));
  expect(faults(out)).toContain('is shaped beyond what is sawn for it');
});

const part = fc
  .record({
    qty: fc.integer({ min: 1, max: 7 }),
    length: fc.integer({ min: 6, max: 40 }),
    sheet: fc.boolean(),
    shape: fc.constantFrom('', 'taper', 'triangle', 'clip', 'notch', 'round', 'curve', 'hole'),
    grain: fc.constantFrom('any', 'length'),
    share: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
  })
  .map(({ qty, length, sheet, shape, grain, share }, at?: number) => {
    const width = sheet ? 8 : 5.5;
    const by = (of: number) => `${Math.max(0.25, Math.round(of * share * 8) / 8)}in`;
    const text = {
      '': '',
      taper: `taper ${by(length / 2)} to ${by(width / 2)} top right`,
      triangle: `clip ${length}in x ${width}in top right`,
      clip: `clip ${by(length)} x ${by(width)} bottom left`,
      notch: `notch ${by(length / 2)} x ${by(width / 2)} top left`,
      round: `round ${by(Math.min(length, width) / 2)} top left`,
      curve: `curve ${by(Math.min(length / 4, width / 2))} bottom`,
      hole: `hole ${by(1)} at ${length / 2}in x ${width / 2}in`,
    }[shape];
    return {
      at,
      row: (name: string) =>
        `${name},${qty},${sheet ? '3/4in' : '2x6'},${length},${text},${sheet ? 'sheet' : 'board'},${sheet ? width : ''},${sheet ? grain : ''}`,
      qty,
    };
  });

test('laws: shaped lists are planned and hold, by file too; pairs are never dearer than rectangles; all are made', () => {
  fc.assert(
    fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), fc.boolean(), (parts, hasSaw) => {
      const given = boards(
        parts.map(({ row }, index) => row(`P${index}`)),
        ['Yard,2x6,8ft,stud,9,,', 'Yard,2x6,4ft,stud,5,,', 'Yard,3/4in,96in,ply,40,sheet,48in'],
        { tools: hasSaw ? ['mitre-saw', 'table-saw'] : ['mitre-saw'] },
      );
      const { project, book } = fromCsv(given);
      expect(resolve(project).problems).toEqual([]);
      const input = planInput(project, book);
      const plan = firstPlan(input);
      expect(faultsOf(given, plan)).toEqual([]);
      expect(made(plan)).toBe(parts.reduce((sum, { qty }) => sum + qty, 0));
      const { singly, ...rest } = input;
      if (singly) expect(plan.total).toBeLessThanOrEqual(firstPlan({ ...rest, parts: singly }).total);
    }),
    { numRuns: 60 },
  );
});
