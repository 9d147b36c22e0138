import {
  MICROS,
  parseCount,
  parseDecimal,
  parseLength,
  parseTag,
  percentText,
  type LengthUnit,
} from '@/core/units';
import { isDate, withUnit } from '@/core/io';
import { amountOf, piecesByWeight, type Need } from '@/core/pricing';
import {
  itemName,
  type Item,
  type Kind,
  type Measure,
  type PackWeight,
  type Price,
  type PriceUnit,
  type Project,
  type Rough,
} from '@/core/project';
import { ok, type Problem, type Result } from '@/core/result';
import { parseSection, parseThickness, thicknessName } from '@/core/lumber';

/** A price as it is typed. */
export interface PriceDraft {
  /** Of the observation that is mended; null: a new one. */
  id: string | null;
  storeId: string | null;
  kind: Kind;
  name: string;
  section: string;
  length: string;
  width: string;
  material: string;
  price: string;
  unit: PriceUnit;
  pack: string;
  minQty: string;
  available: string;
  /** Blank: today for a new one. */
  date: string;
  note: string;
  /** Hardware: by the pieces told in `pack`, or by its weight and the pieces to a pound or kilogram. */
  packBy: 'count' | PackWeight['unit'];
  weight: string;
  perWeight: string;
  /** Boards: as they are, or rough and of random widths, with what planing takes off and the share that is lost. */
  finish: 'dressed' | 'rough';
  planing: string;
  waste: string;
}

export const blankDraft = (storeId: string | null): PriceDraft => ({
  id: null,
  storeId,
  kind: 'board',
  name: '',
  section: '',
  length: '',
  width: '',
  material: '',
  price: '',
  unit: 'each',
  pack: '1',
  minQty: '1',
  available: '',
  date: '',
  note: '',
  packBy: 'count',
  weight: '',
  perWeight: '',
  finish: 'dressed',
  planing: '',
  waste: '',
});

/** A price for what is needed: section, material and item are filled in, and a length that holds the longest part. */
export const draftForNeed = (
  need: Need,
  { unit }: Pick<Project, 'unit'>,
  storeId: string | null,
): PriceDraft => ({
  ...blankDraft(storeId),
  kind: need.kind,
  name: need.kind === 'hardware' ? need.name : '',
  section: need.kind === 'hardware' ? '' : need.name,
  material: need.materials[0] ?? '',
  length:
    need.kind === 'hardware'
      ? ''
      : need.kind === 'sheet'
        ? unit === 'in'
          ? '96in'
          : '2440mm'
        : stockFor(need.longest, unit),
  width: need.kind === 'sheet' ? (unit === 'in' ? '48in' : '1220mm') : '',
  unit: need.kind === 'hardware' ? 'pack' : 'each',
});

/** The shortest usual length that holds a piece: framing lengths are 8 to 20 ft by 2 ft, metric 1.8 to 6.0 m by 0.3 m. */
const stockFor = (longest: number, unit: LengthUnit): string => {
  if (unit === 'in') {
    const feet = Math.max(8, Math.ceil(longest / 97536 / 2) * 2);
    return `${feet}ft`;
  }
  return `${Math.max(6, Math.ceil(longest / 96000)) * 300}mm`;
};

export const draftOfPrice = (seen: Price, unit: LengthUnit): PriceDraft => ({
  id: seen.id,
  storeId: seen.storeId,
  kind: seen.item.kind,
  name: seen.item.name === itemName(seen.item) && seen.item.kind !== 'hardware' ? '' : seen.item.name,
  section: seen.item.section,
  length: withUnit(seen.item.length, unit),
  width: withUnit(seen.item.width, unit),
  material: seen.item.material,
  price: (seen.price / MICROS).toFixed(Math.max(2, String(seen.price / MICROS).split('.')[1]?.length ?? 0)),
  unit: seen.unit,
  pack: String(seen.pack),
  minQty: String(seen.minQty),
  available: seen.available === null ? '' : String(seen.available),
  date: seen.date ?? '',
  note: seen.note,
  packBy: seen.weight?.unit ?? 'count',
  weight: seen.weight ? String(seen.weight.amount) : '',
  perWeight: seen.weight ? String(seen.weight.pieces) : '',
  finish: seen.rough ? 'rough' : 'dressed',
  planing: seen.rough ? withUnit(seen.rough.planing, unit) : '',
  waste: seen.rough ? percentText(seen.rough.waste) : '',
});

/** The draft as an observation without id, store and source; every fault with its field as the place. */
export const readDraft = (
  draft: PriceDraft,
  unit: LengthUnit,
  today: string,
): Result<Omit<Price, 'id' | 'storeId' | 'source'>> => {
  const problems: Problem[] = [];
  const fault = (place: keyof PriceDraft, sentence: string) =>
    problems.push({ code: 'price', place, sentence });
  const need = <T>(place: keyof PriceDraft, result: Result<T>): T | null => {
    if (result.ok) return result.value;
    fault(place, result.problems[0]?.sentence ?? '');
    return null;
  };
  const length = (place: 'length' | 'width'): Measure | null => {
    const ticks = need(place, parseLength(draft[place], unit));
    if (ticks === 0) fault(place, 'It must be more than nothing.');
    return ticks === null ? null : { text: withUnit({ text: draft[place].trim(), ticks }, unit), ticks };
  };
  const item: Item = {
    kind: draft.kind,
    name: draft.name.trim(),
    section: '',
    length: null,
    width: null,
    material: '',
  };
  if (draft.kind === 'hardware') {
    if (item.name === '') fault('name', 'Write the item as the shelf tag names it.');
  } else {
    item.material = draft.material.trim().replace(/\s+/g, ' ');
    if (item.material === '')
      fault('material', 'Write what it is made of, such as pine, treated or birch ply.');
    if (item.material.includes('|')) fault('material', 'A price is for one material.');
    if (draft.kind === 'board') item.section = need('section', parseSection(draft.section, unit))?.name ?? '';
    else item.section = thicknessName(need('section', parseThickness(draft.section, unit)) ?? 0);
    item.length = length('length');
    if (draft.kind === 'sheet') item.width = length('width');
  }
  const price = need(
    'price',
    draft.price.trim() === ''
      ? {
          ok: false,
          problems: [{ code: 'price', place: '', sentence: 'Write the price on the tag, such as 3.98.' }],
        }
      : parseTag(draft.price),
  );
  const weight = draft.kind === 'hardware' && draft.packBy !== 'count' ? readWeight(draft.packBy) : null;
  const pack = weight
    ? piecesByWeight(weight)
    : draft.kind === 'hardware' && draft.packBy !== 'count'
      ? 1
      : (need('pack', parseCount(draft.pack)) ?? 1);
  const rough = draft.kind === 'board' && draft.finish === 'rough' ? readRough() : null;
  const minQty = need('minQty', parseCount(draft.minQty)) ?? 1;
  const available =
    draft.available.trim() === ''
      ? null
      : draft.available.trim() === '0'
        ? 0
        : need('available', parseCount(draft.available));
  const date = draft.date.trim() === '' ? (draft.id === null ? today : null) : draft.date.trim();
  if (date !== null && !isDate(date)) fault('date', `"${date}" is not a date; write it as 2026-05-31.`);
  const byMeasure = draft.unit !== 'each' && draft.unit !== 'pack';
  if (byMeasure && problems.length === 0 && amountOf(item, draft.unit) === null)
    fault('unit', 'It cannot be priced by that.');
  if (problems.length > 0 || price === null) return { ok: false, problems };
  if (item.name === '') item.name = itemName(item);
  return ok({
    item,
    price,
    unit: draft.unit,
    pack: byMeasure ? 1 : pack,
    minQty,
    available,
    date,
    note: draft.note.trim(),
    ...(weight ? { weight } : {}),
    ...(rough ? { rough } : {}),
  });

  function readWeight(by: PackWeight['unit']): PackWeight | null {
    const amount = need('weight', parseDecimal(draft.weight));
    const pieces = need('perWeight', parseDecimal(draft.perWeight));
    if (amount === 0) fault('weight', 'It must weigh more than nothing.');
    if (pieces === 0) fault('perWeight', 'It must be more than nothing.');
    return amount && pieces ? { amount, unit: by, pieces } : null;
  }

  function readRough(): Rough | null {
    const planing = need('planing', parseLength(draft.planing, unit));
    const waste = draft.waste.trim() === '' ? 0 : need('waste', parseDecimal(draft.waste.replace('%', '')));
    if (planing === null || waste === null) return null;
    const text = withUnit({ text: draft.planing.trim(), ticks: planing }, unit);
    return { planing: { text, ticks: planing }, waste: waste / 100 };
  }
};

/** What is usual for rough wood, where nothing is told yet: two passes of the planer, and a quarter lost (rules of thumb). */
export const roughFor = (
  { planing, waste }: PriceDraft,
  unit: LengthUnit,
): Pick<PriceDraft, 'planing' | 'waste'> => ({
  planing: planing === '' ? (unit === 'in' ? '1/4in' : '5mm') : planing,
  waste: waste === '' ? '25' : waste,
});
