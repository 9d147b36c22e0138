import { fromCsv } from '@/core/testing';
import { findableIn, foundBy } from './finder';

const { project, book } = fromCsv({
  parts: 'part,kind,qty,section,length,material\nCorner post,board,4,2x4,36,cedar\nRail,board,2,2x4,80,cedar',
  prices:
    'store,item,kind,section,length,material,price,unit,pack,date\nMill Yard,,board,2x4,8ft,cedar,7.2,each,1,2026-11-01',
});
const other = { ...project, id: 'other', name: 'Garden gate' };
const all = findableIn({ projects: [project, other], book, project });
const names = (typed: string) => foundBy(all, typed).map(({ kind, name }) => `${kind} ${name}`);

test('a part by the beginning of its words, or by its size', () => {
  expect(names('post')).toEqual(['part A Corner post']);
  expect(names('co po')).toEqual(['part A Corner post']);
  expect(names('2x4 rail')).toEqual(['part B Rail']);
  expect(foundBy(all, 'corner')[0]?.href).toMatch(/\/parts\?open=part:/);
});

test('a price with its store, a project, a place, and what can be done', () => {
  expect(foundBy(all, '2x4x8').map(({ name, detail }) => [name, detail])).toEqual([
    ['2x4x8 cedar', '$7.20 at Mill Yard'],
  ]);
  expect(names('gate')).toEqual(['project Garden gate']);
  expect(names('buy')).toEqual(['place Buy']);
  expect(names('paste')).toEqual(['action Paste a list of parts']);
});

test('what is in the name comes before what is beside it, and nothing typed shows the first', () => {
  expect(names('main')).toEqual(['part A Corner post', 'part B Rail']);
  expect(foundBy(all, '').length).toBe(12);
  expect(names('nothing of that')).toEqual([]);
});

test('every key is of one thing alone', () => {
  expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
});
