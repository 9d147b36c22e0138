import { fromMain, fromMm, MICROS, TICKS_PER_MM } from '../units';
import type { LayoutToCheck } from '../cutting/verify';
import type { PlanToCheck } from '../plan';
import type { Problem, Result } from '../result';
import type { JsonBuy, JsonLayout, JsonPlan } from './planJson';

const STATUSES = ['proved', 'bounded', 'infeasible'];

/** Reads the text of a plan.json, for the checker. Problems: places in it that are not of the format. */
export const readPlan = (text: string, file: string): Result<PlanToCheck> => {
  let json: Partial<JsonPlan>;
  try {
    json = JSON.parse(text) as Partial<JsonPlan>;
  } catch (error) {
    return {
      ok: false,
      problems: [{ code: 'plan', place: file, sentence: `this is not JSON: ${(error as Error).message}` }],
    };
  }
  const problems: Problem[] = [];
  const need = (isRight: boolean, place: string, sentence: string): void => {
    if (!isRight) problems.push({ code: 'plan', place: `${file}: ${place}`, sentence });
  };
  const isText = (value: unknown): boolean => typeof value === 'string';
  if (!isObject(json) || Array.isArray(json))
    return { ok: false, problems: [{ code: 'plan', place: file, sentence: 'this is no plan' }] };
  need(STATUSES.includes(json.status ?? ''), 'status', `is none of ${STATUSES.join(', ')}`);
  need(isText(json.currency), 'currency', 'is missing');
  for (const sum of ['total', 'lowerBound', 'goods', 'tax', 'trips', 'shipping'] as const)
    need(isNumber(json[sum]), sum, 'is not a number');
  need(Array.isArray(json.buys), 'buys', 'is not a list');
  need(Array.isArray(json.layouts), 'layouts', 'is not a list');
  need(json.sawing === undefined || isNumber(json.sawing), 'sawing', 'is not a number');
  for (const list of ['buys', 'layouts'] as const)
    if (Array.isArray(json[list]))
      json[list].forEach((one: unknown, index) => need(isObject(one), `${list}[${index}]`, 'is no object'));
  if (problems.length > 0) return { ok: false, problems };
  const plan = json as JsonPlan;
  plan.buys.forEach((buy, index) => {
    for (const field of ['store', 'item', 'kind', 'section', 'material'] as const)
      need(isText(buy[field]), `buys[${index}].${field}`, 'is not a text');
    for (const field of ['length', 'pack', 'qty', 'unitPrice', 'cost'] as const)
      need(isNumber(buy[field]), `buys[${index}].${field}`, 'is not a number');
    const { width, spare } = buy as { width?: unknown; spare?: unknown };
    need(width === undefined || width === null || isNumber(width), `buys[${index}].width`, 'is not a number');
    need(spare === undefined || isNumber(spare), `buys[${index}].spare`, 'is not a number');
  });
  plan.layouts.forEach((layout, index) => {
    const place = `layouts[${index}]`;
    for (const field of ['count', 'length', 'width'] as const)
      need(isNumber(layout[field]), `${place}.${field}`, 'is not a number');
    const source: unknown = layout.source;
    const isSource =
      isObject(source) &&
      ('owned' in source
        ? isText(source.owned)
        : 'store' in source && 'item' in source && isText(source.store) && isText(source.item));
    need(isSource, `${place}.source`, 'is neither a purchase nor owned');
    const isNamed = [layout.material, layout.section, layout.kind].every(isText);
    need(isNamed, place, 'lacks its kind, section or material');
    const areRight =
      Array.isArray(layout.pieces) &&
      layout.pieces.every(
        (piece) =>
          isObject(piece) &&
          isText(piece.part) &&
          isText(piece.group) &&
          Array.isArray(piece.outline) &&
          piece.outline.every(isPoint),
      );
    need(areRight, `${place}.pieces`, 'are not pieces with their outlines');
    const { storeCuts, offcuts, sequence, leaves } = layout as Partial<JsonLayout>;
    need(offcuts === undefined || isList(offcuts, isRectangle), `${place}.offcuts`, 'are not rectangles');
    need(sequence === undefined || isList(sequence, isSawCut), `${place}.sequence`, 'is no list of cuts');
    need(
      sequence === undefined || (isObject(leaves) && Object.values(leaves).every(isRemainder)),
      `${place}.leaves`,
      'do not say what the sequence leaves',
    );
    const { sawn } = layout as Partial<JsonLayout>;
    need(sawn === undefined || (isObject(sawn) && isText(sawn.id)), `${place}.sawn`, 'names no board');
    const areTexts = storeCuts === undefined || (Array.isArray(storeCuts) && storeCuts.every(isText));
    need(areTexts, `${place}.storeCuts`, 'are not texts');
  });
  return problems.length > 0 ? { ok: false, problems } : { ok: true, value: inTicks(plan) };
};

const CUT = /^(crosscut|rip) at ([\d.]+)$/;

const inTicks = (plan: JsonPlan): PlanToCheck => {
  const money = (main: number) => fromMain(main, plan.currency);
  return {
    status: plan.status,
    total: money(plan.total),
    lowerBound: money(plan.lowerBound),
    goods: money(plan.goods),
    tax: money(plan.tax),
    trips: money(plan.trips),
    shipping: money(plan.shipping),
    sawing: money(plan.sawing ?? 0),
    buys: plan.buys.map((buy) => ({
      ...buy,
      length: fromMm(buy.length),
      width: fromMm(buy.width ?? 0),
      unitPrice: Math.round(buy.unitPrice * MICROS),
      cost: Math.round(buy.cost * MICROS),
      spare: (buy as Partial<JsonBuy>).spare ?? 0,
    })),
    layouts: plan.layouts.map((layout) => ({
      ...layout,
      length: fromMm(layout.length),
      width: fromMm(layout.width),
      pieces: layout.pieces.map(({ part, group, outline }) => ({
        part,
        group,
        outline: outline.map(([x, y]): [number, number] => [fromMm(x), fromMm(y)]),
      })),
      storeCuts: ((layout as Partial<JsonLayout>).storeCuts ?? []).flatMap((text) => {
        const [, kind, at] = CUT.exec(text) ?? [];
        return kind ? [{ kind: kind as 'crosscut' | 'rip', at: fromMm(Number(at)) }] : [];
      }),
      ...sawnInTicks(layout),
    })),
  };
};

/** What the saw does and leaves, where it is told; lines as they are, for a slant may fall between two ticks. */
const sawnInTicks = ({
  offcuts = [],
  sequence,
  leaves = {},
}: Partial<JsonLayout>): {
  offcuts: LayoutToCheck['offcuts'];
  sequence: LayoutToCheck['sequence'];
} => ({
  offcuts: offcuts.map(({ x, y, length, width }) => ({
    x: fromMm(x),
    y: fromMm(y),
    length: fromMm(length),
    width: fromMm(width),
  })),
  sequence: sequence && {
    cuts: sequence.map(({ from, kind, line: [near, far], to, store }) => ({
      from,
      kind,
      line: [pointInTicks(near), pointInTicks(far)],
      to,
      store,
    })),
    leaves,
  },
});

const pointInTicks = ([x, y]: [number, number]): [number, number] => [x * TICKS_PER_MM, y * TICKS_PER_MM];

const isList = (value: unknown, test: (one: unknown) => boolean): boolean =>
  Array.isArray(value) && value.every(test);

const isNumber = (value: unknown): boolean => typeof value === 'number' && Number.isFinite(value);

const isRectangle = (value: unknown): boolean =>
  isObject(value) &&
  ['x', 'y', 'length', 'width'].every((key) => isNumber((value as Record<string, unknown>)[key]));

const isId = (value: unknown): boolean => Number.isInteger(value) && (value as number) >= 0;

const isRemainder = (value: unknown): boolean => value === 'offcut' || value === 'waste' || isId(value);

const isSawCut = (value: unknown): boolean => {
  if (!isObject(value)) return false;
  const { from, kind, line, to, store } = value as Record<string, unknown>;
  return (
    isId(from) &&
    (kind === 'crosscut' || kind === 'rip') &&
    isList(line, isPoint) &&
    (line as unknown[]).length === 2 &&
    isList(to, (id) => id === null || isId(id)) &&
    (to as unknown[]).length === 2 &&
    (store === undefined || typeof store === 'boolean')
  );
};

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

const isPoint = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every(isNumber);
