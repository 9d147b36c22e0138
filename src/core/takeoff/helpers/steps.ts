import { along, behind, box, choice, count, length, repeated, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** Even steps from the total rise: treads and stringers. */
export const steps: Helper = {
  id: 'steps',
  title: 'Steps',
  about: 'From the total rise: even steps, treads and stringers.',
  asks: [
    length('rise', 'Total rise, floor to floor', '28', '700'),
    choice('by', 'Steps', [
      ['largest', 'None higher than'],
      ['count', 'So many'],
    ]),
    length('largest_step', 'No step higher than', '7 3/4', '190', {
      when: { key: 'by', is: 'largest' },
      help: 'The local code says how high they may be.',
    }),
    count('steps', 'How many steps', '4', {
      when: { key: 'by', is: 'count' },
      help: 'The upper floor is the last of them.',
    }),
    length('tread', 'Depth of a tread', '11', '280'),
    length('width', 'Width of the steps', '36', '900'),
    section('board', 'Tread boards', '2x6', '45x145mm'),
    length('gap', 'Gap between tread boards', '1/8', '3'),
    section('stringer', 'Stringers', '2x12', '45x295mm'),
    length('stringer_spacing', 'Stringers at most this far apart', '16', '400'),
  ],
  make: ({ measure, text }) => {
    const treads = `(${measure('number')} - 1)`;
    return {
      exposure: 'outdoors',
      parts: [
        {
          name: 'Tread board',
          quantity: `${treads} * ceil((${measure('tread')} + ${measure('gap')}) / (tread_board.width + ${measure('gap')}))`,
          section: text('board'),
          length: measure('width'),
        },
        {
          name: 'Stringer',
          quantity: `ceil((${measure('width')} - stringer.thickness) / ${measure('stringer_spacing')}) + 1`,
          section: text('stringer'),
          // Its slope, and once its width for the level and the plumb cut: rule of thumb.
          length: `sqrt(${measure('rise')} * ${measure('rise')} + ${treads} * ${treads} * ${measure('tread')} * ${measure('tread')}) + stringer.width`,
          note: 'Long enough for a level cut at the foot and a plumb cut at the head.',
        },
      ],
      joints: [
        {
          how: 'through',
          first: 'tread_board',
          second: 'stringer',
          into: 'width',
          quantity: 'tread_board.count * stringer.count',
        },
      ],
      follows: [
        {
          key: 'number',
          formula:
            text('by') === 'count'
              ? measure('steps')
              : `ceil(${measure('rise')} / ${measure('largest_step')})`,
          kind: 'number',
        },
        { key: 'step', formula: `${measure('rise')} / ${measure('number')}` },
      ],
    };
  },
  draw: ({ measure, part }) => {
    const [rise, tread, number, step] = [
      measure('rise'),
      measure('tread'),
      measure('number'),
      measure('step'),
    ];
    const board = part('tread_board');
    const [wide, thick] = [measure('width'), part('stringer').thickness];
    const treads = Math.max(0, number - 1);
    const run = treads * tread;
    const perTread = treads > 0 ? Math.round(board.count / treads) : 0;
    const outline: [number, number][] = [[0, 0]];
    for (let index = 0; index < treads; index++)
      outline.push(
        [index * tread, (index + 1) * step - board.thickness],
        [(index + 1) * tread, (index + 1) * step - board.thickness],
      );
    outline.push([run, rise - part('stringer').width > 0 ? rise - part('stringer').width : 0], [tread, 0]);
    return [
      view(
        'Side',
        [
          behind({ role: 'stringer', corners: outline }),
          ...repeated(treads, 1, (index) => index).flatMap((index) =>
            repeated(perTread, board.width + measure('gap'), (offset) =>
              box(
                'tread_board',
                index * tread + offset,
                (index + 1) * step - board.thickness,
                board.width,
                board.thickness,
              ),
            ),
          ),
        ],
        [up(0, 0, step), along(0, run, 0), up(run, 0, rise, 'right')],
      ),
      view(
        'Front',
        [
          ...repeated(
            part('stringer').count,
            part('stringer').count > 1 ? (wide - thick) / (part('stringer').count - 1) : 0,
            (offset) => behind(box('stringer', offset, 0, thick, treads * step)),
          ),
          ...repeated(treads, step, (offset) =>
            box('tread_board', 0, offset + step - board.thickness, wide, board.thickness),
          ),
        ],
        [along(0, wide, 0)],
      ),
    ];
  },
  notes: ({ measure }, say) => [
    `${measure('number')} steps of ${say(measure('step'))}; the last is onto the upper floor.`,
    `Cut ${say(measure('step'))} less the tread's thickness off the foot of the stringers, so that the first step is as high as the others.`,
  ],
  rows: ({ measure }) => [
    {
      name: 'Total rise',
      total: measure('number') * measure('step'),
      span: measure('rise'),
      gap: measure('step'),
      largestGap: null,
    },
  ],
};
