import { measure, type PlanSettings, type RackEntry, type Store } from '../project';
import type { Case } from '../testing';

/** Numbers between 0 and 1 from a seed, the same each time (mulberry32). */
export const randomFrom = (seed: number): (() => number) => {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
};

/** A list for tests: what `fromCsv` reads, and what is on the rack. */
export interface RandomList extends Case {
  rack: Omit<RackEntry, 'id'>[];
}

/** Throws of dice from a seed. */
const diceFrom = (seed: number) => {
  const next = randomFrom(seed);
  const whole = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  return {
    whole,
    pick: <T>(list: T[]): T => list[whole(0, list.length - 1)] as T,
    chance: (share: number) => next() < share,
  };
};

const SECTIONS = ['2x4', '2x6', '1x4', '2x2', '1x6'];
const MATERIALS = ['stud', 'pine', 'cedar'];
const EIGHTHS = ['', ' 1/8', ' 1/4', ' 3/8', ' 1/2', ' 5/8', ' 3/4', ' 7/8'];
const FEET = [6, 8, 10, 12, 16];

/**
 * A list of mixed kinds from a seed: boards with slants and slack, ripping, sheets with grain, hardware in packs; several
 * stores with trips, shipping, discounts, tiers and limits; what is on the rack; a car that carries only so much.
 */
export const randomList = (seed: number): RandomList => {
  const dice = diceFrom(seed);
  const { whole, pick, chance } = dice;
  const stores = ['Yard', 'Mill', 'Barn', 'Post'].slice(0, whole(1, 4));
  const sections = SECTIONS.slice(0, whole(1, 3));
  const hasSheets = chance(0.3);
  const ends = () =>
    chance(0.25) ? pick(['mitre 45', 'mitre 30', 'parallel 22.5', 'one 45', 'mitre 45 edge']) : '';

  const parts = ['part,kind,qty,section,length,width,material,ends,grain,short_ok,item'];
  const boards = whole(1, 12);
  for (let index = 0; index < boards; index++) {
    const material = chance(0.3) ? pick(MATERIALS) : '';
    const slack = chance(0.2) ? '1/16in' : '';
    parts.push(
      `b${index},board,${whole(1, 8)},${pick(sections)},${whole(6, 70)}${pick(EIGHTHS)},,${material},${ends()},,${slack},`,
    );
  }
  if (hasSheets)
    for (let index = 0; index < whole(1, 5); index++)
      parts.push(
        `s${index},sheet,${whole(1, 4)},3/4in,${whole(6, 50)},${whole(4, 30)},,,${chance(0.4) ? 'length' : ''},,`,
      );
  if (chance(0.6)) parts.push(`h,hardware,${whole(1, 140)},,,,,,,,screws`);

  const prices = randomPrices(dice, { stores, sections, hasSheets });

  const settings: Partial<PlanSettings> = {
    tax: chance(0.5) ? 0.0775 : 0,
    ...(chance(0.3) ? { tools: ['mitre-saw', 'table-saw'] } : {}),
    ...(chance(0.2) ? { endTrim: measure('1/2in', 'in') } : {}),
    ...(chance(0.15) ? { maxCarryLength: measure(`${whole(6, 9)}ft`, 'in') } : {}),
    ...(chance(0.15) ? { spare: { stud: 0.1 } } : {}),
  };
  const terms = (): Partial<Store> => ({
    trip: chance(0.6) ? whole(0, 900) : 0,
    discount: chance(0.15) ? 0.05 : 0,
    taxFree: chance(0.1),
    cuts: chance(0.7),
    shipping: chance(0.2) ? { fee: 895, freeFrom: chance(0.5) ? 4900 : null } : null,
  });
  const rack = chance(0.3)
    ? Array.from({ length: whole(1, 3) }, (): RandomList['rack'][number] => ({
        quantity: whole(1, 3),
        from: '',
        item: {
          kind: 'board',
          name: '',
          section: pick(sections),
          length: measure(`${whole(3, 96)}in`, 'in'),
          width: null,
          material: pick(MATERIALS),
        },
      }))
    : [];
  const given = Object.fromEntries(stores.map((name) => [name, terms()]));
  return {
    parts: withShapes(diceFrom(seed + 0x5a9e), parts).join('\n'),
    rack,
    ...withEndsAndSawing(diceFrom(seed + 0x5eed), { prices, settings, stores: given }),
  };
};

const SHAPES = [
  'taper 1in to 1in top right',
  'taper 2in to 1 1/4in bottom left',
  'clip 3in x 1in bottom right',
  'notch 1in x 1/2in top left',
  'round 1/2in bottom left',
  'hole 1/4in at 2in x 3/4in',
];

/** Some of the lists with shaped parts, that may lie head to tail. */
const withShapes = (
  { pick, chance }: ReturnType<typeof diceFrom>,
  [head = '', ...rows]: string[],
): string[] => {
  if (!chance(0.25)) return [head, ...rows];
  const shape = (row: string) => (!row.includes('hardware') && chance(0.5) ? pick(SHAPES) : '');
  return [`${head},shape`, ...rows.map((row) => `${row},${shape(row)}`)];
};

/** Ends that cannot be used, stores that saw more than once or for a fee, sheets that are carried otherwise than boards. */
const withEndsAndSawing = (
  { whole, pick, chance }: ReturnType<typeof diceFrom>,
  {
    prices: [head = '', ...rows],
    settings,
    stores,
  }: { prices: string[]; settings: Partial<PlanSettings>; stores: Record<string, Partial<Store>> },
): Pick<RandomList, 'prices' | 'settings' | 'stores'> => {
  const hasBadEnds = chance(0.3);
  const unusable = () => (hasBadEnds && chance(0.3) ? pick(['1in', '2 1/2in', '6in']) : '');
  const sheet = { length: measure(pick(['5ft', '8ft']), 'in'), width: measure('4ft', 'in') };
  const roughRows = (): string[] =>
    chance(0.15)
      ? ['1x8in', '1-7/8x6-1/4in'].map(
          (section) =>
            `${Object.keys(stores)[0]},,,${section},${pick(FEET)}ft,,${pick(MATERIALS)},${whole(2, 5)}.10,1,1,,,bf,1/4in,${pick(['0', '0.2'])}`,
        )
      : [];
  const sawn = (store: Partial<Store>): Partial<Store> => ({
    ...store,
    ...(store.cuts && chance(0.3) ? { cuts: whole(1, 3) } : {}),
    ...(store.cuts && chance(0.2) ? { cutFee: whole(50, 200) } : {}),
  });
  return {
    prices: [
      `${head},unusable,unit,billet_planing,billet_waste`,
      ...rows.map((row) => `${row},${row.includes('hardware') ? '' : unusable()},,,`),
      ...roughRows(),
    ].join('\n'),
    settings: { ...settings, ...(chance(0.15) ? { maxCarrySheet: sheet } : {}) },
    stores: Object.fromEntries(Object.entries(stores).map(([name, store]) => [name, sawn(store)])),
  };
};

const randomPrices = (
  { whole, chance }: ReturnType<typeof diceFrom>,
  { stores, sections, hasSheets }: { stores: string[]; sections: string[]; hasSheets: boolean },
): string[] => {
  const prices = ['store,item,kind,section,length,width,material,price,pack,min_qty,available'];
  for (const store of stores) {
    for (const section of [...sections, ...(chance(0.4) ? ['2x8'] : [])])
      for (const material of MATERIALS.slice(0, whole(1, 3)))
        for (const feet of FEET.filter(() => chance(0.6))) {
          const price = ((feet * whole(30, 90)) / 100).toFixed(2);
          const pack = chance(0.1) ? whole(2, 5) : 1;
          const limit = chance(0.15) ? whole(1, 12) : '';
          prices.push(`${store},,,${section},${feet}ft,,${material},${price},${pack},1,${limit}`);
          if (chance(0.1))
            prices.push(
              `${store},,,${section},${feet}ft,,${material},${(Number(price) * 0.85).toFixed(2)},${pack},${whole(4, 12)},${limit}`,
            );
        }
    if (hasSheets)
      for (const [length, width] of [
        ['8ft', '4ft'],
        ['4ft', '4ft'],
      ].filter(() => chance(0.8)))
        prices.push(`${store},,sheet,3/4in,${length},${width},ply,${whole(20, 60)}.50,1,1,`);
    for (const pack of [1, 25, 100].filter(() => chance(0.5)))
      prices.push(`${store},screws,hardware,,,,,${(pack * 0.1 + whole(10, 90) / 100).toFixed(2)},${pack},1,`);
  }
  return prices;
};
