/** Classes of lists on which the planner is measured: any number of each, the same from the same seed. */
import type { Case } from '@/core/testing';
import { between, FEET, random } from './planCases';

export interface PlanClass {
  name: string;
  /** What the planner may take, in seconds. */
  seconds: number;
  must: string;
  make: (seed: number) => Case;
}

type Random = () => number;

/** Numbers from the seed of a list: those of neighbours have nothing in common. */
const numbers = (seed: number): Random => random(Math.imul(seed, 0x9e3779b1));

/** Inches from eighths. */
const eighths = (count: number): string => `${Math.floor(count / 8)} ${count % 8}/8`;

/** So many different numbers. */
const different = (next: Random, count: number, low: number, high: number): number[] => {
  const found = new Set<number>();
  while (found.size < count) found.add(between(next, low, high));
  return [...found];
};

const PRICE_HEAD = 'store,section,length,material,price';
const PER_FOOT = { '2x4': 0.5, '1x4': 0.42, '2x6': 0.8 };

/** Boards of three sections at so many stores with trips. */
const boards = (seed: number, lengths: number): Case => {
  const next = numbers(seed);
  const names = ['Yard', 'Mill', 'Barn', 'Depot'].slice(0, 1 + (seed % 4));
  const sections = Object.entries(PER_FOOT);
  const parts = different(next, lengths, 6 * 8, 84 * 8).map(
    (length, index) =>
      `p${index},${between(next, 1, 6)},${sections[index % sections.length]?.[0]},${eighths(length)}`,
  );
  const prices = names.flatMap((store) =>
    sections.flatMap(([section, perFoot]) => {
      const level = perFoot * (0.9 + next() * 0.25);
      return FEET.map(
        (feet) =>
          `${store},${section},${feet}ft,stud,${(feet * level * (1 + 0.06 * (feet / 8 - 1)) * (0.97 + next() * 0.06)).toFixed(2)}`,
      );
    }),
  );
  return {
    parts: ['part,qty,section,length', ...parts].join('\n'),
    prices: [PRICE_HEAD, ...prices].join('\n'),
    settings: { tax: 0.07 },
    stores: Object.fromEntries(names.map((name, index) => [name, { trip: 300 + 150 * index }])),
  };
};

const sheets = (seed: number, panels: number): Case => {
  const next = numbers(seed);
  const parts = Array.from(
    { length: panels },
    (_, index) =>
      `p${index},sheet,${1 + Number(next() < 0.5)},3/4in,${eighths(between(next, 8, 40) * 8 + 2 * between(next, 0, 3))},${eighths(between(next, 6, 24) * 8)},${next() < 0.3 ? 'length' : 'any'}`,
  );
  return {
    parts: ['part,kind,qty,section,length,width,grain', ...parts].join('\n'),
    prices: [
      'store,kind,section,length,width,material,price',
      'Yard,sheet,3/4in,96in,48in,ply,58.50',
      'Yard,sheet,3/4in,48in,48in,ply,34.00',
    ].join('\n'),
  };
};

const STRIPS = ['1-1/2x1-1/2in', '3/4x1-1/2in', '1-1/2x2-1/2in'];
const ripped = (seed: number, lengths: number): Case => {
  const next = numbers(seed);
  const parts = different(next, lengths, 9 * 8, 60 * 8).map(
    (length, index) => `p${index},${between(next, 1, 6)},${STRIPS[index % 3]},${eighths(length)}`,
  );
  return {
    parts: ['part,qty,section,length', ...parts].join('\n'),
    prices: [
      PRICE_HEAD,
      'Yard,2x4,8ft,stud,3.98',
      'Yard,2x4,12ft,stud,6.35',
      'Yard,2x6,8ft,stud,6.12',
      'Yard,2x6,12ft,stud,9.48',
    ].join('\n'),
    settings: { tools: ['mitre-saw', 'table-saw'] },
  };
};

const SLANTS = ['mitre 45', 'one 30', 'parallel 22.5', 'mitre 15', ''];
const slants = (seed: number, lengths: number): Case => {
  const next = numbers(seed);
  const parts = different(next, lengths, 10 * 8, 60 * 8).map(
    (length, index) =>
      `p${index},${between(next, 1, 5)},2x4,${eighths(length)},${SLANTS[index % SLANTS.length]}`,
  );
  return {
    parts: ['part,qty,section,length,ends', ...parts].join('\n'),
    prices: [PRICE_HEAD, ...FEET.map((feet) => `Yard,2x4,${feet}ft,stud,${(feet * 0.5).toFixed(2)}`)].join(
      '\n',
    ),
  };
};

export const CLASSES: PlanClass[] = [
  { name: 'boards, 20 lengths', seconds: 5, must: 'proved 9 of 10', make: (seed) => boards(seed, 20) },
  { name: 'boards, 40 lengths', seconds: 10, must: 'gap 0.3 %', make: (seed) => boards(seed, 40) },
  { name: 'boards, 80 lengths', seconds: 10, must: 'gap 0.5 %', make: (seed) => boards(seed, 80) },
  { name: 'sheets, 20 panels', seconds: 5, must: 'proved 8 of 10', make: (seed) => sheets(seed, 20) },
  { name: 'sheets, 40 panels', seconds: 10, must: 'gap 12 %', make: (seed) => sheets(seed, 40) },
  { name: 'ripping, 10 lengths', seconds: 10, must: 'gap 5 %', make: (seed) => ripped(seed, 10) },
  { name: 'slants, 15 lengths', seconds: 10, must: 'gap 1 %', make: (seed) => slants(seed, 15) },
];
