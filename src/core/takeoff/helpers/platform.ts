import { flushCount, flushGap } from '../even';
import { along, behind, box, choice, length, repeated, section, up, view } from '../shapes';
import type { Helper, MadeJoint, MadePart } from '../types';

/** A frame around a mattress or a seat, with slats, a middle rail and legs. */
export const platform: Helper = {
  id: 'platform',
  title: 'Bed or bench platform',
  about: 'A frame around a mattress or a seat, slats by the largest gap, a middle rail, legs.',
  asks: [
    length('length', 'Length of the mattress or seat', '75', '2000', {
      help: 'Measure it: sizes on labels run over.',
    }),
    length('width', 'Width of it', '39', '900'),
    length('play', 'Play all round', '1/4', '5'),
    length('height', 'Height to the top of the slats', '14', '350'),
    section('rail', 'Rails', '2x6', '45x145mm'),
    section('leg', 'Legs', '4x4', '70x70mm'),
    choice(
      'middle',
      'Middle rail',
      [
        ['one', 'One, on legs of its own'],
        ['none', 'None'],
      ],
      { help: 'Wide ones want it: read the warranty.' },
    ),
    section('ledger', 'Ledgers that the slats lie on', '2x2', '45x45mm'),
    section('slat', 'Slats', '1x4', '20x95mm'),
    length('largest_gap', 'Gaps between slats of at most', '2', '50', {
      help: 'Mattress warranties ask for 2 in or 1 1/2 in at most: read yours.',
    }),
  ],
  make: ({ measure, text }) => {
    const inLength = `(${measure('length')} + 2 * ${measure('play')})`;
    const inWidth = `(${measure('width')} + 2 * ${measure('play')})`;
    const isMiddle = text('middle') === 'one';
    const parts: MadePart[] = [
      { name: 'Long rail', quantity: '2', section: text('rail'), length: inLength },
      {
        name: 'End rail',
        quantity: '2',
        section: text('rail'),
        length: `${inWidth} + 2 * long_rail.thickness`,
      },
      { name: 'Ledger', quantity: '2', section: text('ledger'), length: inLength, shows: 'none' },
      {
        name: 'Slat',
        quantity: flushCount(inLength, 'slat.width', measure('largest_gap')),
        section: text('slat'),
        length: inWidth,
      },
      { name: 'Leg', quantity: '4', section: text('leg'), length: `${measure('height')} - slat.thickness` },
    ];
    const joints: MadeJoint[] = [
      { how: 'through', first: 'end_rail', second: 'long_rail', into: 'end', quantity: '4', each: 3 },
      { how: 'through', first: 'ledger', second: 'long_rail', quantity: '16', each: 1 },
      { how: 'through', first: 'slat', second: 'ledger', quantity: '2 * slat.count', each: 1 },
      { how: 'bolt', first: 'long_rail', second: 'leg', quantity: '4', each: 2 },
    ];
    if (isMiddle) {
      parts.push({
        name: 'Middle rail',
        quantity: '1',
        section: text('rail'),
        length: inLength,
        shows: 'none',
      });
      parts.push({
        name: 'Middle leg',
        quantity: '2',
        section: text('leg'),
        length: `leg.length - middle_rail.width`,
        shows: 'none',
      });
      joints.push({
        how: 'through',
        first: 'end_rail',
        second: 'middle_rail',
        into: 'end',
        quantity: '2',
        each: 3,
      });
      joints.push({ how: 'bracket', first: 'middle_rail', second: 'middle_leg', quantity: '2', each: 1 });
    }
    return {
      parts,
      joints,
      follows: [{ key: 'gap', formula: flushGap(inLength, 'slat.width', 'slat.count') }],
    };
  },
  draw: ({ measure, part }) => {
    const [rail, end, slat, leg, ledger] = [
      part('long_rail'),
      part('end_rail'),
      part('slat'),
      part('leg'),
      part('ledger'),
    ];
    const t = rail.thickness;
    const [long, wide] = [rail.length + 2 * end.thickness, end.length];
    const top = leg.length;
    return [
      view(
        'Top',
        [
          ...[0, wide - t].map((y) => box('long_rail', end.thickness, y, rail.length, t)),
          ...[0, long - end.thickness].map((x) => box('end_rail', x, 0, end.thickness, wide)),
          ...[t, wide - t - ledger.width].map((y) =>
            behind(box('ledger', end.thickness, y, ledger.length, ledger.width)),
          ),
          ...(part('middle_rail').count > 0
            ? [behind(box('middle_rail', end.thickness, (wide - t) / 2, rail.length, t))]
            : []),
          ...repeated(slat.count, slat.width + measure('gap'), (offset) =>
            box('slat', end.thickness + offset, t, slat.width, slat.length),
          ),
        ],
        [
          along(0, long, 0),
          up(0, 0, wide),
          along(end.thickness + slat.width, end.thickness + slat.width + measure('gap'), wide, 'above'),
        ],
      ),
      view(
        'Front',
        [
          ...[end.thickness, long - end.thickness - leg.width].map((x) =>
            behind(box('leg', x, 0, leg.width, leg.length)),
          ),
          box('long_rail', end.thickness, top - rail.width, rail.length, rail.width),
          ...[0, long - end.thickness].map((x) =>
            box('end_rail', x, top - end.width, end.thickness, end.width),
          ),
        ],
        [up(0, 0, leg.length + slat.thickness), along(0, long, 0)],
      ),
    ];
  },
  notes: ({ measure, part }, say) => [
    `${part('slat').count} slats, and a gap of ${say(measure('gap'))} between any two.`,
  ],
  rows: ({ measure, part }) => [
    {
      name: 'Row of slats',
      total: part('slat').count * part('slat').width + (part('slat').count - 1) * measure('gap'),
      span: part('long_rail').length,
      gap: measure('gap'),
      largestGap: measure('largest_gap'),
    },
  ],
};
