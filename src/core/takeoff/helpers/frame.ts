import { between } from '../even';
import { along, box, choice, length, repeated, section, up, view } from '../shapes';
import type { Helper, MadeJoint } from '../types';

/** Which side of its boards one sees from above: a box stands on edge, a face frame lies flat. */
const seen = (how: string): 'thickness' | 'width' => (how === 'flat' ? 'width' : 'thickness');

/** On edge: screws through the long side. Flat: they would be too long, so pocket screws from the other piece. */
const corner = (stand: string, other: string, into: 'thickness' | 'end', quantity: string): MadeJoint =>
  stand === 'flat'
    ? { how: 'pocket', first: other, second: 'long_side', into: 'width', quantity, each: 2 }
    : { how: 'through', first: 'long_side', second: other, into, quantity };

/** Four sides, butted or mitred, with stiffeners between. */
export const frame: Helper = {
  id: 'frame',
  isSquare: true,
  title: 'Frame or box',
  about: 'Four sides, butted or mitred, with stiffeners between.',
  asks: [
    length('length', 'Length over all', '48', '1200'),
    length('width', 'Width over all', '24', '600'),
    section('board', 'Boards', '2x4', '45x95mm'),
    choice('stand', 'The boards', [
      ['edge', 'Stand on edge'],
      ['flat', 'Lie flat'],
    ]),
    choice('corners', 'Corners', [
      ['butt', 'Butted'],
      ['mitre', 'Mitred'],
    ]),
    length('stiffener_spacing', 'Stiffeners at most this far apart', '24', '600', {
      blank: 'none',
      help: 'Centre to centre. Blank: none.',
    }),
  ],
  make: ({ measure, text, has }) => {
    const side = `long_side.${seen(text('stand'))}`;
    const isMitred = text('corners') === 'mitre';
    const inside = `${measure('width')} - 2 * ${side}`;
    const ends = isMitred ? `mitre 45${text('stand') === 'edge' ? ' edge' : ''}` : 'square';
    const board = text('board');
    const stiffener = {
      name: 'Stiffener',
      quantity: between(`(${measure('length')} - ${side})`, measure('stiffener_spacing')),
      section: board,
      length: inside,
    };
    return {
      parts: [
        { name: 'Long side', quantity: '2', section: board, length: measure('length'), ends },
        {
          name: 'Short side',
          quantity: '2',
          section: board,
          length: isMitred ? measure('width') : inside,
          ends,
        },
        ...(has('stiffener_spacing') ? [stiffener] : []),
      ],
      joints: [
        corner(text('stand'), 'short_side', isMitred ? 'thickness' : 'end', '4'),
        ...(has('stiffener_spacing')
          ? [corner(text('stand'), 'stiffener', 'end', '2 * stiffener.count')]
          : []),
      ],
    };
  },
  draw: ({ measure, text, part }) => {
    const [long, wide] = [measure('length'), measure('width')];
    const side = part('long_side')[seen(text('stand'))];
    const high = text('stand') === 'flat' ? part('long_side').thickness : part('long_side').width;
    const isMitred = text('corners') === 'mitre';
    const fields = part('stiffener').count + 1;
    const step = (long - side) / fields;
    return [
      view(
        'Top',
        [
          isMitred
            ? {
                role: 'long_side',
                corners: [
                  [0, 0],
                  [long, 0],
                  [long - side, side],
                  [side, side],
                ],
              }
            : box('long_side', 0, 0, long, side),
          isMitred
            ? {
                role: 'long_side',
                corners: [
                  [0, wide],
                  [long, wide],
                  [long - side, wide - side],
                  [side, wide - side],
                ],
              }
            : box('long_side', 0, wide - side, long, side),
          ...[0, long - side].map((x) =>
            isMitred
              ? {
                  role: 'short_side',
                  corners: [
                    [x === 0 ? 0 : long, 0],
                    [x === 0 ? 0 : long, wide],
                    [x === 0 ? side : x, wide - side],
                    [x === 0 ? side : x, side],
                  ] as [number, number][],
                }
              : box('short_side', x, side, side, wide - 2 * side),
          ),
          ...repeated(part('stiffener').count, step, (offset) =>
            box('stiffener', step + offset, side, side, wide - 2 * side),
          ),
        ],
        [along(0, long, 0), up(0, 0, wide), ...(fields > 1 ? [along(0, step, wide, 'above')] : [])],
      ),
      view('Front', [box('long_side', 0, 0, long, high)], [up(0, 0, high)]),
    ];
  },
  rows: ({ measure, text, part }) => [
    {
      name: 'Width of the frame',
      total:
        text('corners') === 'mitre'
          ? part('short_side').length
          : part('short_side').length + 2 * part('long_side')[seen(text('stand'))],
      span: measure('width'),
      gap: null,
      largestGap: null,
    },
  ],
};
