import { fromCsv } from '@/core/testing';
import { planInput } from '@/core/plan';
import { firstPlan } from '@/core/plan/planner';
import { boardsToSaw } from '@/core/sawing';
import { cutWords } from './words';

const wordsOf = (parts: string, prices: string) => {
  const { project, book } = fromCsv({ parts, prices, settings: { tools: ['mitre-saw', 'table-saw'] } });
  const { layouts } = firstPlan(planInput(project, book));
  const [board] = boardsToSaw(layouts, project.settings.kerf.ticks).boards;
  if (!board) throw new Error('no board');
  return board.sequence.cuts.map((_, index) =>
    cutWords(board, index, 'in', (piece) => board.layout.pieces[piece]?.part ?? ''),
  );
};

test('a crosscut says the stop, where its line is on the whole board, and what falls to each side', () => {
  const words = wordsOf(
    'part,qty,section,length\nleg,2,2x4,30',
    "store,section,length,material,price\nYard,2x4,8',stud,4",
  );
  expect(words).toEqual([
    {
      title: 'Stop at 30"',
      measure: '30" from the left end of the board',
      leaves: 'left: leg · right: what is cut further',
    },
    {
      title: 'Stop at 30"',
      measure: '60 1/8" from the left end of the board',
      leaves: 'left: leg · right: an offcut to keep',
    },
  ]);
});

test('a rip says the fence, a slanted end its angle', () => {
  const [rip] = wordsOf(
    'part,qty,section,length\nslat,2,1-1/2x1-1/2in,90',
    "store,section,length,material,price\nYard,2x4,8',stud,4",
  );
  expect(rip?.title).toBe('Rip, fence at 1 1/2"');
  expect(rip?.measure).toBe('1 1/2" from the lower edge of the board');
  const brace = wordsOf(
    'part,qty,section,length,ends\nbrace,1,2x4,33,mitre 45',
    "store,section,length,material,price\nYard,2x4,8',stud,4",
  );
  expect(brace.map((words) => words?.title)).toEqual(expect.arrayContaining(['Cut the end, saw at 45°']));
});
