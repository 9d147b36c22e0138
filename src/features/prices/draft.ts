import {
  MICROS,
  parseCount,
  parseDecimal,
  parseLength,
  parseTag,
  percentText,
  type LengthUnit,
  isDay,
} from '@/core/units';
import { withUnit } from '@/core/io';
import { amountOf, piecesByWeight, USUAL_SHEET, usualLength, type Need } from '@/core/pricing';
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
  /** What cannot be used at the ends of a board or sheet. */
  unusable: string;
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

/** A price of which nothing is typed yet. */
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
  unusable: '',
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
        ? USUAL_SHEET[unit].length
        : usualLength(need.longest, unit),
  width: need.kind === 'sheet' ? USUAL_SHEET[unit].width : '',
  unit: need.kind === 'hardware' ? 'pack' : 'each',
});

/** A price as its form shows it. */
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
  unusable: withUnit(seen.item.unusable ?? null, unit),
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
  const reader = new DraftReader(draft, unit);
  const item = reader.item();
  const price = reader.price();
  const weight = reader.weight();
  const pack = reader.pack(weight);
  const rough = reader.rough();
  const minQty = reader.count('minQty') ?? 1;
  const available = reader.available();
  const date = reader.date(today);
  const isByMeasure = draft.unit !== 'each' && draft.unit !== 'pack';
  if (isByMeasure && reader.problems.length === 0 && amountOf(item, draft.unit) === null)
    reader.fault('unit', 'It cannot be priced by that.');
  if (reader.problems.length > 0 || price === null) return { ok: false, problems: reader.problems };
  return ok({
    item: item.name === '' ? { ...item, name: itemName(item) } : item,
    price,
    unit: draft.unit,
    pack: isByMeasure ? 1 : pack,
    minQty,
    available,
    date,
    note: draft.note.trim(),
    ...(weight ? { weight } : {}),
    ...(rough ? { rough } : {}),
  });
};

/** Reads the fields of a draft, and keeps every fault with its field as the place. */
class DraftReader {
  readonly problems: Problem[] = [];

  constructor(
    private readonly draft: PriceDraft,
    private readonly unit: LengthUnit,
  ) {}

  fault(place: keyof PriceDraft, sentence: string): void {
    this.problems.push({ code: 'price', place, sentence });
  }

  count(place: 'minQty' | 'pack' | 'available'): number | null {
    return this.need(place, parseCount(this.draft[place]));
  }

  item(): Item {
    const { draft } = this;
    const bare = { kind: draft.kind, name: draft.name.trim(), section: '', length: null, width: null };
    if (draft.kind === 'hardware') {
      if (bare.name === '') this.fault('name', 'Write the item as the shelf tag names it.');
      return { ...bare, material: '' };
    }
    const material = draft.material.trim().replace(/\s+/g, ' ');
    if (material === '')
      this.fault('material', 'Write what it is made of, such as pine, treated or birch ply.');
    if (material.includes('|')) this.fault('material', 'A price is for one material.');
    const section =
      draft.kind === 'board'
        ? (this.need('section', parseSection(draft.section, this.unit))?.name ?? '')
        : thicknessName(this.need('section', parseThickness(draft.section, this.unit)) ?? 0);
    const length = this.length('length');
    return {
      ...bare,
      material,
      section,
      length,
      width: draft.kind === 'sheet' ? this.length('width') : null,
      ...this.unusable(length),
    };
  }

  private unusable(length: Measure | null): Pick<Item, 'unusable'> {
    const { unusable } = this.draft;
    if (unusable.trim() === '') return {};
    const ticks = this.need('unusable', parseLength(unusable, this.unit));
    if (ticks === null || ticks === 0) return {};
    if (length && ticks >= length.ticks)
      this.fault('unusable', 'That is all of its length; nothing could be cut from it.');
    return { unusable: { text: withUnit({ text: unusable.trim(), ticks }, this.unit), ticks } };
  }

  price(): number | null {
    const { price } = this.draft;
    if (price.trim() !== '') return this.need('price', parseTag(price));
    this.fault('price', 'Write the price on the tag, such as 3.98.');
    return null;
  }

  weight(): PackWeight | null {
    const { kind, packBy } = this.draft;
    if (kind !== 'hardware' || packBy === 'count') return null;
    const amount = this.need('weight', parseDecimal(this.draft.weight));
    const pieces = this.need('perWeight', parseDecimal(this.draft.perWeight));
    if (amount === 0) this.fault('weight', 'It must weigh more than nothing.');
    if (pieces === 0) this.fault('perWeight', 'It must be more than nothing.');
    return amount && pieces ? { amount, unit: packBy, pieces } : null;
  }

  pack(weight: PackWeight | null): number {
    if (weight) return piecesByWeight(weight);
    const { kind, packBy } = this.draft;
    return kind === 'hardware' && packBy !== 'count' ? 1 : (this.count('pack') ?? 1);
  }

  rough(): Rough | null {
    const { kind, finish } = this.draft;
    if (kind !== 'board' || finish !== 'rough') return null;
    const planing = this.need('planing', parseLength(this.draft.planing, this.unit));
    const share = this.draft.waste.trim();
    const waste = share === '' ? 0 : this.need('waste', parseDecimal(share.replace('%', '')));
    if (planing === null || waste === null) return null;
    const text = withUnit({ text: this.draft.planing.trim(), ticks: planing }, this.unit);
    return { planing: { text, ticks: planing }, waste: waste / 100 };
  }

  available(): number | null {
    const text = this.draft.available.trim();
    if (text === '') return null;
    return text === '0' ? 0 : this.count('available');
  }

  date(today: string): string | null {
    const text = this.draft.date.trim();
    if (text === '') return this.draft.id === null ? today : null;
    if (!isDay(text)) this.fault('date', `"${text}" is not a date; write it as 2026-05-31.`);
    return text;
  }

  private need<T>(place: keyof PriceDraft, result: Result<T>): T | null {
    if (result.ok) return result.value;
    this.fault(place, result.problems[0]?.sentence ?? '');
    return null;
  }

  private length(place: 'length' | 'width'): Measure | null {
    const ticks = this.need(place, parseLength(this.draft[place], this.unit));
    if (ticks === 0) this.fault(place, 'It must be more than nothing.');
    if (ticks === null) return null;
    return { text: withUnit({ text: this.draft[place].trim(), ticks }, this.unit), ticks };
  }
}

/** What is usual for rough wood, where nothing is told yet: two passes of the planer, and a quarter lost (rules of thumb). */
export const roughFor = (
  { planing, waste }: PriceDraft,
  unit: LengthUnit,
): Pick<PriceDraft, 'planing' | 'waste'> => ({
  planing: planing === '' ? (unit === 'in' ? '1/4in' : '5mm') : planing,
  waste: waste === '' ? '25' : waste,
});
