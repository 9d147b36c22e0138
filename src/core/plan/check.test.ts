import { fromInches } from '../units';
import { measure } from '../project';
import { faultsOf, planCsv, type Case } from '../testing';
import type { Plan } from '.';

const list: Case = {
  parts:
    'part,kind,qty,section,length,width,material,grain,ends,item\n' +
    'Rail,board,4,2x4,40,,stud,,,\nBrace,board,3,2x4,33,,stud,,mitre 45,\nPanel,sheet,2,3/4in,30,20,ply,length,,\nScrews,hardware,30,,,,,,,deck screws',
  prices:
    'store,item,kind,section,length,width,material,price,unit,pack,available,min_qty\n' +
    "Yard,,board,2x4,8',,stud,4,each,1,,1\nYard,,board,2x4,8',,stud,3.5,each,1,,20\nYard,,sheet,3/4in,96in,48in,ply,50,each,1,3,1\nYard,deck screws,hardware,,,,,6,pack,20,,1",
  settings: { tax: 0.07, endTrim: measure('1/4', 'in') },
  stores: { Yard: { trip: 500, discount: 0.05, shipping: { fee: 800, freeFrom: 10_000 } } },
};
const plan = (): Plan => structuredClone(planCsv(list));
const spoiled = (spoil: (plan: Plan) => void): string[] => {
  const made = plan();
  spoil(made);
  return faultsOf(list, made);
};
const first = <T>(things: T[]): T => {
  const [thing] = things;
  if (thing === undefined) throw new Error('one was meant');
  return thing;
};
const boards = (made: Plan) => made.layouts.filter(({ kind }) => kind === 'board');

test('a plan as it was made holds', () => {
  expect(faultsOf(list, plan())).toEqual([]);
});

test.each<[what: string, spoil: (plan: Plan) => void, says: RegExp]>([
  ['a piece too few', (made) => void first(boards(made)).pieces.pop(), /are cut, and \d are needed/],
  [
    'a layout cut once more',
    (made) => void first(boards(made)).count++,
    /are cut, and \d+ are (there|needed)/,
  ],
  [
    'a piece over the end',
    (made) =>
      first(boards(made))
        .pieces.at(-1)
        ?.outline.forEach((corner) => (corner[0] += fromInches(60))),
    /not inside its board/,
  ],
  [
    'a piece in the trimmed end',
    (made) => first(first(boards(made)).pieces).outline.forEach((corner) => (corner[0] -= fromInches(0.2))),
    /trimmed off/,
  ],
  [
    'neighbours without a kerf',
    (made) =>
      first(boards(made))
        .pieces.slice(1)
        .forEach(({ outline }) => outline.forEach((corner) => (corner[0] -= fromInches(0.1)))),
    /closer than a kerf/,
  ],
  [
    'a piece cut short',
    (made) => {
      const outline = first(first(boards(made)).pieces).outline;
      for (const corner of outline) if (corner[0] > fromInches(20)) corner[0] -= fromInches(1);
    },
    /has not the outline/,
  ],
  ['a wrong section', (made) => void (first(boards(made)).section = '1x4'), /not of the section/],
  ['a strip without a saw for it', (made) => void (first(boards(made)).section = '2x6'), /no table saw/],
  ['a wrong material', (made) => void (first(boards(made)).material = 'cedar'), /may not be of cedar/],
  [
    'sheet pieces on each other',
    (made) => {
      const sheet = made.layouts.find(({ kind }) => kind === 'sheet');
      const [a, b] = sheet?.pieces ?? [];
      if (a && b) b.outline = structuredClone(a.outline);
    },
    /cannot be parted/,
  ],
  [
    'a grain turned',
    (made) => {
      for (const { outline } of made.layouts.find(({ kind }) => kind === 'sheet')?.pieces ?? [])
        for (const corner of outline) corner.reverse();
    },
    /has not the outline/,
  ],
  [
    'one purchase less',
    (made) => void first(made.buys.filter(({ kind }) => kind === 'board')).qty--,
    /are cut, and \d+ are there/,
  ],
  [
    'screws too few',
    (made) => void first(made.buys.filter(({ kind }) => kind === 'hardware')).qty--,
    /are there, and 30 are needed/,
  ],
  [
    'a price that holds from twenty on',
    (made) => void (first(made.buys.filter(({ kind }) => kind === 'board')).unitPrice = 3_500_000),
    /another price than holds/,
  ],
  [
    'more than the store has',
    (made) => void (first(made.buys.filter(({ kind }) => kind === 'sheet')).qty = 4),
    /the store has 3/,
  ],
  ['a thing that is not sold', (made) => void (first(made.buys).item = 'moon dust'), /is not on sale there/],
  ['a cent too little', (made) => void made.total--, /total: is/],
  ['tax forgotten', (made) => void (made.tax = 0), /tax: is 0/],
  ['a trip forgotten', (made) => void (made.trips = 0), /trips: is 0/],
  ['shipping forgotten', (made) => void (made.shipping = made.shipping === 0 ? 800 : 0), /shipping: is/],
  ['a bound above the plan', (made) => void (made.lowerBound = made.total + 1), /lowerBound: is above/],
])('%s is found', (_what, spoil, says) => {
  expect(spoiled(spoil).join('\n')).toMatch(says);
});

test('what does not go in the car must be sawn at the store', () => {
  const car: Case = {
    ...list,
    settings: { ...list.settings, maxCarryLength: measure('66', 'in'), maxCarryWidth: measure('48', 'in') },
  };
  const carried = planCsv(car);
  expect(carried.status).toBe('bounded');
  expect(carried.layouts.every(({ storeCuts }) => storeCuts.length === 1)).toBe(true);
  expect(faultsOf(car, carried)).toEqual([]);
  const uncut = { ...carried, layouts: carried.layouts.map((layout) => ({ ...layout, storeCuts: [] })) };
  expect(faultsOf(car, uncut).join('\n')).toMatch(/does not go in the car/);
  // What packs best cannot be parted so short: it is laid anew, on boards that can.
  const tight: Case = { ...car, settings: { ...car.settings, maxCarryLength: measure('61', 'in') } };
  expect(planCsv(tight).status).toBe('bounded');
  expect(faultsOf(tight, planCsv(tight))).toEqual([]);
  const small = planCsv({ ...car, settings: { ...car.settings, maxCarryLength: measure('47', 'in') } });
  expect(small.problems.map(({ sentence }) => sentence).join('\n')).toMatch(
    /^Brace, 33": found no way to saw its board at the store/m,
  );
  const refused: Case = { ...car, stores: { Yard: { ...car.stores?.['Yard'], cuts: false } } };
  expect(planCsv(refused).status).toBe('infeasible');
});

test('spare boards are added to the plan and are found missing', () => {
  const spared: Case = { ...list, settings: { ...list.settings, spare: { stud: 0.1 } } };
  const made = planCsv(spared);
  expect(first(made.buys.filter(({ kind }) => kind === 'board')).spare).toBe(1);
  expect(faultsOf(spared, made)).toEqual([]);
  expect(faultsOf(spared, plan()).join('\n')).toMatch(/fewer spare boards/);
});

const strips: Case = {
  parts: 'part,qty,section,length,ends\nSlat,4,1-1/2x1-1/2in,40,\nFoot,2,1-1/2x1-1/2in,9,mitre 45',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  settings: { tools: ['table-saw'] },
};

test('ripped pieces lie as strips in their board, and hold; a thinner board does not', () => {
  const made = planCsv(strips);
  expect(faultsOf(strips, made)).toEqual([]);
  expect(
    first(made.layouts).pieces.every(
      ({ outline }) => Math.max(...outline.map(([, y]) => y)) <= fromInches(3.5),
    ),
  ).toBe(true);
  const thin = { ...made, layouts: made.layouts.map((layout) => ({ ...layout, section: '1x4' })) };
  expect(faultsOf(strips, thin).join('\n')).toMatch(/is not of the section 1x4/);
  const wide = { ...made, layouts: made.layouts.map((layout) => ({ ...layout, width: fromInches(9) })) };
  expect(faultsOf(strips, wide).join('\n')).toMatch(/is drawn in another width/);
});

test('a cut at the store must fall between pieces', () => {
  const car: Case = {
    ...list,
    settings: { ...list.settings, maxCarryLength: measure('66', 'in'), maxCarryWidth: measure('48', 'in') },
  };
  const made = planCsv(car);
  const through = {
    ...made,
    layouts: made.layouts.map((layout) => ({
      ...layout,
      storeCuts: layout.storeCuts.map((cut) => ({ ...cut, at: fromInches(33) })),
    })),
  };
  expect(faultsOf(car, through).join('\n')).toMatch(/sawn at the store through a piece/);
});
