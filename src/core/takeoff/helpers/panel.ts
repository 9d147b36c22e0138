import { flushCount } from '../even';
import { along, behind, box, choice, count, length, repeated, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** The width it was told, or that which so many boards make. */
const widthOf = (measure: (key: string) => number): number => measure('width') || measure('panel_width');

/** Boards side by side: so many, or a width to fill. */
export const panel: Helper = {
  id: 'panel',
  isSquare: true,
  title: 'Top or panel from boards',
  about: 'Boards side by side: so many, or a width to fill with the last one ripped.',
  asks: [
    length('length', 'Length of the boards', '48', '1200'),
    section('board', 'Boards', '2x6', '28x145mm'),
    choice('by', 'Make it', [
      ['fill', 'So wide'],
      ['count', 'Of so many boards'],
    ]),
    length('width', 'Width to fill', '20', '500', { when: { key: 'by', is: 'fill' } }),
    count('boards', 'How many boards', '4', { when: { key: 'by', is: 'count' } }),
    length('gap', 'Gap between them', '0', '0', { help: 'None for a glued top; 1/8 in or 3 mm outdoors.' }),
    count('battens', 'Battens under it', '2', { help: 'Blank: none.', blank: 'none' }),
    section('batten', 'Battens', '1x4', '20x95mm', { when: { key: 'battens', is: 'any' } }),
  ],
  make: ({ measure, text, has }) => {
    const gap = measure('gap');
    const fills = text('by') === 'fill';
    const wide = fills
      ? measure('width')
      : `(${measure('boards')} * board.width + (${measure('boards')} - 1) * ${gap})`;
    return {
      parts: [
        {
          name: 'Board',
          quantity: fills ? flushCount(measure('width'), 'board.width', gap) : measure('boards'),
          section: text('board'),
          length: measure('length'),
          ...(fills ? { note: `Rip the last one to ${measure('last_width')}: see Measures.` } : {}),
        },
        ...(has('battens')
          ? [
              {
                name: 'Batten',
                quantity: measure('battens'),
                section: text('batten'),
                length: wide,
                shows: 'none' as const,
              },
            ]
          : []),
      ],
      joints: has('battens')
        ? [{ how: 'through', first: 'batten', second: 'board', quantity: 'board.count * batten.count' }]
        : [],
      extras: has('battens')
        ? []
        : [
            {
              name: 'Wood glue',
              rule: 'glue',
              amount: `(board.count - 1) * ${measure('length')} * board.thickness`,
              covers: { in: '12 ft2', mm: '1 m2' },
            },
          ],
      follows: fills
        ? [{ key: 'last_width', formula: `${measure('width')} - (board.count - 1) * (board.width + ${gap})` }]
        : [{ key: 'panel_width', formula: wide }],
    };
  },
  draw: ({ measure, part }) => {
    const [long, wide, gap] = [measure('length'), widthOf(measure), measure('gap')];
    const board = part('board');
    const last = Math.min(board.width, measure('last_width') || board.width);
    const battens = part('batten');
    const step = battens.count > 1 ? (long * 0.8) / (battens.count - 1) : 0;
    return [
      view(
        'Top',
        [
          ...repeated(battens.count, step, (offset) =>
            behind(box('batten', long * 0.1 + offset - battens.width / 2, 0, battens.width, wide)),
          ),
          ...repeated(board.count - 1, board.width + gap, (offset) =>
            box('board', 0, wide - offset - board.width, long, board.width),
          ),
          box('board', 0, 0, long, last),
        ],
        [along(0, long, 0), up(0, 0, wide), ...(last < board.width ? [up(long, 0, last, 'right')] : [])],
      ),
      view(
        'Front',
        [
          box('board', 0, battens.thickness, long, board.thickness),
          ...repeated(battens.count, step, (offset) =>
            box('batten', long * 0.1 + offset - battens.width / 2, 0, battens.width, battens.thickness),
          ),
        ],
        [up(0, 0, battens.thickness + board.thickness)],
      ),
    ];
  },
  notes: ({ measure, text, part }, say) => {
    if (text('by') !== 'fill') return [`It comes out ${say(widthOf(measure))} wide.`];
    return measure('last_width') < part('board').width
      ? [`The last board is ripped to ${say(measure('last_width'))}.`]
      : ['The boards fill it without a rip.'];
  },
  rows: ({ measure, part, text }) => {
    const { count: boards, width } = part('board');
    const last = text('by') === 'fill' ? measure('last_width') : width;
    return [
      {
        name: 'Width of the boards',
        total: (boards - 1) * (width + measure('gap')) + last,
        span: widthOf(measure),
        gap: null,
        largestGap: null,
      },
    ];
  },
};
