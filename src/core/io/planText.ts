import { formatLength, formatMoney, formatTag, type LengthUnit } from '../units';
import {
  facesText,
  finishedCount,
  proofTerms,
  sidesOf,
  usefulOffcuts,
  type Layout,
  type Piece,
  type Plan,
} from '../plan';

/** A plan as text that a person can take to the store: what to buy where, and every board with its cuts. */
export const planText = (plan: Plan, unit: LengthUnit): string => {
  const money = (minor: number) => formatMoney(minor, plan.currency);
  const length = (ticks: number) => formatLength(ticks, unit);
  const lines: string[] = [];
  if (plan.status === 'infeasible') {
    lines.push('No plan is possible:');
    for (const { sentence } of plan.problems) lines.push(`  ${sentence}`);
    return `${lines.join('\n')}\n`;
  }
  lines.push(`${money(plan.total)} in all: ${statusWords(plan, money)}`);
  for (const store of plan.stores) {
    const extras = [
      store.tax > 0 ? `tax ${money(store.tax)}` : '',
      store.trip > 0 ? `trip ${money(store.trip)}` : '',
      store.shipping > 0 ? `shipping ${money(store.shipping)}` : '',
    ].filter(Boolean);
    lines.push('', `${store.store}: goods ${[money(store.goods), ...extras].join(', ')}`);
    for (const buy of plan.buys.filter(({ storeId }) => storeId === store.storeId)) {
      const pack = buy.pack > 1 ? ` (packs of ${buy.pack})` : '';
      const spare = buy.spare > 0 && buy.kind !== 'hardware' ? `, ${buy.spare} of them spare` : '';
      lines.push(`  ${buy.qty} x ${buy.item}${pack} at ${formatTag(buy.unitPrice, plan.currency)}${spare}`);
    }
  }
  if (plan.sawing > 0) lines.push('', `Sawing at the store: ${money(plan.sawing)}`);
  if (plan.layouts.length > 0) lines.push('', 'Cut:');
  for (const layout of plan.layouts) {
    lines.push(
      `  ${layout.count} x ${named(layout)} ${length(layout.length)}${layout.kind === 'sheet' ? ` x ${length(layout.width)}` : ''}`,
    );
    for (const { kind, at, on } of layout.storeCuts)
      lines.push(`    at the store: ${kind} at ${length(at)}${on ? ` of ${on}` : ''}`);
    const size = (along: number, across: number): string => facesText(layout, along, across, unit);
    lines.push(...layout.pieces.map((piece) => pieceText(piece, size)));
    const left = usefulOffcuts(layout.offcuts).map((offcut) => size(offcut.length, offcut.width));
    if (left.length > 0) lines.push(`    left: ${left.join(', ')}`);
  }
  for (const { part, group, by, count } of plan.short)
    lines.push(
      '',
      `${count} x ${part} (${group}) may come out ${length(by)} short: measure the board before the first cut.`,
    );
  return `${lines.join('\n')}\n`;
};

const pieceText = (piece: Piece, size: (along: number, across: number) => string): string => {
  const { along, across } = sidesOf(piece.outline);
  const number = finishedCount(piece);
  const two = number > 1 ? `, ${number} head to tail` : '';
  return `    ${size(along, across)}  ${piece.part} (${piece.group})${two}`;
};

const statusWords = (plan: Plan, money: (minor: number) => string): string =>
  plan.status === 'proved'
    ? ['proved cheapest', ...proofTerms(plan).map((term) => `among plans ${term}`)].join(', ')
    : `at most ${money(plan.total - plan.lowerBound)} above the best possible`;

const named = ({ source, section, material, sawn }: Layout): string =>
  'owned' in source
    ? `${sawn ? 'sawn' : 'owned'} ${source.owned || `${section} ${material}`}`
    : `${source.item} (${source.store})`;
