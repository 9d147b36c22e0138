import fc from 'fast-check';
import { flatten, placesOf, type OperationKind } from '../shape';
import { SQUARE } from '../lumber';
import { must } from '../testing';
import { parseLength, writeLength } from '../units';
import { apply, type Command } from './commands';
import { emptyGroup, emptyPart, emptyProject, measure } from './defaults';
import { resolve } from './resolve';
import { shapingAt, parseShape, shapeWords, takeShape, writeShape } from './shapeText';
import { faceOf, mirroredShape } from './shaping';
import type { Part, Project, Shaping } from './types';

const measured = (ticks: number) => ({ text: writeLength(ticks, 'mm'), ticks });

const shaping = fc
  .constantFrom<OperationKind>('clip', 'taper', 'notch', 'round', 'curve', 'hole')
  .chain((kind) =>
    fc
      .record({
        place: fc.constantFrom(...placesOf(kind)),
        along: fc.integer({ min: 1, max: 90_000 }),
        across: fc.integer({ min: 1, max: 90_000 }),
        from: fc.integer({ min: 1, max: 90_000 }),
      })
      .map(({ place, along, across, from }): Shaping => {
        const held = { along: measured(along), across: measured(across), from: measured(from) };
        return shapingAt(kind, place, held, measured(320));
      }),
  );

const meaning = (shape: Shaping[]) =>
  shape.map(({ kind, place, along, across, from }) => [
    kind,
    place,
    ...[along, across, from].map((measure) => measure?.ticks ?? null),
  ]);

test('what is written of a shape is read again as it was', () => {
  fc.assert(
    fc.property(fc.array(shaping, { maxLength: 5 }), fc.constantFrom('in', 'mm'), (shape, unit) => {
      const exact = shape.map((one) => ({ ...one }));
      const read = must(parseShape(writeShape(exact, unit), unit));
      expect(meaning(read)).toEqual(meaning(exact));
    }),
  );
});

test('mirrored twice is the same, and a mirror image has the same outline, the other way up', () => {
  const size = { length: 320_000, width: 60_000, ends: SQUARE };
  fc.assert(
    fc.property(fc.array(shaping, { minLength: 1, maxLength: 3 }), (shape) => {
      const part = (own: Shaping[]): Part => ({ ...emptyPart('a'), shape: own });
      const face = faceOf(part(shape), size, 'mm');
      const image = mirroredShape(shape, size.width, 'mm');
      if (!face.ok) return;
      expect(meaning(mirroredShape(image, size.width, 'mm'))).toEqual(meaning(shape));
      const corners = (own: Shaping[], flip: boolean) =>
        flatten(must(faceOf(part(own), size, 'mm')).outline)
          .map(([x, y]) => [x, flip ? size.width - y : y])
          .sort(([ax = 0, ay = 0], [bx = 0, by = 0]) => ax - bx || ay - by);
      const [own, mirrored] = [corners(shape, true), corners(image, false)];
      // Arcs are drawn in chords from their one end: each corner has one near it.
      for (const [x = 0, y = 0] of own)
        expect(mirrored.some(([u = 0, v = 0]) => Math.abs(x - u) <= 3 && Math.abs(y - v) <= 3)).toBe(true);
    }),
    { numRuns: 200 },
  );
});

test.each([
  ['corners clipped 1 1/2', 4],
  ['clipped 1 1/2 x 2 at the top left', 1],
  ['tapered to 2', 1],
  ['rounded 2 3/4 bottom right', 1],
  ['notched 3 1/2 x 3 1/2 on the bottom at 12', 1],
  ['arched 2', 1],
])('"%s" is understood', (text, count) => {
  expect(takeShape(text, 'in')?.shape).toHaveLength(count);
});

test.each(['corners clipped', 'rounded over', 'notch for the post', 'a hole for a bolt'])(
  '"%s" is no shape',
  (text) => {
    expect(takeShape(text, 'in')).toBeNull();
  },
);

test('any text at all is a shape or says that it is none, and soon', () => {
  const words = fc.constantFrom(
    'taper',
    'clip',
    'corners',
    'notch',
    'round',
    'hole',
    'at',
    'x',
    'to',
    '1',
    '1/2',
    '3 1/2in',
    'top',
    'left',
    ';',
    ',',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(words, { maxLength: 40 }).map((all) => all.join(' ')),
      ),
      (text) => {
        const read = parseShape(text, 'in');
        if (read.ok)
          expect(meaning(must(parseShape(writeShape(read.value, 'in'), 'in')))).toEqual(meaning(read.value));
        else expect(read.problems[0]?.sentence).toMatch(/is not a way to shape a part/);
      },
    ),
    { numRuns: 500 },
  );
  const began = performance.now();
  for (const one of ['1', '1 ', '1/', 'clip 1 x ', 'taper 1 to ', 'notch 1 1/2 x 1 '])
    takeShape(one.repeat(20_000), 'in');
  expect(performance.now() - began).toBeLessThan(5_000);
});

test('a text that is no shape says what one is', () => {
  const read = parseShape('cut nicely', 'in');
  expect(read.ok ? '' : read.problems[0]?.sentence).toContain('"cut nicely" is not a way to shape a part');
});

const done = (project: Project, command: Command): Project => apply(project, command, 0)?.document ?? project;

describe('in a project', () => {
  const text = (written: string) => ({ text: written, ticks: 0 });
  const part: Part = {
    ...emptyPart('p'),
    name: 'End',
    section: '2x8',
    length: { text: 'long', ticks: 0 },
    quantity: 2,
    shape: [
      { kind: 'clip', place: 'top right', along: text('end.length'), across: text('end.width'), from: null },
    ],
  };
  const group = { ...emptyGroup('g', 'o', 'Trough') };
  const project: Project = done(
    {
      ...emptyProject('x', 'Case', 'in', 'USD'),
      variables: [{ id: 'v', name: 'long', kind: 'length', formula: '10', note: '' }],
      groups: [{ ...group, options: [{ id: 'o', name: 'one', parts: [part] }] }],
    },
    { type: 'editVariable', variableId: 'v', fields: { formula: '14' } },
  );
  const faceIn = (made: Project) => resolve(made).parts[0]?.shape;

  test('a triangle follows the length of its part, and is half of its rectangle', () => {
    const half = (inches: number) => (inches * 8128 * 7.25 * 8128) / 2;
    const shortened = (long: string) =>
      done(project, { type: 'editVariable', variableId: 'v', fields: { formula: long } });
    expect(faceIn(shortened('14'))?.area).toBeCloseTo(half(14), -2);
    const longer = shortened('20');
    expect(faceIn(longer)?.area).toBeCloseTo(half(20), -2);
    const made = longer.groups[0]?.options[0]?.parts[0];
    expect(made && shapeWords(made, 7.25 * 8128, 'in')).toBe('triangle 20" x 7 1/4"');
  });

  test('a part measured on the real thing is shaped in its measured length', () => {
    const taken = done(project, {
      type: 'editPart',
      partId: 'p',
      fields: {
        shape: [{ kind: 'taper', place: 'top right', along: null, across: text('2'), from: text('5') }],
        measured: { length: { text: '18', ticks: 18 * 8128 }, where: '', cut: 1 },
      },
    });
    const lengths = resolve(taken).parts.map(({ length, shape }) => [
      length / 8128,
      Math.max(...(shape?.outline.map(([x]) => x) ?? [])) / 8128,
    ]);
    expect(lengths).toEqual([
      [14, 14],
      [18, 18],
    ]);
  });

  test('the other unit leaves a shape as long as it was', () => {
    const shape: Shaping[] = [
      {
        kind: 'notch',
        place: 'top',
        along: measure('1 1/2', 'in'),
        across: measure('1', 'in'),
        from: measure('3', 'in'),
      },
    ];
    const shaped = done(project, { type: 'editPart', partId: 'p', fields: { shape } });
    const metric = done(shaped, { type: 'editProject', fields: { unit: 'mm' } });
    const before = shaped.groups[0]?.options[0]?.parts[0]?.shape ?? [];
    const after = metric.groups[0]?.options[0]?.parts[0]?.shape ?? [];
    expect(meaning(after)).toEqual(meaning(before));
    for (const { along } of after)
      expect(parseLength(along?.text ?? '', 'mm')).toEqual({ ok: true, value: along?.ticks });
  });

  test('what is done to a part is done to its mirror image, the other way up', () => {
    const image: Part = { ...part, id: 'image', name: 'Other end', mirrorOf: 'p', shape: undefined };
    const both = done(project, { type: 'addPart', groupId: 'g', part: image, index: 1 });
    const shape: Shaping[] = [
      { kind: 'round', place: 'top left', along: measure('1', 'in'), across: null, from: null },
    ];
    const shaped = done(both, { type: 'editPart', partId: 'p', fields: { shape } });
    const imageOf = (made: Project) => made.groups[0]?.options[0]?.parts[1]?.shape;
    expect(imageOf(shaped)?.map(({ place }) => place)).toEqual(['bottom left']);
    const plain = done(shaped, { type: 'editPart', partId: 'p', fields: { shape: undefined } });
    expect(imageOf(plain)).toBeUndefined();
  });
});
