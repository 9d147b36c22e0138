import { needsOf } from '@/core/pricing';
import { emptyPart, emptyProject, measure, resolve, type Project } from '@/core/project';
import { blankDraft, draftForNeed, draftOfPrice, readDraft, type PriceDraft } from './draft';

const trellis: Project = {
  ...emptyProject('t', 'Trellis', 'in', 'USD'),
  groups: [
    {
      id: 'g',
      name: 'Frame',
      exposure: 'outdoors',
      materials: ['cedar', 'treated'],
      chosen: 'o',
      options: [
        {
          id: 'o',
          name: 'first',
          parts: [
            { ...emptyPart('a'), name: 'Post', section: '2x4', length: measure('9ft', 'in') },
            { ...emptyPart('b'), name: 'Hook', kind: 'hardware', quantity: 6, item: 'screw hook' },
          ],
        },
      ],
    },
  ],
};
const [posts, hooks] = needsOf(resolve(trellis).parts, []);
const places = (draft: PriceDraft): string[] => {
  const read = readDraft(draft, 'in', '2026-11-24');
  return read.ok ? [] : read.problems.map(({ place }) => place);
};

test('a price for a need has all filled in but the price: section, liked material, a length that holds the longest part', () => {
  if (!posts || !hooks) throw new Error('two needs were meant');
  const draft = draftForNeed(posts, trellis, 's');
  expect(draft).toMatchObject({
    kind: 'board',
    section: '2x4',
    material: 'cedar',
    length: '10ft',
    unit: 'each',
    storeId: 's',
  });
  expect(places(draft)).toEqual(['price']);
  expect(draftForNeed(hooks, trellis, 's')).toMatchObject({
    kind: 'hardware',
    name: 'screw hook',
    unit: 'pack',
  });
});

test('what was typed becomes an observation, dated today, named by its size', () => {
  const read = readDraft(
    {
      ...blankDraft('s'),
      section: '2x4',
      length: '8ft',
      material: 'stud',
      price: '0,685',
      unit: 'ft',
      pack: '8',
    },
    'in',
    '2026-11-24',
  );
  expect(read.ok && read.value).toMatchObject({
    price: 685_000,
    unit: 'ft',
    pack: 1,
    date: '2026-11-24',
    item: { name: '2x4x8 stud', section: '2x4' },
  });
});

test('every field that is wrong is named', () => {
  const wrong = {
    ...blankDraft('s'),
    section: '9x9',
    length: '0',
    material: 'a|b',
    price: 'free',
    pack: '0',
    minQty: 'x',
    available: '-',
    date: '2026-02-30',
  };
  expect(places(wrong).sort()).toEqual([
    'available',
    'date',
    'length',
    'material',
    'minQty',
    'pack',
    'price',
    'section',
  ]);
  expect(places({ ...blankDraft('s'), kind: 'hardware', price: '2' })).toEqual(['name']);
});

test('a price that is opened and saved unchanged is the same', () => {
  const read = readDraft(
    {
      ...blankDraft('s'),
      kind: 'sheet',
      section: '18mm',
      length: '2440mm',
      width: '1220mm',
      material: 'ply',
      price: '31.4',
      unit: 'm2',
      date: '2026-10-01',
    },
    'mm',
    '2026-11-24',
  );
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const seen = { ...read.value, id: 'p', storeId: 's', source: 'typed' as const, note: '' };
  expect(readDraft(draftOfPrice(seen, 'in'), 'in', '2026-11-24')).toEqual(read);
});

test('a pack by weight brings what its weight holds, and comes back from its draft', () => {
  const draft: PriceDraft = {
    ...blankDraft('s'),
    kind: 'hardware',
    unit: 'pack',
    name: 'deck screws 2 1/2',
    price: '19.98',
    packBy: 'lb',
    weight: '2',
    perWeight: '107.5',
  };
  const read = readDraft(draft, 'in', '2026-11-24');
  expect(read.ok && [read.value.pack, read.value.weight]).toEqual([
    215,
    { amount: 2, unit: 'lb', pieces: 107.5 },
  ]);
  const seen = read.ok ? draftOfPrice({ ...read.value, id: 'p', storeId: 's', source: 'typed' }, 'in') : null;
  expect(seen).toMatchObject({ packBy: 'lb', weight: '2', perWeight: '107.5' });
  expect(places({ ...draft, weight: '0', perWeight: 'few' })).toEqual(['perWeight', 'weight']);
});

test('rough wood has what planing takes and what is lost, and only boards have it', () => {
  const draft: PriceDraft = {
    ...blankDraft('s'),
    section: '27x160mm',
    length: '3m',
    material: 'larch',
    price: '700',
    unit: 'm3',
    finish: 'rough',
    planing: '5mm',
    waste: '25 %',
  };
  const read = readDraft(draft, 'mm', '2026-11-24');
  expect(read.ok && read.value.rough).toEqual({ planing: { text: '5mm', ticks: 1600 }, waste: 0.25 });
  expect(places({ ...draft, planing: 'much', waste: 'some' })).toEqual(['planing', 'waste']);
  const sheet = readDraft(
    { ...draft, kind: 'sheet', section: '18mm', width: '1m', unit: 'each' },
    'mm',
    '2026-11-24',
  );
  expect(sheet.ok && sheet.value.rough).toBeUndefined();
});
