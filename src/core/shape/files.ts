import { TICKS_PER_MM } from '../units';
import { arcOf, sidesOf } from './geometry';
import type { Shape } from './types';

const mm = (ticks: number): number => Number((ticks / TICKS_PER_MM).toFixed(4));

/** Text as it stands in XML. */
const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** The outline as the path of an SVG in millimetres, arcs as arcs; `high`: what y counts down from, in ticks. */
export const pathOf = ({ outline }: Shape, high: number): string => {
  const at = ({ x, y }: { x: number; y: number }) => `${mm(x)} ${mm(high - y)}`;
  const [first] = outline;
  const steps = sidesOf(outline).map(([from, to]) => {
    const arc = arcOf(from, to);
    if (!arc) return `L${at(to)}`;
    const isLarge = Math.abs(arc.angle) > Math.PI ? 1 : 0;
    return `A${mm(arc.radius)} ${mm(arc.radius)} 0 ${isLarge} ${arc.angle > 0 ? 0 : 1} ${at(to)}`;
  });
  return first ? `M${at(first)}${steps.join('')}Z` : '';
};

/** How far a shape reaches along and across, in ticks. */
const reachOf = ({ outline }: Shape): { along: number; across: number } => ({
  along: Math.max(...outline.map(({ x }) => x)),
  across: Math.max(...outline.map(({ y }) => y)),
});

/** A shape as an SVG file: one unit is a millimetre, its lower left corner at the lower left. */
export const shapeSvg = (shape: Shape, name: string): string => {
  const { along, across } = reachOf(shape);
  const [wide, high] = [mm(along), mm(across)];
  const holes = shape.holes.map(
    ({ x, y, diameter }) => `<circle cx="${mm(x)}" cy="${mm(across - y)}" r="${mm(diameter / 2)}"/>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" height="${high}mm" viewBox="0 0 ${wide} ${high}" fill="none" stroke="#000000" stroke-width="0.2">`,
    `<title>${escaped(name)}</title>`,
    `<path d="${pathOf(shape, across)}"/>`,
    ...holes,
    '</svg>',
    '',
  ].join('\n');
};

/** A shape as a DXF file of release 12, in millimetres: a closed polyline with its arcs, and circles. */
export const shapeDxf = ({ outline, holes }: Shape): string => {
  const pair = (code: number, value: number | string): string => `${code}\n${value}`;
  const layer = pair(8, 'OUTLINE');
  return [
    ...[pair(0, 'SECTION'), pair(2, 'HEADER'), pair(9, '$ACADVER'), pair(1, 'AC1009')],
    ...[pair(9, '$INSUNITS'), pair(70, 4), pair(0, 'ENDSEC')],
    ...[pair(0, 'SECTION'), pair(2, 'ENTITIES')],
    ...[pair(0, 'POLYLINE'), layer, pair(66, 1), pair(70, 1)],
    ...outline.flatMap(({ x, y, bulge }) => [
      ...[pair(0, 'VERTEX'), layer, pair(10, mm(x)), pair(20, mm(y))],
      ...(bulge === 0 ? [] : [pair(42, bulge)]),
    ]),
    ...[pair(0, 'SEQEND'), layer],
    ...holes.flatMap(({ x, y, diameter }) => [
      ...[pair(0, 'CIRCLE'), pair(8, 'HOLES')],
      ...[pair(10, mm(x)), pair(20, mm(y)), pair(40, mm(diameter / 2))],
    ]),
    ...[pair(0, 'ENDSEC'), pair(0, 'EOF')],
    '',
  ].join('\n');
};

/** Sheets of paper in millimetres. */
const PAPERS = { A4: [210, 297], Letter: [215.9, 279.4] } as const;
/** What printers leave white, and how far two pages lie over each other. */
const MARGIN = 12;
const OVERLAP = 10;
/** The line to be measured on paper. */
const CHECK = 100;

/** One page of a template: from where in the shape it shows, in millimetres from the upper left. */
interface Page {
  row: number;
  column: number;
  x: number;
  y: number;
}

/**
 * A template to print at its true size: a page of HTML with one drawing for each sheet of paper, that lie over each other by marks, and
 * on each a line that must measure 100 mm. Upright or across, as it takes fewer sheets.
 */
export const templateHtml = (shape: Shape, name: string, paper: keyof typeof PAPERS): string => {
  const { along, across } = reachOf(shape);
  const [short, long] = PAPERS[paper];
  const ways = [
    { paper: [short, long] as const, turn: 'portrait' },
    { paper: [long, short] as const, turn: 'landscape' },
  ].map((way) => ({ ...way, pages: pagesOf(mm(along), mm(across), way.paper) }));
  const [upright, turned] = ways;
  const best = upright && turned && turned.pages.length < upright.pages.length ? turned : upright;
  if (!best) return '';
  const drawn = best.pages.map((page) => pageOf(shape, name, page, best.pages.length, best.paper));
  return [
    '<!doctype html>',
    `<html lang="en"><head><meta charset="utf-8"><title>${escaped(name)}, template</title>`,
    `<style>@page { size: ${paper} ${best.turn}; margin: 0; } body { margin: 0; font-family: sans-serif; } svg { display: block; break-after: page; }</style>`,
    `</head><body>`,
    ...drawn,
    '</body></html>',
    '',
  ].join('\n');
};

const pagesOf = (along: number, across: number, paper: readonly [number, number]): Page[] => {
  const [wide, high] = roomOn(paper);
  const count = (size: number, room: number) =>
    Math.max(1, Math.ceil((size - OVERLAP) / (room - OVERLAP) - 1e-6));
  const [columns, rows] = [count(along, wide), count(across, high)];
  return Array.from({ length: rows * columns }, (_, index) => {
    const [row, column] = [Math.floor(index / columns), index % columns];
    return { row, column, x: column * (wide - OVERLAP), y: row * (high - OVERLAP) };
  });
};

/** What of a sheet is drawn on: below it is room for the check line. */
const roomOn = ([wide, high]: readonly [number, number]): [number, number] => [
  wide - 2 * MARGIN,
  high - 2 * MARGIN - 10,
];

const pageOf = (
  shape: Shape,
  name: string,
  { row, column, x, y }: Page,
  of: number,
  paper: readonly [number, number],
): string => {
  const [wide, high] = roomOn(paper);
  const { across } = reachOf(shape);
  const id = `page-${row + 1}-${column + 1}`;
  const [right, bottom] = [MARGIN + wide, MARGIN + high];
  const cross = (cx: number, cy: number) => `M${cx - 4} ${cy}H${cx + 4}M${cx} ${cy - 4}V${cy + 4}`;
  // Where the next sheet begins, and where this one lies under the one before.
  const marks = [MARGIN + OVERLAP / 2, right - OVERLAP / 2].flatMap((cx) =>
    [MARGIN + OVERLAP / 2, bottom - OVERLAP / 2].map((cy) => cross(cx, cy)),
  );
  const holes = shape.holes.map(
    ({ x: cx, y: cy, diameter }) =>
      `<circle cx="${mm(cx)}" cy="${mm(across - cy)}" r="${mm(diameter / 2)}"/><path d="${cross(mm(cx), mm(across - cy))}"/>`,
  );
  const line = paper[1] - MARGIN;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${paper[0]}mm" height="${paper[1] - 0.1}mm" viewBox="0 0 ${paper[0]} ${paper[1] - 0.1}" fill="none" stroke="#000000" stroke-width="0.3">`,
    `<clipPath id="${id}"><rect x="${MARGIN}" y="${MARGIN}" width="${wide}" height="${high}"/></clipPath>`,
    `<rect x="${MARGIN}" y="${MARGIN}" width="${wide}" height="${high}" stroke-width="0.1" stroke-dasharray="2 2"/>`,
    `<g clip-path="url(#${id})"><g transform="translate(${MARGIN - x} ${MARGIN - y})"><path d="${pathOf(shape, across)}"/>${holes.join('')}</g></g>`,
    `<path d="${marks.join('')}" stroke-width="0.15"/>`,
    `<path id="check-${row + 1}-${column + 1}" d="M${MARGIN} ${line}h${CHECK}M${MARGIN} ${line - 2}v4M${MARGIN + CHECK} ${line - 2}v4"/>`,
    `<g fill="#000000" stroke="none" font-size="3.4"><text x="${MARGIN + CHECK + 4}" y="${line + 1}">100 mm: print at 100 %, and measure.</text>`,
    `<text x="${MARGIN}" y="${line - 4}">${escaped(name)}${of > 1 ? `, row ${row + 1}, column ${column + 1} of ${of} sheets; lay the crosses over each other` : ''}</text></g>`,
    '</svg>',
  ].join('\n');
};
