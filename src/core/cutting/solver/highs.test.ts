import loadHighs from 'highs';
import { solverOf, type Highs } from './highs';
import type { Program } from './modelBuilder';

/** min x + 2y, x + y >= 3, x <= 2: 2 + 2 = 4. */
const program: Program = {
  cost: [1, 2],
  lower: [0, 0],
  upper: [2, Infinity],
  integer: [true, true],
  rows: [
    {
      lower: 3,
      upper: Infinity,
      terms: [
        [0, 1],
        [1, 1],
      ],
    },
  ],
};
const load = async () => (await loadHighs()) as unknown as Highs;

/** HiGHS whose models break off when they are run, the first `times` times. */
const failing = (highs: Highs, times: number): Highs => {
  let left = times;
  return {
    ...highs,
    createModel: (data) => {
      const model = highs.createModel(data);
      return {
        options: model.options,
        info: model.info,
        run: (callbacks) => {
          if (left-- > 0) throw new Error('ratio test failed due to excessive dual values');
          return model.run(callbacks);
        },
        getObjectiveValue: () => model.getObjectiveValue(),
        getSolution: () => model.getSolution(),
        addCols: (columns) => model.addCols(columns),
        changeRowBounds: (row, lower, upper) => model.changeRowBounds(row, lower, upper),
        changeColBounds: (column, lower, upper) => model.changeColBounds(column, lower, upper),
        dispose: () => model.dispose(),
      };
    },
  };
};

test('a linear program is solved, also after a break-off, with what was changed before it', async () => {
  const linear = solverOf(failing(await load(), 1)).linear(program);
  linear.addColumns([{ cost: 0.5, terms: [[0, 1]] }]);
  linear.boundColumn(2, 0, 1);
  const result = linear.solve();
  expect(result.status === 'optimal' && result.objective).toBeCloseTo(0.5 + 2);
  linear.boundRow(0, 1, Infinity);
  const eased = linear.solve();
  expect(eased.status === 'optimal' && eased.objective).toBeCloseTo(0.5);
  linear.end();
});

test('what breaks off every time has failed, and is not called infeasible; what is infeasible is', async () => {
  const highs = await load();
  expect(solverOf(failing(highs, 99)).linear(program).solve()).toEqual({ status: 'failed' });
  expect(solverOf(failing(highs, 99)).mip(program, { seconds: 1 })).toEqual({
    values: null,
    objective: Infinity,
    bound: -Infinity,
    isInfeasible: false,
  });
  const impossible: Program = { ...program, upper: [1, 1] };
  expect(solverOf(highs).linear(impossible).solve()).toEqual({ status: 'infeasible' });
  expect(solverOf(highs).mip(program, { seconds: 5 }).objective).toBeCloseTo(4);
});
