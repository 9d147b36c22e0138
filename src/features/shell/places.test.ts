import { existsSync } from 'node:fs';
import { linksFor, PLACES, projectIdIn, titleOf } from './places';

test('a page of a place is at that place; a project’s places are its own', () => {
  const here = (path: string) => {
    const id = projectIdIn(path);
    return [...linksFor('app', '/', path), ...(id ? linksFor('project', `/project/${id}/`, path) : [])]
      .filter(({ isHere }) => isHere)
      .map(({ href }) => href);
  };
  expect(here('/')).toEqual(['/']);
  expect(here('/prices')).toEqual(['/prices']);
  expect(here('/project/x1/prices')).toEqual(['/project/x1/prices']);
  expect(here('/project/x1/run')).toEqual(['/project/x1/buy']);
  expect(here('/project/x1/report')).toEqual(['/project/x1/spend']);
});

test('the tab says where one is, each place otherwise', () => {
  expect(titleOf('/', null)).toBe('Projects · Billet');
  expect(titleOf('/prices/', null)).toBe('Price book · Billet');
  expect(titleOf('/aisle', null)).toBe('Prices in the aisle · Billet');
  expect(titleOf('/project/x1/buy', 'Bench')).toBe('Buy · Bench · Billet');
  expect(titleOf('/project/x1/run', 'Bench')).toBe('At the store · Bench · Billet');
  expect(titleOf('/project/x1', 'Bench')).toBe('Bench · Billet');
  expect(titleOf('/project/x1/nowhere', null)).toBe('Billet');
  const titles = PLACES.flatMap(({ scope, path, pages = [] }) =>
    [path, ...pages].map((page) => titleOf(scope === 'app' ? `/${page}` : `/project/x/${page}`, 'Bench')),
  );
  expect(new Set(titles).size).toBe(titles.length);
});

test('every row of the table has its file', () => {
  for (const { scope, path, pages = [] } of PLACES)
    for (const page of [path, ...pages]) {
      const file = `src/app/${scope === 'project' ? 'project/[id]/' : ''}${page || 'index'}.tsx`;
      expect([file, existsSync(file)]).toEqual([file, true]);
    }
});
