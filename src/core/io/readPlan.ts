import { fromMain, fromMm, MICROS } from '../units';
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
  const isNumber = (value: unknown): boolean => typeof value === 'number' && Number.isFinite(value);
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
          piece.outline.every((corner) => isPoint(corner, isNumber)),
      );
    need(areRight, `${place}.pieces`, 'are not pieces with their outlines');
    const { storeCuts } = layout as Partial<JsonLayout>;
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
    })),
  };
};

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

const isPoint = (value: unknown, isNumber: (one: unknown) => boolean): boolean =>
  Array.isArray(value) && value.length === 2 && value.every(isNumber);
