import { flushCount, flushGap, insetCount, insetGap } from '../even';
import { along, behind, box, choice, count, length, repeated, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** Slats over a length, as even as they can be. */
export const slats: Helper = {
  id: 'slats',
  title: 'Slats',
  about: 'A row of slats with one even gap, from the largest gap allowed or from their number.',
  asks: [
    length('span', 'They fill a length of', '40', '1000'),
    length('length', 'Each slat is long', '20', '500'),
    section('slat', 'Slats', '1x4', '20x95mm'),
    choice('by', 'Find the gap from', [
      ['gap', 'The largest gap'],
      ['count', 'The number of slats'],
    ]),
    length('largest_gap', 'Gaps of at most', '1', '25', { when: { key: 'by', is: 'gap' } }),
    count('slats', 'How many slats', '8', { when: { key: 'by', is: 'count' } }),
    choice('ends', 'First and last slat', [
      ['flush', 'Against the ends'],
      ['inset', 'A gap in from them'],
    ]),
    count('bearers', 'Bearers under them', '2', {
      blank: 'none',
      help: 'Blank: they lie on something else.',
    }),
    section('bearer', 'Bearers', '2x2', '45x45mm', { when: { key: 'bearers', is: 'any' } }),
  ],
  make: ({ measure, text, has }) => {
    const isFlush = text('ends') === 'flush';
    const byGap = text('by') === 'gap';
    const span = measure('span');
    return {
      parts: [
        {
          name: 'Slat',
          quantity: byGap
            ? (isFlush ? flushCount : insetCount)(span, 'slat.width', measure('largest_gap'))
            : measure('slats'),
          section: text('slat'),
          length: measure('length'),
        },
        ...(has('bearers')
          ? [{ name: 'Bearer', quantity: measure('bearers'), section: text('bearer'), length: span }]
          : []),
      ],
      joints: has('bearers')
        ? [{ how: 'through', first: 'slat', second: 'bearer', quantity: 'slat.count * bearer.count' }]
        : [],
      follows: [{ key: 'gap', formula: (isFlush ? flushGap : insetGap)(span, 'slat.width', 'slat.count') }],
    };
  },
  draw: ({ measure, text, part }) => {
    const [span, long, gap] = [measure('span'), measure('length'), measure('gap')];
    const slat = part('slat');
    const bearer = part('bearer');
    const start = text('ends') === 'flush' ? 0 : gap;
    const step = bearer.count > 1 ? (long - bearer.width) / (bearer.count - 1) : 0;
    return [
      view(
        'Top',
        [
          ...repeated(bearer.count, step, (offset) => behind(box('bearer', 0, offset, span, bearer.width))),
          ...repeated(slat.count, slat.width + gap, (offset) =>
            box('slat', start + offset, 0, slat.width, long),
          ),
        ],
        [
          along(0, span, 0),
          up(0, 0, long),
          along(start + slat.width, start + slat.width + gap, long, 'above'),
        ],
      ),
      view(
        'Front',
        [
          ...(bearer.count > 0 ? [box('bearer', 0, 0, span, bearer.thickness)] : []),
          ...repeated(slat.count, slat.width + gap, (offset) =>
            box('slat', start + offset, bearer.thickness, slat.width, slat.thickness),
          ),
        ],
        [up(0, 0, bearer.thickness + slat.thickness)],
      ),
    ];
  },
  notes: ({ measure, part }, say) => [
    `${part('slat').count} slats, and a gap of ${say(measure('gap'))} between any two.`,
    ...(measure('gap') < 0 ? ['They do not fit: take fewer, or narrower ones.'] : []),
  ],
  rows: ({ measure, text, part }) => {
    const { count: n, width } = part('slat');
    return [
      {
        name: 'Row of slats',
        total: n * width + (text('ends') === 'flush' ? n - 1 : n + 1) * measure('gap'),
        span: measure('span'),
        gap: measure('gap'),
        largestGap: text('by') === 'gap' ? measure('largest_gap') : null,
      },
    ];
  },
};
