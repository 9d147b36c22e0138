import {
  againstTargets,
  typedPriceLines,
  byCategory,
  costsOf,
  eachOf,
  explainTotal,
  type Explanation,
  inThePiece,
  inThePieceOfAll,
  ledgerOf,
  paidFor,
  paidInAll,
  projectMoney,
  toolsToBuy,
} from '../budget';
import { capital } from '../capital';
import { formatDay, formatLength, formatMoney, writeMoney, type Minor } from '../units';
import { shownPlan, type Plan } from '../plan';
import { resolve, type Book, type Project, type ResolvedPart } from '../project';
import { REPORT_STYLE } from './reportStyle';
import { writeTable } from './table';

/** One line of a report. */
export interface ReportRow {
  what: string;
  quantity: string;
  detail: string;
  /** Null: there is none to tell. */
  sum: Minor | null;
  isSum?: boolean;
}

/** A project on one page: what it is made of, what is to buy, what was paid, what it costs, how that stands to the target. */
export interface Report {
  title: string;
  date: string;
  currency: string;
  sections: { title: string; columns: [string, string, string, string]; rows: ReportRow[] }[];
}

/** The report of a project as it stands. */
export const reportOf = (project: Project, book: Book, plan: Plan | null, date: string): Report => {
  const shown = shownPlan(plan);
  const sections = [
    target(project, book, plan),
    parts(project, book, shown),
    toBuy(project, book, shown),
    paid(project),
    costs(project, book, plan),
    whereFrom(project, book, plan),
  ];
  return {
    title: project.name,
    date,
    currency: project.currency,
    sections: sections.filter(({ rows }) => rows.length > 0),
  };
};

type Section = Report['sections'][number];

/** Every sum with its parts beneath it, down to tags and receipts. */
const whereFrom = (project: Project, book: Book, plan: Plan | null): Section => {
  const rows = (of: Explanation, depth: number): ReportRow[] => [
    row(`${'– '.repeat(depth)}${of.label}`, '', of.note, of.sum, depth === 0),
    ...of.parts.flatMap((part) => rows(part, depth + 1)),
  ];
  return {
    title: 'Where it comes from',
    columns: ['', '', 'How', 'Sum'],
    rows: rows(explainTotal(project, book, plan), 0),
  };
};

const row = (
  what: string,
  quantity: string | number,
  detail: string,
  sum: Minor | null,
  isSum = false,
): ReportRow => ({
  what,
  quantity: String(quantity),
  detail,
  sum,
  ...(isSum ? { isSum } : {}),
});

const target = (project: Project, book: Book, plan: Plan | null): Section => {
  const money = projectMoney(project, book, plan);
  const rows = againstTargets(project, byCategory(ledgerOf(project), plan, typedPriceLines(project, book)));
  const said = (sum: Minor) => formatMoney(sum, project.currency);
  return {
    title: 'Money',
    columns: ['', '', '', 'Sum'],
    rows: [
      ...rows.map(({ category, spent, toBuy: open, target: own }) =>
        row(
          capital(category),
          '',
          [`${said(spent)} spent, ${said(open)} to buy`, own === null ? '' : `target ${said(own)}`]
            .filter(Boolean)
            .join(', '),
          spent + open,
        ),
      ),
      row('Spent', '', '', money.spent),
      row('To buy', '', money.complete ? '' : 'so far: something has no price yet', money.toBuy),
      ...(money.reserve > 0 ? [row('Held back', '', 'of what is still to buy', money.reserve)] : []),
      row(
        'When it is done',
        '',
        project.budget?.date ? `by ${formatDay(project.budget.date)}` : '',
        money.forecast,
        true,
      ),
      ...(money.target === null || money.left === null
        ? []
        : [
            row('Target', '', '', money.target),
            row(money.left < 0 ? 'Over target' : 'Left', '', '', Math.abs(money.left), true),
          ]),
    ],
  };
};

const parts = (project: Project, book: Book, plan: Plan | null): Section => {
  const costOf = plan ? inThePiece(project, plan, book) : {};
  const made = resolve(project, book.materials).parts;
  return {
    title: 'Parts',
    columns: ['Part', 'How many', 'Size and material', 'In the piece'],
    rows: made.map((part) => row(part.name, part.count, sizeOf(part, project), costOf[part.id] ?? null)),
  };
};

const sizeOf = (part: ResolvedPart, { unit }: Project): string => {
  if (part.kind === 'hardware') return part.item === part.name ? '' : part.item;
  const length = formatLength(part.length, unit);
  const size = part.kind === 'sheet' ? `${length} x ${formatLength(part.width, unit)}` : length;
  return [part.section?.name ?? '', size, part.materials.join(' or ')].filter(Boolean).join(', ');
};

const toBuy = (project: Project, book: Book, plan: Plan | null): Section => {
  const buys = (plan?.buys ?? []).map((buy) =>
    row(
      buy.item,
      buy.qty,
      [buy.store, buy.pack > 1 ? `packs of ${buy.pack}` : ''].filter(Boolean).join(', '),
      buy.costWithTax,
    ),
  );
  const beside = typedPriceLines(project, book).map(({ item, quantity, costWithTax: sum }) =>
    row(item, quantity, 'anywhere', sum),
  );
  const extras = (plan?.stores ?? []).flatMap(({ store, trip, shipping }) =>
    trip + shipping > 0 ? [row(trip > 0 ? 'Trip' : 'Shipping', '', store, trip + shipping)] : [],
  );
  const due = plan?.committedShipping ?? 0;
  const shipping = due > 0 ? [row('Shipping of what was ordered', '', '', due)] : [];
  const rows = [...buys, ...beside, ...extras, ...shipping];
  const sum = rows.reduce((all, one) => all + (one.sum ?? 0), 0);
  return {
    title: 'To buy',
    columns: ['Item', 'How many', 'Where', 'With tax'],
    rows: rows.length > 0 ? [...rows, row('To buy in all', '', '', sum, true)] : [],
  };
};

const paid = (project: Project): Section => {
  const entries = ledgerOf(project);
  const rows = [...entries]
    .reverse()
    .map((entry) =>
      row(entry.item, entry.quantity, `${formatDay(entry.date)}, ${entry.store}`, paidFor(entry)),
    );
  const sum = paidInAll(entries);
  return {
    title: 'Paid',
    columns: ['Item', 'How many', 'When and where', 'With tax'],
    rows: rows.length > 0 ? [...rows, row('Paid in all', '', '', sum, true)] : [],
  };
};

const costs = (project: Project, book: Book, plan: Plan | null): Section => {
  const shown = shownPlan(plan);
  const inPiece = shown ? inThePieceOfAll(project, shown, book) : 0;
  const found = costsOf(project, {
    inPiece,
    atTill: projectMoney(project, book, plan).total,
    toolsToBuy: toolsToBuy(project, book, plan),
  });
  const { builds } = project;
  const each = builds > 1 ? `each of ${builds}` : '';
  const tools = found.tools.reduce((sum, { counted }) => sum + counted, 0);
  const counted = [
    ['tools', tools],
    ['travel', found.travel],
    ['power', found.power],
    ['hours', found.labour],
    ['beside', found.otherCosts],
  ] as const;
  const made = counted
    .filter(([, sum]) => sum > 0)
    .map(([name, sum]) => `${name} ${formatMoney(sum, project.currency)}`);
  return {
    title: 'What it costs',
    columns: ['', '', each, 'Sum'],
    rows: [
      row('In the piece', '', 'what it uses up', eachOf(found.inPiece, project)),
      row('At the till', '', 'whole boards, boxes and cans, tax and trips', eachOf(found.atTill, project)),
      row(
        'All in',
        '',
        made.length > 0 ? `with ${made.join(', ')}` : 'nothing beside the till is told',
        eachOf(found.allIn, project),
        true,
      ),
    ],
  };
};

/** A report as CSV: a line for each row, the section in front; sums in main units. */
export const reportCsv = ({ sections, currency }: Report): string =>
  writeTable(
    ['section', 'what', 'quantity', 'detail', 'sum'],
    sections.flatMap(({ title, rows }) =>
      rows.map(({ what, quantity, detail, sum }) => ({
        section: title,
        what,
        quantity,
        detail,
        sum: sum === null ? '' : writeMoney(sum, currency),
      })),
    ),
  );

/** A report as a page of HTML, complete in itself, that fits a sheet of paper where the project is not large. */
export const reportHtml = ({ title, date, currency, sections }: Report): string => {
  const money = (sum: Minor | null) => (sum === null ? '' : formatMoney(sum, currency));
  const cells = (tag: 'td' | 'th', texts: string[]) =>
    texts
      .map((text, index) => {
        // A heading of nothing is none.
        const own = text === '' ? 'td' : tag;
        return `<${own}${index % 2 === 1 ? ' class="number"' : ''}>${plain(text)}</${own}>`;
      })
      .join('');
  const body = sections.map(
    ({ title: name, columns, rows }) =>
      `<section><h2>${plain(name)}</h2><table><thead><tr>${cells('th', columns)}</tr></thead><tbody>${rows
        .map(
          (line) =>
            `<tr${line.isSum ? ' class="sum"' : ''}>${cells('td', [line.what, line.quantity, line.detail, money(line.sum)])}</tr>`,
        )
        .join('')}</tbody></table></section>`,
  );
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${plain(title)}</title><style>${REPORT_STYLE}</style></head><body><header><h1>${plain(title)}</h1><span>${plain(formatDay(date))}</span></header><main aria-label="${plain(title)}">${body.join('')}</main></body></html>`;
};

/** Text without what HTML would read as its own. */
const plain = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
