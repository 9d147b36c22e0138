import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { fromInches, MICROS, toMm } from '../units';
import { chosenOption, emptyBook, emptyProject, measure, resolve, type Project } from '../project';
import { materialOf } from '../lumber';
import { counter, fromCsv, must } from '../testing';
import {
  readParts,
  readPrices,
  readProjectFile,
  rowsForBook,
  writeParts,
  writePrices,
  writeProjectFile,
} from '.';
import { readTable } from './table';
import type { Problem, Result } from '../result';

const faults = <T>(result: Result<T>): string[] =>
  result.ok ? [] : result.problems.map(({ place, sentence }: Problem) => `${place}: ${sentence}`);
const parts = (text: string) => readParts(text, 'parts.csv', 'in', counter());

test('parts.csv: every fault at once, each with the line on which its record begins', () => {
  const text = [
    'part,kind,qty,section,length,width,ends,grain,short_ok,group',
    'Post,,4,2x4,31 1/2,,,,,',
    '',
    'Leg,board,0,2x4,29 1/x,,,,,',
    '"Back\npanel",sheet,1,3/4in,24,,,sideways,,',
    'Rail,,2,9x9,0,,round,,,',
    'Post,,1,2x4,10,,,,,',
    ',plank,1.5,,,,,,,',
  ].join('\r\n');
  expect(faults(parts(text))).toEqual([
    expect.stringMatching(/^parts.csv:4: qty: "0" is not a count/),
    expect.stringMatching(/^parts.csv:4: length: "29 1\/x" is not a length/),
    expect.stringMatching(/^parts.csv:5: width: a length is missing/),
    expect.stringMatching(/^parts.csv:5: grain: "sideways"/),
    expect.stringMatching(/^parts.csv:7: section: "9x9" is no trade size/),
    expect.stringMatching(/^parts.csv:7: length: "0" is no length/),
    expect.stringMatching(/^parts.csv:7: ends: "round"/),
    expect.stringMatching(/^parts.csv:8: part: "Post" is in the group main already/),
    expect.stringMatching(/^parts.csv:9: part: the name is missing/),
    expect.stringMatching(/^parts.csv:9: kind: "plank"/),
    expect.stringMatching(/^parts.csv:9: qty: "1.5" is not a count/),
    expect.stringMatching(/^parts.csv:9: section: the section is missing/),
    expect.stringMatching(/^parts.csv:9: length: a length is missing/),
  ]);
});

test.each([
  ['', /parts.csv:1: the file is empty/],
  ['part,qty\n', /parts.csv:1: there is a header and nothing below it/],
  ['name,count\nPost,4', /parts.csv:1: part: this column is missing/],
  ['part,part,qty\na,b,1', /parts.csv:1: part: this column is there twice/],
  ['part,qty,section,length\nPost,4,2x4,31,extra', /parts.csv:2: the row has 5 cells/],
  ['part,qty,section,length\n"Post,4,2x4,31', /parts.csv:2: a quotation mark/],
])('%j is refused', (text, sentence) => {
  expect(faults(parts(text))[0]).toMatch(sentence);
});

test('a byte-order mark, semicolons, decimal commas and columns in any order', () => {
  const [group] = must(
    readParts(
      '\uFEFFqty;part;length;section;colour\n4;Post;"1,2 m";45x45mm;green\n',
      'parts.csv',
      'mm',
      counter(),
    ),
  );
  const part = group?.options[0]?.parts[0];
  expect(part).toMatchObject({ name: 'Post', quantity: 4, section: '45x45mm', extra: { colour: 'green' } });
  expect(toMm(part?.length?.ticks ?? 0)).toBe(1200);
});

test('parts.csv comes back as it went, unknown columns too', () => {
  const text =
    'part,kind,qty,section,length,width,material,ends,grain,short_ok,item,group,colour\r\nPost,board,4,2x4,31 1/2in,,cedar|pine,mitre 45,,1/16in,,Frame,\r\nBack,sheet,1,18mm,600mm,400mm,,,length,,,main,green\r\nHinge,hardware,2,,,,,,,,strap hinge,main,\r\n';
  const project = { ...emptyProject('p', 'P', 'in', 'USD'), groups: must(parts(text)) };
  expect(writeParts(project)).toBe(text);
});

const cell = fc
  .stringMatching(/^[A-Za-z0-9"',;\n ]{1,12}$/)
  .map((text) => text.trim())
  .filter((text) => text !== '');
test('any names survive the way through parts.csv', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(cell, { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 1, max: 6000 }),
      (names, sixtyFourths) => {
        const project = fromCsv({
          parts: 'part,qty,section,length\nx,1,2x4,1',
          prices: 'store,price,kind,item\ns,1,hardware,h',
        }).project;
        const list = names.map((name, index) => ({
          ...(chosenOption(project.groups[0] as never)?.parts[0] as never as object),
          id: `${index}`,
          name,
          length: { text: `${sixtyFourths}/64`, ticks: sixtyFourths * 127 },
        }));
        const made = {
          ...project,
          groups: [
            {
              ...project.groups[0],
              options: [{ id: project.groups[0]?.chosen, name: 'first', parts: list }],
            },
          ],
        } as never;
        const back = must(readParts(writeParts(made), 'parts.csv', 'mm', counter()));
        expect(back[0]?.options[0]?.parts.map(({ name, length }) => [name, length?.ticks])).toEqual(
          names.map((name) => [name, sixtyFourths * 127]),
        );
      },
    ),
  );
});

test('lines are counted through quoted line breaks', () => {
  const table = must(readTable('a,b\n"1\n2\n3",x\n\n4,y\n', 'f.csv', ['a', 'b'], []));
  expect(table.rows.map(({ line }) => line)).toEqual([2, 6]);
});

const prices = (text: string) => readPrices(text, 'prices.csv', 'in');

test('prices.csv: what is missing or does not go together', () => {
  const text = [
    'store,item,kind,section,length,width,material,price,unit,pack,available,min_qty,date',
    ",,,2x4,8',,stud,3.98,each,,,,2026-11-02",
    'Yard,,,2x4,,,,free,each,,,,2026-02-30',
    'Yard,,hardware,,,,,4,ft,,,,',
    "Yard,,,2x4,8',,stud|cedar,4,ft,10,x,0,",
    'Yard,ply,sheet,3/4in,96,48,ply,40,stone,,,,',
  ].join('\n');
  expect(faults(prices(text)).map((fault) => fault.split(': ').slice(0, 2).join(': '))).toEqual([
    'prices.csv:2: store',
    'prices.csv:3: length',
    'prices.csv:3: material',
    'prices.csv:3: price',
    'prices.csv:3: date',
    'prices.csv:4: item',
    'prices.csv:4: unit',
    'prices.csv:5: material',
    'prices.csv:5: pack',
    'prices.csv:5: available',
    'prices.csv:5: min_qty',
    'prices.csv:6: unit',
  ]);
});

test('prices.csv: names are built where blank, hardware is priced by the pack, 0 available is out of stock', () => {
  const rows = must(
    prices(
      'store,item,kind,section,length,material,price,available\nYard,,,2x4,8\',stud,"3,98",0\nYard,screws,hardware,,,,9.5,',
    ),
  );
  expect(rows[0]?.price).toMatchObject({
    price: 3.98 * MICROS,
    unit: 'each',
    available: 0,
    item: { name: '2x4x8 stud' },
  });
  expect(rows[1]?.price).toMatchObject({ unit: 'pack', pack: 1, available: null });
});

test('import(export(book)) = book, and taking the same file twice adds nothing', () => {
  const { book } = fromCsv({
    parts: 'part,qty,section,length\nx,1,2x4,1',
    prices:
      "store,section,length,material,price,unit,pack,min_qty,date,width,kind,item,mark\nYard,2x4,8',stud,0.685,ft,,,2026-11-01,,,,a\nYard,2x4,10ft,stud,4.1,each,8,3,,,,,\nMill,18mm,2440mm,ply,31.4,m2,,,2026-10-01,1220mm,sheet,,\nMill,,,,2.5,pack,50,,,,hardware,screws,",
  });
  const rows = must(readPrices(writePrices(book, 'USD', 'in'), 'prices.csv', 'in'));
  expect(rowsForBook(rows, book, 'USD', counter())).toMatchObject({ prices: [], stores: [], known: 4 });
  const again = rowsForBook(rows, emptyBook(), 'USD', counter());
  const bare = (list: object[]) => list.map((entry) => ({ ...entry, id: '', storeId: '', extra: undefined }));
  expect(bare(again.prices)).toEqual(bare(Object.values(book.prices)));
  expect(again.prices[0]?.extra).toEqual({ mark: 'a' });
});

const sample = () =>
  fromCsv({
    parts:
      'part,qty,section,length,kind,width,ends,item\nPost,4,2x4,31 1/2,,,mitre 45,\nBack,1,3/4in,24,sheet,36,,\nHinge,2,,,hardware,,,hinge',
    prices:
      "store,section,length,material,price,kind,width,item\nYard,2x4,8',stud,3.98,,,\nYard,3/4in,96,ply,40,sheet,48,\nYard,2x12,8',stud,7,,,\nPost,,,,2,hardware,,Hinge",
    settings: { tax: 0.07 },
  });

test('a project file opens as what was saved, with the prices it uses or is compared by, and no others', () => {
  const { project, book } = sample();
  const read = must(readProjectFile(writeProjectFile({ ...project, target: 24050 }, book), 'x.billet.json'));
  expect(read.project).toEqual({ ...project, target: 24050 });
  expect(Object.values(read.book.prices).map(({ item }) => item.section)).toEqual(['2x4', '3/4in', '']);
  const json = JSON.parse(writeProjectFile(project, book)) as {
    project: { groups: { options: { parts: { length: unknown }[] }[] }[] };
    prices: { price: number }[];
  };
  expect(json.project.groups[0]?.options[0]?.parts[0]?.length).toEqual({ text: '31 1/2', mm: 800.1 });
  expect(json.prices[0]?.price).toBe(3.98);
});

test('what a project says of its comparison, its work and its materials comes back from its file', () => {
  const { project, book } = sample();
  const group = { ...project.groups[0], nearFood: true, isLater: true } as (typeof project.groups)[number];
  const full = {
    ...project,
    groups: [group, ...project.groups.slice(1)],
    treatedNearFood: 'liner' as const,
    leavesRack: true,
    purchases: [
      {
        // At a store that is not in the book.
        id: 'b',
        date: '2026-11-21',
        storeId: '',
        store: 'A flea market',
        note: '',
        lines: [
          {
            item: {
              kind: 'hardware' as const,
              name: 'Saw blade',
              section: '',
              length: null,
              width: null,
              material: '',
            },
            pack: 1,
            quantity: 1,
            price: 1153,
            tax: 81,
            category: 'tools' as const,
          },
        ],
      },
    ],
    readyMade: [{ id: 'r', price: 62050, source: 'a catalogue', date: '2026-11-20' }],
    work: { hours: 12.5, rate: 1850, beside: null },
    alternatives: [
      {
        id: 'a',
        name: 'A little short',
        changes: [
          { type: 'editSettings' as const, fields: { shortOk: measure('1/16in', 'in') } },
          { type: 'excludeStore' as const, storeId: 's', excluded: true },
        ],
      },
    ],
  };
  const materials = { 'old cedar': { ...materialOf('cedar'), name: 'Old cedar', source: 'yours' } };
  const text = writeProjectFile(full, { ...book, materials });
  const read = must(readProjectFile(text, 'x.billet.json'));
  expect(read.project).toEqual(full);
  expect(read.book.materials).toEqual(materials);
  // Money and lengths as formats.md asks: main units and millimetres.
  expect(text).toContain('"price": 620.5');
  expect(text).toContain('"rate": 18.5');
  expect(text).toContain('"mm": 1.5875');
  const wrong = JSON.parse(text);
  wrong.project.alternatives[0].changes[1].type = 'burnItAll';
  expect(faults(readProjectFile(JSON.stringify(wrong), 'x')).join()).toMatch(
    /alternatives\[0\]\.changes\[1\]/,
  );
});

test('a wrong project file: every fault with its place; a newer one: one clear sentence', () => {
  const { project, book } = sample();
  const good = JSON.parse(writeProjectFile(project, book));
  const wrong = structuredClone(good);
  wrong.project.builds = 0;
  delete wrong.project.unit;
  wrong.project.groups[0].options[0].parts[1].quantity = 'four';
  wrong.colour = 'green';
  const places = (file: unknown) => faults(readProjectFile(JSON.stringify(file), 'x.billet.json'));
  expect(places(wrong).sort()).toEqual([
    'colour: is not something that Billet knows; take it out',
    'project.builds: must be 1 or more',
    'project.groups[0].options[0].parts[1].quantity: must be a whole number',
    'project.unit: is missing',
  ]);
  const crossed = structuredClone(good);
  crossed.project.groups[0].options[0].parts[0].length.mm = 900;
  crossed.prices[0].storeId = 'nowhere';
  crossed.prices[1].date = '2026-02-30';
  expect(places(crossed)).toEqual([
    'prices[0].storeId: "nowhere" is none of the stores in the file',
    'prices[1].date: "2026-02-30" is not a day of the calendar',
    'project.groups[0].options[0].parts[0].length: "31 1/2" is not 900 mm; write the same length in both',
  ]);
  expect(places({ ...good, version: 2 })).toEqual([expect.stringMatching(/newer Billet \(file version 2/)]);
  expect(places({ some: 'thing' })).toEqual([expect.stringMatching(/not a Billet project file/)]);
  expect(faults(readProjectFile('{\n "format": "billet', 'x.billet.json'))[0]).toMatch(
    /^x.billet.json:\d: the file breaks off/,
  );
});

test.each(['compost-station', 'record-shelf', 'sandpit'])(
  'the sample %s is a project file without a fault',
  (name) => {
    const read = readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name);
    expect(faults(read)).toEqual([]);
  },
);

test('a length of 31 1/2 in is kept as it was written', () => {
  expect(sample().project.groups[0]?.options[0]?.parts[0]?.length).toEqual({
    text: '31 1/2',
    ticks: fromInches(31.5),
  });
});

test.each(['compost-station', 'record-shelf', 'sandpit'])(
  '%s, built from helpers with its formulas, is the same after a file',
  (name) => {
    const text = readFileSync(`demo/${name}.billet.json`, 'utf8');
    const { project, book } = must(readProjectFile(text, name));
    expect(project.variables.length).toBeGreaterThan(3);
    expect(writeProjectFile(project, book)).toBe(text);
    // As parts.csv it is the same to buy: what fastens and covers is listed too.
    const again = must(readParts(writeParts(project), 'parts.csv', project.unit, counter()));
    const count = (of: Project) => resolve(of).parts.reduce((sum, part) => sum + part.count, 0);
    expect(count({ ...project, groups: again, variables: [], extras: [] })).toBe(count(project));
  },
);
