import fc from 'fast-check';
import {
  apply,
  applyToBook,
  emptyBook,
  emptyGroup,
  emptyHistory,
  emptyPart,
  emptyProject,
  emptyStore,
  measure,
  redo,
  remember,
  undo,
  type Command,
  type History,
  type Part,
  type Project,
} from '.';

const part = (id: string, name: string): Part => ({
  ...emptyPart(id),
  name,
  section: '2x4',
  length: measure('31 1/2', 'in'),
});
const project: Project = {
  ...emptyProject('p', 'Trellis', 'in', 'USD'),
  groups: [
    {
      ...emptyGroup('g', 'o', 'Frame'),
      options: [{ id: 'o', name: 'first', parts: [part('a', 'Post'), part('b', 'Rail')] }],
    },
    emptyGroup('h', 'q', 'Slats'),
  ],
};
const names = ({ groups }: Project): string[] =>
  groups.flatMap(({ options }) => options.flatMap(({ parts }) => parts.map(({ name }) => name)));
const after = (command: Command, on: Project = project): Project => apply(on, command, 0)?.document ?? on;

test('commands change what they name and leave the rest', () => {
  expect(names(after({ type: 'addPart', groupId: 'g', part: part('c', 'Brace'), index: 1 }))).toEqual([
    'Post',
    'Brace',
    'Rail',
  ]);
  expect(names(after({ type: 'removePart', partId: 'a' }))).toEqual(['Rail']);
  expect(names(after({ type: 'movePart', partId: 'a', groupId: 'g', index: 1 }))).toEqual(['Rail', 'Post']);
  expect(
    after({ type: 'movePart', partId: 'a', groupId: 'h', index: 0 }).groups[1]?.options[0]?.parts[0]?.name,
  ).toBe('Post');
  expect(names(after({ type: 'editPart', partId: 'b', fields: { name: 'Side rail' } }))).toEqual([
    'Post',
    'Side rail',
  ]);
  expect(
    after({ type: 'editGroup', groupId: 'g', fields: { materials: ['cedar'] } }).groups[0]?.materials,
  ).toEqual(['cedar']);
  expect(after({ type: 'removeGroup', groupId: 'g' }).groups).toHaveLength(1);
  expect(after({ type: 'excludeStore', storeId: 's', excluded: true }).excludedStores).toEqual(['s']);
});

test('a command without effect leaves no step to undo', () => {
  expect(apply(project, { type: 'editPart', partId: 'a', fields: { name: 'Post' } }, 0)).toBeNull();
  expect(apply(project, { type: 'removePart', partId: 'nobody' }, 0)).toBeNull();
  expect(apply(project, { type: 'movePart', partId: 'a', groupId: 'g', index: 0 }, 0)).toBeNull();
});

test('another unit leaves every length what it was', () => {
  const metric = after({ type: 'editProject', fields: { unit: 'mm' } });
  expect(metric.groups[0]?.options[0]?.parts[0]?.length).toEqual({
    text: '31 1/2in',
    ticks: measure('31 1/2', 'in').ticks,
  });
  expect(metric.settings.kerf).toEqual(project.settings.kerf);
});

test('a purchase of a known id takes the place of the old one', () => {
  const purchase = { id: 'x', date: '2026-11-01', storeId: 's', store: 'Yard', lines: [], note: '' };
  const charges = { trip: 900, shipping: 900 };
  const twice = after(
    { type: 'recordPurchase', purchase: { ...purchase, trip: 400, note: 'mended' }, charges },
    after({ type: 'recordPurchase', purchase, charges: { trip: 400, shipping: null } }),
  );
  expect(twice.purchases).toEqual([{ ...purchase, trip: 400, note: 'mended' }]);
});

const run = (state: { document: Project; history: History }, command: Command, at: number) => {
  const result = apply(state.document, command, at);
  return result ? { document: result.document, history: remember(state.history, result.change) } : state;
};

test('typing in one field is one step, a pause begins another', () => {
  let state = { document: project, history: emptyHistory() };
  for (const [at, name] of [
    [0, 'Po'],
    [300, 'Pos'],
    [600, 'Pole'],
    [9000, 'Polestar'],
  ] as const)
    state = run(state, { type: 'editPart', partId: 'a', fields: { name } }, at);
  expect(state.history.past).toHaveLength(2);
  const once = undo(state.document, state.history);
  expect(names(once?.document as Project)[0]).toBe('Pole');
  expect(names(undo(once?.document as Project, once?.history as History)?.document as Project)[0]).toBe(
    'Post',
  );
});

const anyCommand = fc.oneof(
  fc.integer().map((n): Command => ({
    type: 'addPart',
    groupId: n % 2 ? 'g' : 'h',
    part: part(`n${n}`, `Part ${n}`),
    index: 0,
  })),
  fc.constantFrom('a', 'b').map((partId): Command => ({ type: 'removePart', partId })),
  fc
    .tuple(fc.constantFrom('a', 'b'), fc.constantFrom('g', 'h'), fc.nat(3))
    .map(([partId, groupId, index]): Command => ({ type: 'movePart', partId, groupId, index })),
  fc.string().map((name): Command => ({ type: 'editProject', fields: { name } })),
  fc.constantFrom<Command>(
    { type: 'editProject', fields: { unit: 'mm' } },
    { type: 'addGroup', group: emptyGroup('k', 'l', 'More') },
    { type: 'removeGroup', groupId: 'h' },
  ),
);

test('any run of commands, all undone, is where it began; all redone, where it ended', () => {
  fc.assert(
    fc.property(fc.array(anyCommand, { maxLength: 60 }), (commands) => {
      const end = commands.reduce((state, command, index) => run(state, command, index * 10_000), {
        document: project,
        history: emptyHistory(),
      });
      let state: { document: Project; history: History } = end;
      const steps = end.history.past.length;
      for (let back = undo(state.document, state.history); back; back = undo(state.document, state.history))
        state = back;
      expect(state.document).toEqual(project);
      for (let step = 0; step < steps; step++) state = redo(state.document, state.history) ?? state;
      expect(state.document).toEqual(end.document);
    }),
  );
});

test('deleting a store deletes its prices, and undo brings both back', () => {
  const item = {
    kind: 'hardware' as const,
    name: 'hinge',
    section: '',
    length: null,
    width: null,
    material: '',
  };
  const price = {
    id: 'p1',
    storeId: 's',
    item,
    price: 1,
    unit: 'each' as const,
    pack: 1,
    minQty: 1,
    available: null,
    date: null,
    source: 'typed' as const,
    note: '',
  };
  const first = applyToBook(
    emptyBook(),
    { type: 'putPrices', prices: [price], stores: [emptyStore('s', 'Yard', 'USD')] },
    0,
  );
  const gone = first && applyToBook(first.document, { type: 'removeStore', storeId: 's' }, 1);
  expect(gone?.document).toEqual(emptyBook());
  expect(gone && undo(gone.document, remember(emptyHistory(), gone.change))?.document).toEqual(
    first?.document,
  );
});
