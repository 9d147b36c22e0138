import { must } from '../testing';
import { readOwned, readSettings } from '.';

const faults = (json: unknown): string[] => {
  const read = readSettings(typeof json === 'string' ? json : JSON.stringify(json), 'settings.json');
  return read.ok ? [] : read.problems.map(({ place, sentence }) => `${place}: ${sentence}`);
};

test('every key is optional, and has the default of formats.md', () => {
  const { unit, currency, plan, timeLimit, stores } = must(readSettings('{}', 'settings.json'));
  expect([unit, currency, timeLimit, stores]).toEqual(['in', 'USD', 10, {}]);
  expect(plan).toMatchObject({
    tax: 0,
    taxIncluded: false,
    tools: ['mitre-saw'],
    maxCarryLength: null,
    maxCarryWidth: null,
    spare: {},
  });
  expect([plan.kerf.ticks, plan.endTrim.ticks, plan.sheetTrim.ticks, plan.shortOk.ticks]).toEqual([
    1016, 0, 0, 0,
  ]);
});

test('sheets have carrying limits of their own, and a store says how often it saws, and for what', () => {
  const { plan, stores } = must(
    readSettings(
      '{ "maxCarryLength": "6ft", "maxCarrySheet": { "length": "8ft", "width": "4ft" }, "stores": { "A": { "cuts": 2, "cutFee": 1.5 }, "B": { "cuts": false } } }',
      'settings.json',
    ),
  );
  expect([plan.maxCarrySheet?.length.ticks, plan.maxCarrySheet?.width.ticks]).toEqual([96 * 8128, 48 * 8128]);
  expect([stores['a']?.cuts, stores['a']?.cutFee, stores['b']?.cuts]).toEqual([2, 150, false]);
  expect(faults({ maxCarrySheet: '8ft', stores: { A: { cuts: 1.5, cutFee: -1 } } })).toEqual([
    'settings.json: maxCarrySheet: write null, or both sides such as {"length": "8ft", "width": "4ft"}',
    'settings.json: stores.A.cuts: 1.5 is not known here; write true, false, or how many cuts in a board',
    'settings.json: stores.A.cutFee: -1 is not a sum of money; write a number such as 6.50',
  ]);
});

test('the example of formats.md', () => {
  const { plan, stores } = must(
    readSettings(
      '{ "unit": "in", "currency": "USD", "tax": 0, "kerf": "1/8in", "tools": ["mitre-saw", "table-saw"], "maxCarryLength": "97in", "spare": { "stud": 0.1 }, "stores": { "Harrow Lumber": { "trip": 6.5, "taxFree": false, "discount": 0.0, "cuts": true, "shipping": null }, "Postbox  Hardware": { "trip": 0, "shipping": { "fee": 8.95, "freeFrom": 49 } } } }',
      'settings.json',
    ),
  );
  expect(plan.spare).toEqual({ stud: 0.1 });
  expect(plan.maxCarryLength?.ticks).toBe(97 * 8128);
  expect(stores['harrow lumber']).toEqual({
    trip: 650,
    taxFree: false,
    discount: 0,
    cuts: true,
    shipping: null,
  });
  // Names meet without regard to case and repeated spaces.
  expect(stores['postbox hardware']?.shipping).toEqual({ fee: 895, freeFrom: 4900 });
});

test('bare numbers are lengths in the unit', () => {
  expect(must(readSettings('{ "unit": "mm", "kerf": 3 }', 's')).plan.kerf.ticks).toBe(3 * 320);
});

test('every fault at once, each with its key', () => {
  expect(
    faults({
      unit: 'cubit',
      tax: 7,
      taxIncluded: 'no',
      kerf: 'wide',
      tools: 'saw',
      spare: { stud: 2 },
      timeLimit: 0,
      stores: { Yard: { trip: -1, cuts: 'yes', shipping: { fee: 'much' } } },
    }).map((fault) => fault.split(': ')[1]),
  ).toEqual([
    'unit',
    'tax',
    'taxIncluded',
    'kerf',
    'tools',
    'spare.stud',
    'timeLimit',
    'stores.Yard.trip',
    'stores.Yard.cuts',
    'stores.Yard.shipping.fee',
  ]);
  expect(faults('{')[0]).toMatch(/^settings\.json: this is not JSON/);
  expect(faults([])[0]).toMatch(/not an object/);
});

test('owned.csv: built names, counts, and faults by line', () => {
  const rows = must(readOwned("section,length,material,qty\n2x4,8',stud,3\n", 'owned.csv', 'in'));
  expect(rows).toMatchObject([
    { quantity: 3, item: { kind: 'board', name: '2x4x8 stud', material: 'stud' } },
  ]);
  const wrong = readOwned(
    'kind,section,length,material,qty,item\n,2x4,8 spans,stud,0,\nhardware,,,,2,\n',
    'owned.csv',
    'in',
  );
  expect(wrong.ok ? [] : wrong.problems.map(({ place }) => place)).toEqual([
    'owned.csv:2: length',
    'owned.csv:2: qty',
    'owned.csv:3: item',
  ]);
});
