import { runLines } from '@/core/budget';
import { againstProject, planInput } from '@/core/plan';
import { checkedPlan } from '@/core/plan/planner';
import { fromCsv } from '@/core/testing';
import { notesOf } from './lineNotes';

test('advice and warnings stand once, and a board that must be whole says so with how many', () => {
  const { project, book } = fromCsv({
    parts:
      'part,qty,section,length,kind,item,width\nRail,6,2x4,47 29/32,,,\nPost,2,2x4,70,,,\nSlat,3,1x6,40,,,\nHook,4,,,hardware,hook,\n',
    prices:
      "store,section,length,material,price,kind,item,pack,width\nYard,2x4,12',stud,8,,,,\nYard,1x6,10',stud,6,,,,\nYard,,,,2,hardware,hook,1,\n",
  });
  const plan = checkedPlan(planInput(project, book), againstProject(project, book), null);
  const [store = ''] = Object.keys(book.stores);
  const lines = runLines(project, book, plan, store);
  const notes = notesOf(lines, project, book, plan, store);
  expect([...notes.keys()]).toEqual(lines.map(({ key }) => key));
  const said = [...notes.values()].map(({ advice }) => advice).filter((advice) => advice !== '');
  expect(new Set(said).size).toBe(said.length);
  expect(said.length).toBeGreaterThan(0);
  const measures = lines.map(({ name, key }) => [name, notes.get(key)?.measure ?? '']);
  expect(measures.filter(([, words]) => words !== '')).toEqual([
    [expect.stringMatching(/2x4/), '2 of these 3 must measure a full 144": measure before you pay.'],
  ]);
  // Of hooks there is nothing to tell.
  expect(notes.get(lines.find(({ name }) => name === 'hook')?.key ?? '')).toEqual({
    warning: '',
    measure: '',
    advice: '',
  });
});
