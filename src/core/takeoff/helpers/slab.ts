import { fromInches } from '../../units';
import { along, box, choice, count, length, repeated, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** Clamps stand about so far apart, above and below in turn: from memory. */
const CLAMP_EVERY = fromInches(10);

/** Boards glued face to face and planed after: a thick top of boards on edge, a post of two, a beam of three. */
export const slab: Helper = {
  id: 'slab',
  title: 'Slab or post, glued up',
  about: 'Boards on edge, glued face to face and planed after: a thick top, a post of two.',
  asks: [
    length('length', 'Finished length', '48', '1200'),
    section('board', 'Boards', '2x4', '45x95mm'),
    choice('by', 'Make it', [
      ['fill', 'So wide'],
      ['count', 'Of so many boards'],
    ]),
    length('width', 'Finished width', '23', '600', { when: { key: 'by', is: 'fill' } }),
    count('boards', 'How many boards', '2', { when: { key: 'by', is: 'count' } }),
    length('plane', 'Planed off above and below, each', '1/8', '3', { blank: 'none' }),
    length('face', 'Planed off each glued face', '', '', {
      blank: 'none',
      help: 'Blank: none; they are glued as they come.',
    }),
    length('trim', 'Longer at each end, cut off after', '1/2', '10', { blank: 'none' }),
  ],
  make: ({ measure, text }) => {
    const thick = `(board.thickness - 2 * ${measure('face')})`;
    const fills = text('by') === 'fill';
    return {
      parts: [
        {
          name: 'Board',
          quantity: fills ? `max(2, ceil(${measure('width')} / ${thick}))` : measure('boards'),
          section: text('board'),
          length: `${measure('length')} + 2 * ${measure('trim')}`,
          note: 'Glued to the next one, planed and cut to length after.',
        },
      ],
      joints: [{ how: 'glue', first: 'board', second: 'board', quantity: 'board.count - 1' }],
      extras: [{ name: 'Wood glue', rule: 'glue', amount: '', covers: { in: '12 ft2', mm: '1 m2' } }],
      follows: [
        { key: 'slab_thickness', formula: `board.width - 2 * ${measure('plane')}` },
        { key: 'glued_width', formula: `board.count * ${thick}` },
      ],
    };
  },
  // The boards as they are cut; the measures are those of what comes of them.
  draw: ({ measure, part }) => {
    const { count: boards, length: rough, width, thickness } = part('board');
    const [long, high] = [measure('length'), measure('slab_thickness')];
    const wide = measure('width') || measure('glued_width');
    const low = (width - high) / 2;
    return [
      view(
        'End',
        repeated(boards, thickness, (offset) => box('board', offset, 0, thickness, width)),
        [along(0, wide, 0), up(0, low, low + high)],
      ),
      view(
        'Top',
        repeated(boards, thickness, (offset) => box('board', 0, offset, rough, thickness)),
        [up(0, 0, wide), along((rough - long) / 2, (rough + long) / 2, 0)],
      ),
    ];
  },
  notes: ({ measure, part }, say) => {
    const { count: boards, length: rough, width } = part('board');
    const [wide, finished] = [measure('glued_width'), measure('width')];
    const clamps = Math.max(2, Math.ceil(rough / CLAMP_EVERY) + 1);
    return [
      `It is ${say(measure('slab_thickness'))} thick once it is planed, of boards ${say(width)} wide.`,
      finished > 0 && finished < wide
        ? `${boards} boards make ${say(wide)}: one edge is ripped off after, to ${say(finished)}.`
        : `${boards} boards make ${say(wide)}.`,
      `About ${clamps} clamps at once, above and below in turn; let the glue set overnight before planing.`,
    ];
  },
};
