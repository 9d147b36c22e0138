/** The cases on which the planner is measured: generated from a seed, the same each time; and lists of the trade. */
import type { Case } from '@/core/testing';
import { measure } from '@/core/project';

export interface PlanCase {
  name: string;
  given: Case;
  /** What the planner may take, in seconds. */
  seconds: number;
  /** What must be reached. */
  must: string;
}

/** Numbers between 0 and 1 from a seed (mulberry32). */
export const random = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let mixed = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
};

export const between = (next: () => number, low: number, high: number): number =>
  low + Math.floor(next() * (high - low + 1));

/** Inches from sixteenths. */
const inches = (sixteenths: number): string => `${Math.floor(sixteenths / 16)} ${sixteenths % 16}/16`;

/** So many different lengths, and how often each: pieces in all. */
const demands = (
  next: () => number,
  lengths: number,
  pieces: number,
  low = 6,
  high = 80,
): { length: number; qty: number }[] => {
  const sizes = new Set<number>();
  while (sizes.size < lengths) sizes.add(between(next, low * 16, high * 16));
  const list = [...sizes].map((length) => ({ length, qty: 1 }));
  for (let left = pieces - lengths; left > 0; left--) {
    const entry = list[between(next, 0, list.length - 1)];
    if (entry) entry.qty++;
  }
  return list;
};

export const FEET = [8, 10, 12, 14, 16];
const boardRows = (next: () => number, store: string, section: string, perFoot: number): string[] =>
  FEET.map(
    (feet) =>
      `${store},,,${section},${feet}ft,,stud,${(feet * perFoot * (1 + 0.06 * (feet / 8 - 1)) * (0.97 + next() * 0.06)).toFixed(2)},,,`,
  );
const PRICE_HEAD = 'store,item,kind,section,length,width,material,price,unit,pack,min_qty';
const PART_HEAD = 'part,kind,qty,section,length,width,grain,item';

const cutList = (seed: number, lengths: number, pieces: number): Case => {
  const next = random(seed);
  const list = demands(next, lengths, pieces);
  return {
    parts: [
      PART_HEAD,
      ...list.map(({ length, qty }, index) => `p${index},,${qty},2x4,${inches(length)},,,`),
    ].join('\n'),
    prices: [PRICE_HEAD, ...boardRows(next, 'Yard', '2x4', 0.5)].join('\n'),
    settings: { tax: 0.0825 },
  };
};

const STORES = ['Yard', 'Mill', 'Barn', 'Depot'];
const SECTIONS = [
  ['2x4', 0.5],
  ['1x4', 0.42],
  ['2x6', 0.8],
] as const;

const manyStores = (seed: number, lengths: number, pieces: number, items: number): Case => {
  const next = random(seed);
  const list = demands(next, lengths, pieces);
  const hardware = Array.from(
    { length: items },
    (_, item) => `h${item},hardware,${between(next, 8, 240)},,,,,item ${item}`,
  );
  const rows = STORES.flatMap((store) => [
    ...SECTIONS.flatMap(([section, perFoot]) =>
      boardRows(next, store, section, perFoot * (0.9 + next() * 0.25)),
    ),
    ...Array.from({ length: items }, (_, item) => {
      const price = 3 + next() * 8;
      return [
        `${store},item ${item},hardware,,,,,${price.toFixed(2)},pack,25,1`,
        `${store},item ${item},hardware,,,,,${(price * 3.2).toFixed(2)},pack,100,1`,
      ];
    }).flat(),
  ]);
  return {
    parts: [
      PART_HEAD,
      ...list.map(
        ({ length, qty }, index) => `p${index},,${qty},${SECTIONS[index % 3]?.[0]},${inches(length)},,,`,
      ),
      ...hardware,
    ].join('\n'),
    prices: [PRICE_HEAD, ...rows].join('\n'),
    settings: { tax: 0.07 },
    stores: {
      Yard: { trip: 650 },
      Mill: { trip: 900, discount: 0.05 },
      Barn: { trip: 400 },
      Depot: { trip: 500 },
    },
  };
};

/** Bins of 1000 that each hold exactly three items (after Falkenauer's triplets). */
const triplets = (seed: number, items: number): Case => {
  const next = random(seed);
  const sizes = new Map<number, number>();
  for (let bin = 0; bin < items / 3; bin++) {
    const first = between(next, 380, 490);
    const second = between(next, 250, Math.floor((1000 - first) / 2));
    for (const size of [first, second, 1000 - first - second]) sizes.set(size, (sizes.get(size) ?? 0) + 1);
  }
  return {
    unit: 'mm',
    parts: [
      PART_HEAD,
      ...[...sizes].map(([size, qty], index) => `p${index},,${qty},30x90mm,${size},,,`),
    ].join('\n'),
    prices: `${PRICE_HEAD}\nYard,,,30x90mm,1000,,pine,1,,,`,
    settings: { kerf: measure('0mm', 'mm') },
  };
};

const sheets = (seed: number, grain: 'any' | 'length', isParted: boolean): Case => {
  const next = random(seed);
  const qty = Array.from({ length: 20 }, () => 1);
  for (let left = 40; left > 0; left--) {
    const at = between(next, 0, 19);
    qty[at] = (qty[at] ?? 0) + 1;
  }
  const parts = qty.map(
    (count, index) =>
      `p${index},sheet,${count},3/4in,${inches(between(next, 8 * 4, 40 * 4) * 4)},${inches(between(next, 6 * 4, 24 * 4) * 4)},${grain},`,
  );
  const parted = isParted
    ? ['Yard,,sheet,3/4in,48in,48in,ply,29.5,,,', 'Yard,,sheet,3/4in,48in,24in,ply,16.9,,,']
    : [];
  return {
    parts: [PART_HEAD, ...parts].join('\n'),
    prices: [PRICE_HEAD, 'Yard,,sheet,3/4in,96in,48in,ply,52,,,', ...parted].join('\n'),
  };
};

const ripped = (parts: string[], price: string): Case => ({
  parts: ['part,qty,section,length,ends', ...parts].join('\n'),
  prices: `store,section,length,material,price\n${price}`,
  settings: { tools: ['mitre-saw', 'table-saw'] },
});

export const CUTTING: PlanCase[] = [
  { name: '20 lengths, 60 pieces, 5 stocks', given: cutList(1, 20, 60), seconds: 10, must: 'proved, 0.5 s' },
  {
    name: '20 lengths in 3 sections, 4 stores, 10 items',
    given: manyStores(2, 20, 60, 10),
    seconds: 10,
    must: 'proved, 1.5 s',
  },
  {
    name: '60 lengths, 210 pieces, 5 stocks',
    given: cutList(3, 60, 210),
    seconds: 5,
    must: 'proved or gap 0.1 %, 5 s',
  },
  {
    name: '200 lengths, 1000 pieces, 4 stores',
    given: manyStores(4, 200, 1000, 0),
    seconds: 20,
    must: 'gap 1 %, 20 s, under 1 GB',
  },
  ...[60, 120, 249].map((items) => ({
    name: `triplets, ${items}`,
    given: triplets(items, items),
    seconds: 10,
    must: 'n/3, proved, 10 s',
  })),
  {
    name: 'list D, ripped',
    given: ripped(
      [
        'a,4,1-1/2x1-1/2in,72,',
        'b,4,1-1/2x1-1/2in,35 1/2,',
        'c,4,1-1/2x1-1/2in,14 1/2,',
        'd,4,1-1/2x1-1/2in,9,mitre 45',
      ],
      'Yard,2x4,8ft,stud,3.98',
    ),
    seconds: 5,
    must: 'three boards, proved, 1 s',
  },
  {
    name: 'list E, ripped',
    given: ripped(
      [
        'a,2,3/4x1-1/2in,30 1/4,',
        'b,6,3/4x1-1/2in,31 3/4,',
        'c,6,3/4x1-1/2in,29 1/2,',
        'd,2,1-1/2x3-1/8in,15,',
      ],
      'Yard,2x6,8ft,stud,5.98',
    ),
    seconds: 5,
    must: 'one board, proved, 1 s',
  },
];

export const SHEETS: PlanCase[] = [1, 2, 3, 4, 5].flatMap((seed) =>
  (['any', 'length'] as const).map((grain) => ({
    name: `sheets ${seed}, grain ${grain}`,
    given: sheets(seed, grain, false),
    seconds: 10,
    must: 'one sheet above at the most, none in half of them, 10 s',
  })),
);

export const PARTED: PlanCase[] = [1, 2, 3].map((seed) => ({
  name: `sheets ${seed}, half and quarter`,
  given: sheets(seed, 'any', true),
  seconds: 10,
  must: 'gap 8 %',
}));
