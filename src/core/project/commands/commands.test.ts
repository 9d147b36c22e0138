import fc from 'fast-check';
import {
  apply,
  emptyExtra,
  emptyGroup,
  emptyHistory,
  emptyPart,
  emptyProject,
  measure,
  redo,
  remember,
  undo,
  type Command,
  type Joint,
  type Option,
  type Part,
  type Project,
  type Purchase,
  type PurchaseLine,
  type MeasuredBoard,
  type SawnBoard,
  type Variable,
} from '..';

const part = (id: string, name: string): Part => ({
  ...emptyPart(id),
  name,
  section: '2x4',
  length: measure('31 1/2', 'in'),
});
const joint = (id: string): Joint => ({
  id,
  name: `Corner ${id}`,
  how: 'pocket',
  first: 'a',
  second: 'b',
  through: 'thickness',
  into: 'end',
  quantity: 4,
  each: 2,
  item: '',
});
const variable = (id: string, name: string, formula: string): Variable => ({
  id,
  name,
  kind: 'length',
  formula,
  note: '',
});
const option = (id: string): Option => ({ id, name: `way ${id}`, parts: [part(`${id}1`, 'Batten')] });
const line = (name: string, price = 1200): PurchaseLine => ({
  item: { kind: 'hardware', name, section: '', length: null, width: null, material: '' },
  pack: 1,
  quantity: 2,
  price,
  tax: 84,
  category: 'hardware',
});
const purchase = (id: string, store: string, lines = [line('hinge'), line('latch')]): Purchase => ({
  id,
  date: '2026-11-20',
  storeId: store,
  store,
  lines,
  note: '',
});
const measuredBoard = (id: string): MeasuredBoard => ({
  id,
  item: {
    kind: 'board',
    name: '',
    section: '2x4',
    length: measure('96', 'in'),
    width: null,
    material: 'pine',
  },
  length: 780_500,
  marks: [{ from: 100_000, to: 110_000, kind: 'knot' }],
});
const sawnBoard = (id: string): SawnBoard => ({
  id,
  kind: 'board',
  section: '2x4',
  material: 'pine',
  length: 780_500,
  width: 28_448,
  kerf: 1016,
  pieces: [{ partId: 'a', outline: [0, 256_000].flatMap((x) => [0, 28_448].map((y) => ({ x, y }))) }],
  offcuts: [],
  done: 1,
});
const charges = { trip: 420, shipping: null };
const alternative = { id: 'x', name: 'All cedar', changes: [] };
const seen = { id: 'm', price: 9900, source: 'a catalogue', date: '2026-11-20' };

const project: Project = {
  ...emptyProject('p', 'Trellis', 'in', 'USD'),
  variables: [variable('v', 'tall', '60')],
  groups: [
    {
      ...emptyGroup('g', 'o', 'Frame'),
      options: [
        { id: 'o', name: 'first', parts: [part('a', 'Post'), part('b', 'Rail')], joints: [joint('j')] },
        option('o2'),
      ],
    },
    { ...emptyGroup('h', 'q', 'Slats'), options: [{ id: 'q', name: 'first', parts: [part('c', 'Slat')] }] },
  ],
  extras: [{ ...emptyExtra('e'), name: 'Pots', amount: '3' }],
  purchases: [purchase('paid', 'Yard'), { ...purchase('cart', 'Mill'), isOpen: true, trip: 300 }],
  alternatives: [alternative, { ...alternative, id: 'y', name: 'All pine' }],
  readyMade: [seen],
  measuredBoards: [measuredBoard('b1')],
  sawnBoards: [sawnBoard('s1')],
};

/** At least one of every kind; a kind that is missing here does not compile. */
const EVERY: { [Type in Command['type']]: Extract<Command, { type: Type }>[] } = {
  addGroup: [{ type: 'addGroup', group: emptyGroup('k', 'l', 'More') }],
  editGroup: [{ type: 'editGroup', groupId: 'g', fields: { materials: ['cedar'], copies: 3 } }],
  removeGroup: [
    { type: 'removeGroup', groupId: 'g' },
    { type: 'removeGroup', groupId: 'h' },
  ],
  addPart: [{ type: 'addPart', groupId: 'h', part: part('n', 'Brace'), index: 0 }],
  addParts: [{ type: 'addParts', groupId: 'g', parts: [part('n2', 'Brace'), part('n3', 'Cap')] }],
  editPart: [
    { type: 'editPart', partId: 'a', fields: { length: { text: 'tall / 2', ticks: 0 } } },
    { type: 'editPart', partId: 'c', fields: { name: 'Lath', quantity: 9 } },
  ],
  removePart: [
    { type: 'removePart', partId: 'a' },
    { type: 'removePart', partId: 'c' },
  ],
  movePart: [
    { type: 'movePart', partId: 'b', groupId: 'h', index: 0 },
    { type: 'movePart', partId: 'a', groupId: 'g', index: 1 },
  ],
  importParts: [{ type: 'importParts', groups: [{ ...emptyGroup('i', 'i1', 'From a file') }] }],
  addJoint: [{ type: 'addJoint', groupId: 'g', joint: joint('j2') }],
  editJoint: [{ type: 'editJoint', jointId: 'j', fields: { quantity: 6 } }],
  removeJoint: [{ type: 'removeJoint', jointId: 'j' }],
  putOption: [{ type: 'putOption', groupId: 'h', option: option('q2') }],
  chooseOption: [{ type: 'chooseOption', groupId: 'g', optionId: 'o2' }],
  renameOption: [{ type: 'renameOption', groupId: 'g', optionId: 'o2', name: 'with battens' }],
  removeOption: [{ type: 'removeOption', groupId: 'g', optionId: 'o2' }],
  addMade: [
    {
      type: 'addMade',
      group: emptyGroup('mg', 'mo', 'A box'),
      variables: [variable('v2', 'deep', 'tall / 3')],
      extras: [{ ...emptyExtra('e2'), name: 'Soil' }],
    },
  ],
  remake: [{ type: 'remake', groupId: 'h', option: option('q'), variables: [], extras: [] }],
  editProject: [{ type: 'editProject', fields: { name: 'Arbour', builds: 2 } }],
  editVariable: [{ type: 'editVariable', variableId: 'v', fields: { formula: '72' } }],
  editSettings: [{ type: 'editSettings', fields: { kerf: measure('3/32', 'in') } }],
  addExtra: [{ type: 'addExtra', extra: { ...emptyExtra('e3'), name: 'Hooks', amount: '6' } }],
  editExtra: [{ type: 'editExtra', extraId: 'e', fields: { amount: '5' } }],
  removeExtra: [{ type: 'removeExtra', extraId: 'e' }],
  excludeStore: [{ type: 'excludeStore', storeId: 'Yard', excluded: true }],
  addVariable: [{ type: 'addVariable', variable: variable('v3', 'wide', '24') }],
  removeVariable: [{ type: 'removeVariable', variableId: 'v' }],
  addAlternative: [
    { type: 'addAlternative', alternative: { ...alternative, id: 'z' }, proposed: [], most: 6 },
  ],
  removeAlternative: [{ type: 'removeAlternative', alternativeId: 'x', proposed: [] }],
  resetAlternatives: [{ type: 'resetAlternatives' }],
  choose: [
    {
      type: 'choose',
      name: 'All cedar',
      changes: [
        { type: 'editGroup', groupId: 'g', fields: { materials: ['cedar'] } },
        { type: 'editPart', partId: 'c', fields: { materials: ['cedar'] } },
      ],
    },
  ],
  addReadyMade: [{ type: 'addReadyMade', seen: { ...seen, id: 'm2' } }],
  removeReadyMade: [{ type: 'removeReadyMade', seenId: 'm' }],
  editWork: [{ type: 'editWork', fields: { hours: 12, rate: 1500 } }],
  editTarget: [
    { type: 'editTarget', target: 28_000, budget: undefined },
    { type: 'editTarget', target: 30_000, budget: { reserve: 0.1, isEach: false, date: null } },
  ],
  keepBaseline: [{ type: 'keepBaseline', baseline: { date: '2026-11-20', lines: [], trips: 420 } }],
  measureBoard: [
    { type: 'measureBoard', board: measuredBoard('b2') },
    { type: 'measureBoard', board: { ...measuredBoard('b1'), length: 1000 } },
  ],
  forgetBoard: [{ type: 'forgetBoard', boardId: 'b1' }],
  sawBoard: [
    { type: 'sawBoard', board: sawnBoard('s2') },
    { type: 'sawBoard', board: { ...sawnBoard('s1'), done: 2 } },
  ],
  unsawBoard: [{ type: 'unsawBoard', boardId: 's1' }],
  spoilPiece: [{ type: 'spoilPiece', boardId: 's1', piece: 0, left: 900 }],
  unsawAll: [{ type: 'unsawAll' }],
  orderAssembly: [{ type: 'orderAssembly', order: ['g'] }],
  assembleGroup: [{ type: 'assembleGroup', groupId: 'g', isDone: true }],
  dismissReminder: [{ type: 'dismissReminder', reminderId: 'gloves' }],
  addToCart: ['Mill', 'Post'].map((storeId) => ({
    type: 'addToCart',
    cart: { id: `cart ${storeId}`, date: '2026-11-21', storeId, store: storeId },
    lines: [line('bracket')],
    charges,
  })),
  payCart: [{ type: 'payCart', purchaseId: 'cart', receipt: { total: 2568, tax: 168 } }],
  recordPurchase: [
    { type: 'recordPurchase', purchase: purchase('new', 'Yard'), charges },
    { type: 'recordPurchase', purchase: purchase('paid', 'Barn', [line('hinge', 900)]), charges },
  ],
  recordPurchases: [{ type: 'recordPurchases', entries: [{ purchase: purchase('file', 'Barn'), charges }] }],
  removePurchase: [{ type: 'removePurchase', purchaseId: 'paid' }],
  removeLine: [
    { type: 'removeLine', purchaseId: 'paid', line: line('latch') },
    { type: 'removeLine', purchaseId: 'cart', line: line('hinge') },
  ],
  replaceLine: [
    { type: 'replaceLine', purchaseId: 'paid', line: line('hinge'), by: [line('hinge', 800), line('pin')] },
  ],
  editPurchase: [{ type: 'editPurchase', purchaseId: 'paid', fields: { trip: 500, shipping: 0 } }],
};
const commands: Command[] = Object.values(EVERY).flat();

const begun = { document: project, history: emptyHistory() };
const run = (state: typeof begun, command: Command, at: number) => {
  const applied = apply(state.document, command, at);
  return applied ? { document: applied.document, history: remember(state.history, applied.change) } : state;
};

test.each(commands)('$type changes something; undone, nothing; done again, the same', (command) => {
  const done = run(begun, command, 0);
  expect(done.document).not.toEqual(project);
  expect(done.history.past[0]?.label).not.toBe('');
  const back = undo(done.document, done.history);
  expect(back?.document).toEqual(project);
  expect(back && redo(back.document, back.history)?.document).toEqual(done.document);
});

test('any commands in any order, all undone, are where they began; all done again, where they ended', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...commands), { maxLength: 40 }), (sequence) => {
      const end = sequence.reduce((state, command, index) => run(state, command, index * 10_000), begun);
      let state = end;
      for (let back = undo(state.document, state.history); back; back = undo(state.document, state.history))
        state = back;
      expect(state.document).toEqual(project);
      for (
        let ahead = redo(state.document, state.history);
        ahead;
        ahead = redo(state.document, state.history)
      )
        state = ahead;
      expect(state.document).toEqual(end.document);
    }),
  );
});

test('no command touches what it was given', () => {
  const before = JSON.stringify(project);
  for (const command of commands) run(begun, command, 0);
  expect(JSON.stringify(project)).toBe(before);
});

const UNKNOWN = commands.filter(
  (command) =>
    !command.type.startsWith('add') &&
    Object.keys(command).some((key) => key.endsWith('Id')) &&
    command.type !== 'excludeStore' &&
    command.type !== 'dismissReminder',
);
test.each(UNKNOWN)('$type of an unknown id changes nothing', (command) => {
  const elsewhere = Object.fromEntries(
    Object.entries(command).map(([key, value]) => [key, key.endsWith('Id') ? 'nowhere' : value]),
  ) as unknown as Command;
  expect(apply(project, elsewhere, 0)).toBeNull();
});

const lined = (document: Project, id: string): string[] =>
  document.purchases.find((one) => one.id === id)?.lines.map(({ item }) => item.name) ?? [];

test('a line is found by what it says, wherever it stands by then', () => {
  const later = run(begun, EVERY.replaceLine[0] as Command, 0).document;
  expect(lined(later, 'paid')).toEqual(['hinge', 'pin', 'latch']);
  expect(lined(apply(later, EVERY.removeLine[0] as Command, 1)?.document ?? later, 'paid')).toEqual([
    'hinge',
    'pin',
  ]);
});

test('the last line takes its purchase with it, and one that is gone is not taken twice', () => {
  const first = apply(project, { type: 'removeLine', purchaseId: 'cart', line: line('hinge') }, 0);
  const gone =
    first && apply(first.document, { type: 'removeLine', purchaseId: 'cart', line: line('latch') }, 1);
  expect(gone?.document.purchases.map(({ id }) => id)).toEqual(['paid']);
  expect(
    gone && apply(gone.document, { type: 'removeLine', purchaseId: 'cart', line: line('latch') }, 2),
  ).toBeNull();
});

test('what goes into a cart that is open goes on in it; of another store it opens one with its trip', () => {
  const [toMill, toPost] = EVERY.addToCart;
  const mill = apply(project, toMill as Command, 0)?.document ?? project;
  expect(mill.purchases).toHaveLength(2);
  expect(lined(mill, 'cart')).toEqual(['hinge', 'latch', 'bracket']);
  const post = apply(mill, toPost as Command, 1)?.document ?? mill;
  expect(post.purchases.at(-1)).toMatchObject({ id: 'cart Post', isOpen: true, trip: 420 });
});
