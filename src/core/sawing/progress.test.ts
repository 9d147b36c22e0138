import { fromCsv } from '../testing';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { boardsToSaw, lostRecords, progressOf, sawnBoardOf } from '.';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nRail,4,2x4,40\nPost,3,2x4,70',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
});
const kerf = project.settings.kerf.ticks;
const { boards } = boardsToSaw(firstPlan(planInput(project, book)).layouts, kerf);
const recordOf = (index: number, id: string, done: number) => {
  const board = boards[index];
  if (!board) throw new Error('there is one');
  return { key: board.key, record: sawnBoardOf({ ...board.layout, count: 1 }, id, kerf, done) };
};

test('what is begun and not bought is known by its drawing, and of like boards each record means one', () => {
  const [first, second] = [recordOf(0, 'board 1', 1), recordOf(0, 'board 2', 2)];
  const progress = progressOf(boards, [first.record, second.record], kerf);
  expect([...progress.values()]).toEqual([first.record, second.record]);
  expect(new Set(progress.keys()).size).toBe(2);
  expect(progress.has(first.key)).toBe(true);
});

test('what is drawn otherwise now is of no board', () => {
  const { record } = recordOf(0, 'board 1', 1);
  expect(progressOf(boards, [{ ...record, pieces: record.pieces.slice(1) }], kerf).size).toBe(0);
  expect(progressOf(boards, [record], kerf + 8).size).toBe(0);
  expect(lostRecords(boards, [record], kerf + 8)).toEqual([record]);
  expect(lostRecords(boards, [record], kerf)).toEqual([]);
});
