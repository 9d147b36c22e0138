import { readProjectFile, writeProjectFile } from '../io';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { fromCsv } from '../testing';
import { applyToBook, toolsOf, type Book } from '.';

const { project, book } = fromCsv({
  parts: 'part,qty,section,length\nBar,2,2x2,90',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x2,8',stud,3.9",
});
const owning = (name: string): Book =>
  applyToBook(book, { type: 'putTool', tool: { id: 't', name } }, 0)?.document ?? book;

test('a table saw on the rack lets plans rip, where the project says nothing of tools', () => {
  const cost = (of: Book, tools?: string[]) => {
    const asked = tools ? { ...project, settings: { ...project.settings, tools } } : project;
    return firstPlan(planInput(asked, of)).total;
  };
  // One board ripped makes two; bought as they are, they are two.
  expect(cost(book)).toBe(780);
  expect(cost(owning('Table saw, small'))).toBe(400);
  expect(cost(owning('Hand saw'))).toBe(780);
  expect(cost(owning('table-saw'), ['mitre-saw'])).toBe(780);
});

test('a project’s file carries the tools that are owned here, so that it is planned elsewhere as it is here', () => {
  const read = readProjectFile(writeProjectFile(project, owning('table saw')), 'file');
  expect(read.ok && read.value.project.settings.tools).toEqual(['mitre-saw', 'table-saw']);
  const without = readProjectFile(writeProjectFile(project, book), 'file');
  expect(without.ok && without.value.project.settings.tools).toBeUndefined();
});

test('a tool that is taken away is owned no more', () => {
  const gone = applyToBook(owning('Table saw'), { type: 'removeTool', toolId: 't' }, 0)?.document ?? book;
  expect(toolsOf({}, gone)).toBeUndefined();
});
