import { flushCount } from '../even';
import { along, behind, box, choice, length, repeated, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** An area covered by boards, with gaps or lapped, on battens. */
export const cladding: Helper = {
  id: 'cladding',
  title: 'Cladding',
  about: 'An area covered by boards, upright or lying, with gaps or lapped, on battens.',
  asks: [
    length('width', 'Width of the area', '72', '1800'),
    length('height', 'Height of the area', '48', '1200'),
    section('board', 'Boards', '1x6', '20x145mm'),
    choice('run', 'They run', [
      ['upright', 'Upright'],
      ['lying', 'Lying'],
    ]),
    choice('meet', 'Side by side', [
      ['gap', 'With a gap'],
      ['lap', 'Lapped'],
    ]),
    length('gap', 'Gap between them', '1/8', '5', { when: { key: 'meet', is: 'gap' } }),
    length('lap', 'Each laps the one before by', '1', '25', { when: { key: 'meet', is: 'lap' } }),
    length('batten_spacing', 'Battens at most this far apart', '24', '600', {
      blank: 'none',
      help: 'Blank: there is something to fasten to.',
    }),
    section('batten', 'Battens', '1x2', '20x45mm', { when: { key: 'batten_spacing', is: 'any' } }),
  ],
  make: ({ measure, text, has }) => {
    const isUpright = text('run') === 'upright';
    const [across, along_] = isUpright
      ? [measure('width'), measure('height')]
      : [measure('height'), measure('width')];
    const gap = text('meet') === 'gap' ? measure('gap') : `(0 - ${measure('lap')})`;
    return {
      exposure: 'outdoors',
      parts: [
        {
          name: 'Cladding board',
          quantity: flushCount(across, 'cladding_board.width', gap),
          section: text('board'),
          length: along_,
          shows: 'front',
          note: `Rip the last one to ${measure('last_width')}: see Measures.`,
        },
        ...(has('batten_spacing')
          ? [
              {
                name: 'Batten',
                quantity: `ceil(${along_} / ${measure('batten_spacing')}) + 1`,
                section: text('batten'),
                length: across,
                shows: 'none' as const,
              },
            ]
          : []),
      ],
      joints: has('batten_spacing')
        ? [
            {
              how: 'through',
              first: 'cladding_board',
              second: 'batten',
              quantity: 'cladding_board.count * batten.count',
            },
          ]
        : [],
      follows: [
        {
          key: 'last_width',
          formula: `${across} - (cladding_board.count - 1) * (cladding_board.width + ${gap})`,
        },
      ],
    };
  },
  draw: ({ measure, text, part }) => {
    const [wide, high] = [measure('width'), measure('height')];
    const isUpright = text('run') === 'upright';
    const [board, batten] = [part('cladding_board'), part('batten')];
    const pitch = board.width + (text('meet') === 'gap' ? measure('gap') : -measure('lap'));
    const [across, run] = isUpright ? [wide, high] : [high, wide];
    const lay = (role: string, at: number, size: number) =>
      isUpright ? box(role, at, 0, size, high) : box(role, 0, at, wide, size);
    const step = batten.count > 1 ? (run - batten.width) / (batten.count - 1) : 0;
    return [
      view(
        'Front',
        [
          ...repeated(batten.count, step, (offset) =>
            behind(
              isUpright
                ? box('batten', 0, offset, wide, batten.width)
                : box('batten', offset, 0, batten.width, high),
            ),
          ),
          ...repeated(board.count, pitch, (offset) =>
            lay('cladding_board', offset, Math.max(0, Math.min(board.width, across - offset))),
          ),
        ],
        [along(0, wide, 0), up(0, 0, high)],
      ),
      view(
        isUpright ? 'Top' : 'Side',
        [
          ...(batten.count > 0 ? [box('batten', 0, 0, across, batten.thickness)] : []),
          ...repeated(board.count, pitch, (offset) =>
            box(
              'cladding_board',
              offset,
              batten.thickness,
              Math.max(0, Math.min(board.width, across - offset)),
              board.thickness,
            ),
          ),
        ],
        [up(0, 0, batten.thickness + board.thickness)],
      ),
    ];
  },
  notes: ({ measure, part }, say) => [
    measure('last_width') < part('cladding_board').width
      ? `${part('cladding_board').count} boards, the last ripped to ${say(measure('last_width'))}.`
      : `${part('cladding_board').count} boards, none ripped.`,
  ],
  rows: ({ measure, text, part }) => {
    const { count, width } = part('cladding_board');
    const pitch = width + (text('meet') === 'gap' ? measure('gap') : -measure('lap'));
    return [
      {
        name: 'Row of boards',
        total: (count - 1) * pitch + measure('last_width'),
        span: text('run') === 'upright' ? measure('width') : measure('height'),
        gap: null,
        largestGap: null,
      },
    ];
  },
};
