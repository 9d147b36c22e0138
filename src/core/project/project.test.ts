import {
  emptyGroup,
  emptyPart,
  emptyProject,
  itemKey,
  itemName,
  measure,
  resolve,
  tagName,
  type Item,
  type Part,
  type Project,
} from '.';

const item = (fields: Partial<Item>): Item => ({
  kind: 'board',
  name: '',
  section: '2x4',
  length: measure('8ft', 'in'),
  width: null,
  material: 'stud',
  ...fields,
});

test.each([
  [item({}), '2x4x8 stud'],
  [item({ length: measure('92 5/8in', 'in') }), '2x4 x 92 5/8in stud'],
  [
    item({ section: '5/8x5-1/2in', length: measure('6ft', 'in'), material: 'cedar' }),
    '5/8x5-1/2in x 72in cedar',
  ],
  [item({ section: '45x145mm', length: measure('4m', 'mm'), material: 'larch' }), '45x145mm x 4000mm larch'],
  [
    item({
      kind: 'sheet',
      section: '18mm',
      length: measure('2440mm', 'mm'),
      width: measure('1220mm', 'mm'),
      material: 'ply',
    }),
    '18mm 2440mm x 1220mm ply',
  ],
  [
    item({
      kind: 'sheet',
      section: '3/4in',
      length: measure('96', 'in'),
      width: measure('48', 'in'),
      material: 'ply',
    }),
    '3/4in 96in x 48in ply',
  ],
  [item({ kind: 'hardware', name: 'hinge' }), 'hinge'],
])('%j is called %s', (given, name) => {
  expect(itemName(given)).toBe(name);
});

test('two spellings of one thing have one key', () => {
  const key = itemKey(item({}));
  expect(itemKey(item({ section: '1-1/2x3-1/2in', length: measure('96in', 'in'), material: ' STUD ' }))).toBe(
    key,
  );
  expect(itemKey(item({ material: 'pine' }))).not.toBe(key);
  expect(itemKey(item({ length: measure('10ft', 'in') }))).not.toBe(key);
  expect(itemKey(item({ kind: 'hardware', name: ' Strap  Hinge' }))).toBe(
    itemKey(item({ kind: 'hardware', name: 'strap hinge' })),
  );
  expect(tagName(item({ name: 'premium stud' }))).toBe('premium stud');
});

const project = (...parts: Partial<Part>[]): Project => ({
  ...emptyProject('p', 'Puppet stage', 'in', 'USD'),
  builds: 3,
  groups: [
    {
      ...emptyGroup('g', 'o', 'Frame'),
      materials: ['pine'],
      options: [
        {
          id: 'o',
          name: 'first',
          parts: parts.map((fields, index) => ({ ...emptyPart(`${index}`), name: `P${index}`, ...fields })),
        },
      ],
    },
  ],
});

test('parts are worked out for all that is built, with the materials of the group unless they have their own', () => {
  const { parts, problems } = resolve(
    project(
      { section: '2x4', quantity: 4, length: measure('30', 'in') },
      { section: '2x4', length: measure('30', 'in'), materials: ['cedar'] },
      { kind: 'hardware', quantity: 10, item: 'hook' },
    ),
  );
  expect(problems).toEqual([]);
  expect(parts.map(({ count, materials, item: needed }) => [count, materials, needed])).toEqual([
    [12, ['pine'], 'P0'],
    [3, ['cedar'], 'P1'],
    [30, [], 'hook'],
  ]);
});

test('what cannot be worked out is named and left out', () => {
  const { parts, problems } = resolve(
    project(
      { section: '2x4' },
      { section: '9x9', length: measure('30', 'in') },
      { kind: 'sheet', section: '3/4in', length: measure('30', 'in') },
      { section: '2x4', length: measure('30', 'in'), ends: 'round' },
      { section: '2x4', length: measure('4', 'in'), ends: 'one 60' },
    ),
  );
  expect(parts).toEqual([]);
  expect(problems.map(({ code, place }) => [code, place])).toEqual([
    ['length', 'Frame / P0'],
    ['section', 'Frame / P1'],
    ['width', 'Frame / P2'],
    ['ends', 'Frame / P3'],
    ['ends', 'Frame / P4'],
  ]);
});

test('only the chosen option of a group is made', () => {
  const two = project({ section: '2x4', length: measure('30', 'in') });
  const group = two.groups[0];
  if (!group) throw new Error('a group was meant');
  const other = {
    id: 'sheet',
    name: 'one sheet',
    parts: [{ ...emptyPart('s'), name: 'Sheet', kind: 'hardware' as const }],
  };
  const names = (chosen: string) =>
    resolve({ ...two, groups: [{ ...group, chosen, options: [...group.options, other] }] }).parts.map(
      ({ name }) => name,
    );
  expect(names('o')).toEqual(['P0']);
  expect(names('sheet')).toEqual(['Sheet']);
});
