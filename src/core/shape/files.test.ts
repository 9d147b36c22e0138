import DxfParser from 'dxf-parser';
import { svgPathProperties } from 'svg-path-properties';
import fc from 'fast-check';
import { fromMm } from '../units';
import { SQUARE } from '../lumber';
import { areaOf, edgeOf, shapeOf, type Operation, type Shape } from '.';
import { shapeDxf, shapeSvg, templateHtml } from './files';

const op = (
  kind: Operation['kind'],
  place: Operation['place'],
  along: number,
  across: number,
  from = 0,
): Operation => ({
  kind,
  place,
  along: fromMm(along),
  across: fromMm(across),
  from: fromMm(from),
});

/** Any part with some of what can be done to it; those that cannot be are left out. */
const shapes = fc
  .record({
    length: fc.integer({ min: 150, max: 900 }),
    width: fc.integer({ min: 60, max: 250 }),
    share: fc.double({ min: 0.1, max: 0.4, noNaN: true }),
    kinds: fc.subarray([0, 1, 2, 3, 4], { minLength: 1 }),
  })
  .map(({ length, width, share, kinds }): Shape | null => {
    const short = Math.min(length, width) * share;
    const all = [
      op('clip', 'bottom left', short, short / 2),
      op('round', 'top right', short, 0),
      op('notch', 'bottom', short, short / 2, length / 2),
      op('curve', 'top', 0, short / 3),
      op('hole', 'inside', short / 2, width / 2, length / 2),
    ];
    // The edge is curved before its corners are cut.
    const chosen = kinds.map((kind) => all[kind]).filter((one) => one !== undefined);
    const made = shapeOf({ length: fromMm(length), width: fromMm(width), ends: SQUARE }, chosen, 'mm');
    return made.ok ? made.value : null;
  });

const outlineOnly = (shape: Shape): Shape => ({ ...shape, holes: [] });

test('an SVG of a shape, read by another reader, is as long round as the shape, in millimetres', () => {
  fc.assert(
    fc.property(shapes, (shape) => {
      if (!shape) return;
      const svg = shapeSvg(shape, 'A & "B"');
      const path = / d="([^"]+)"/.exec(svg)?.[1] ?? '';
      expect(new svgPathProperties(path).getTotalLength()).toBeCloseTo(edgeOf(outlineOnly(shape)) / 320, 1);
      expect(svg.match(/<circle/g) ?? []).toHaveLength(shape.holes.length);
      expect(svg).toContain('<title>A &#38; &#34;B&#34;</title>');
    }),
    { numRuns: 60 },
  );
});

test('a DXF of a shape, read by another reader, has the same outline, arcs and holes', () => {
  fc.assert(
    fc.property(shapes, (shape) => {
      if (!shape) return;
      const read = new DxfParser().parseSync(shapeDxf(shape));
      const entities = read?.entities ?? [];
      const outline = entities.find(({ type }) => type === 'POLYLINE') as unknown as {
        shape: boolean;
        vertices: { x: number; y: number; bulge?: number }[];
      };
      expect(outline.shape).toBe(true);
      const again: Shape = {
        outline: outline.vertices.map(({ x, y, bulge = 0 }) => ({ x: fromMm(x), y: fromMm(y), bulge })),
        holes: entities
          .filter(({ type }) => type === 'CIRCLE')
          .map((entity) => entity as unknown as { center: { x: number; y: number }; radius: number })
          .map(({ center, radius }) => ({
            x: fromMm(center.x),
            y: fromMm(center.y),
            diameter: fromMm(2 * radius),
          })),
      };
      expect(areaOf(again) / areaOf(shape)).toBeCloseTo(1, 5);
      expect(edgeOf(again) / edgeOf(shape)).toBeCloseTo(1, 5);
      expect(again.holes).toHaveLength(shape.holes.length);
    }),
    { numRuns: 60 },
  );
});

test('a template shows all of its shape on sheets that lie over each other', () => {
  const made = shapeOf(
    { length: fromMm(900), width: fromMm(140), ends: SQUARE },
    [op('taper', 'top right', 0, 40, 200)],
    'mm',
  );
  const html = made.ok ? templateHtml(made.value, 'Leg', 'A4') : '';
  const sheets = html.match(/<svg /g) ?? [];
  // A4 across has 273 mm, less 10 that lie over each other: 900 mm are four sheets; upright they would be five or more.
  expect([sheets.length, /landscape/.test(html)]).toEqual([4, true]);
  const begins = [...html.matchAll(/translate\((-?[\d.]+) (-?[\d.]+)\)/g)].map(([, x]) => 12 - Number(x));
  expect(begins).toEqual([0, 263, 526, 789]);
  expect(html.match(/h100M/g)).toHaveLength(4);
});

test('a small shape is one sheet', () => {
  const made = shapeOf(
    { length: fromMm(150), width: fromMm(90), ends: SQUARE },
    [op('round', 'top right', 20, 0)],
    'mm',
  );
  expect((made.ok ? templateHtml(made.value, 'Foot', 'Letter') : '').match(/<svg /g)).toHaveLength(1);
});
