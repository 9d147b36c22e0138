import { along, behind, box, choice, count, length, repeated, section, sheet, up, view } from '../shapes';
import type { Helper, MadeJoint, MadePart } from '../types';

/** Sides, uprights and shelves from sheets, with a back and a face frame. */
export const shelves: Helper = {
  id: 'shelves',
  isSquare: true,
  title: 'Shelf or cubby unit',
  about: 'From sheets: sides, uprights, shelves, a back and a face frame, thicknesses taken off.',
  asks: [
    length('height', 'Height over all', '72', '1800'),
    length('width', 'Width over all', '36', '900'),
    length('depth', 'Depth', '12', '300'),
    sheet('sheet', 'Sheet', '3/4in', '18mm'),
    count('uprights', 'Uprights between the sides', '', { blank: 'none', help: 'Blank: one bay.' }),
    count('shelves', 'Shelves in each bay', '4', { help: 'Beside the top and the foot.' }),
    choice('back', 'Back', [
      ['none', 'None'],
      ['sheet', 'A thin sheet'],
    ]),
    sheet('backSheet', 'Back', '1/4in', '6mm', { when: { key: 'back', is: 'sheet' } }),
    choice('face', 'Face frame', [
      ['none', 'None'],
      ['boards', 'Boards'],
    ]),
    section('faceBoard', 'Face frame', '1x2', '20x45mm', { when: { key: 'face', is: 'boards' } }),
  ],
  make: ({ measure, text, has }) => {
    const depth = text('back') === 'sheet' ? `${measure('depth')} - back.thickness` : measure('depth');
    const deep = text('face') === 'boards' ? `${depth} - stile.thickness` : depth;
    const uprights = has('uprights') ? measure('uprights') : '0';
    const bays = has('uprights') ? `(${uprights} + 1)` : '1';
    const stiles = has('uprights') ? `(${uprights} + 2)` : '2';
    const shelfLength = (room: string, between: string) =>
      has('uprights') ? `(${room} - ${between}) / ${bays}` : room;
    const inside = `(${measure('width')} - 2 * side.thickness)`;
    const panel = (name: string, quantity: string, long: string): MadePart => ({
      name,
      quantity,
      section: text('sheet'),
      length: long,
      width: deep,
      grain: 'length',
    });
    const parts: MadePart[] = [
      panel('Side', '2', measure('height')),
      panel('Top and foot', '2', inside),
      panel('Upright', uprights, `${measure('height')} - 2 * side.thickness`),
      panel(
        'Shelf',
        has('uprights') ? `${bays} * ${measure('shelves')}` : measure('shelves'),
        shelfLength(inside, `${uprights} * side.thickness`),
      ),
    ];
    const joints: MadeJoint[] = [
      { how: 'through', first: 'side', second: 'top_and_foot', into: 'end', quantity: '4', each: 4 },
      {
        how: 'through',
        first: 'top_and_foot',
        second: 'upright',
        into: 'end',
        quantity: '2 * upright.count',
        each: 4,
      },
      { how: 'through', first: 'side', second: 'shelf', into: 'end', quantity: '2 * shelf.count', each: 3 },
    ];
    if (text('back') === 'sheet') {
      parts.push({
        name: 'Back',
        quantity: '1',
        section: text('backSheet'),
        length: measure('height'),
        width: measure('width'),
        shows: 'none',
      });
      joints.push({ how: 'nail', first: 'back', second: 'side', into: 'width', quantity: '2', each: 10 });
    }
    if (text('face') === 'boards') {
      parts.push({ name: 'Stile', quantity: stiles, section: text('faceBoard'), length: measure('height') });
      parts.push({
        name: 'Face rail',
        quantity: has('uprights') ? `2 * ${bays}` : '2',
        section: text('faceBoard'),
        length: has('uprights')
          ? `(${measure('width')} - ${stiles} * stile.width) / ${bays}`
          : `${measure('width')} - 2 * stile.width`,
      });
      joints.push({
        how: 'pocket',
        first: 'face_rail',
        second: 'stile',
        into: 'width',
        quantity: '2 * face_rail.count',
      });
    }
    return {
      parts,
      joints,
      follows: [
        {
          key: 'opening',
          formula: `(${measure('height')} - (${measure('shelves')} + 2) * side.thickness) / (${measure('shelves')} + 1)`,
        },
      ],
    };
  },
  draw: ({ measure, part }) => {
    const [high, wide, deep] = [measure('height'), measure('width'), measure('depth')];
    const t = part('side').thickness;
    const [shelf, upright, rail, stile] = [part('shelf'), part('upright'), part('face_rail'), part('stile')];
    const bays = upright.count + 1;
    const perBay = Math.round(shelf.count / bays);
    const step = measure('opening') + t;
    return [
      view(
        'Front',
        [
          box('side', 0, 0, t, high),
          box('side', wide - t, 0, t, high),
          box('top_and_foot', t, 0, wide - 2 * t, t),
          box('top_and_foot', t, high - t, wide - 2 * t, t),
          ...repeated(upright.count, shelf.length + t, (offset) =>
            box('upright', t + shelf.length + offset, t, t, high - 2 * t),
          ),
          ...repeated(bays, shelf.length + t, (across) => across).flatMap((across) =>
            repeated(perBay, step, (offset) => box('shelf', t + across, step + offset, shelf.length, t)),
          ),
          ...repeated(stile.count, rail.length + stile.width, (offset) =>
            box('stile', offset, 0, stile.width, high),
          ),
          ...[0, high - rail.width].flatMap((y) =>
            repeated(rail.count / 2, rail.length + stile.width, (offset) =>
              box('face_rail', stile.width + offset, y, rail.length, rail.width),
            ),
          ),
        ],
        [along(0, wide, 0), up(0, 0, high), up(wide, t, t + measure('opening'), 'right')],
      ),
      view(
        'Top',
        [
          behind(box('back', 0, deep - part('back').thickness, wide, part('back').thickness)),
          box('top_and_foot', t, stile.thickness, wide - 2 * t, part('top_and_foot').width),
          box('side', 0, stile.thickness, t, part('side').width),
          box('side', wide - t, stile.thickness, t, part('side').width),
        ],
        [along(0, wide, 0), up(0, 0, deep)],
      ),
    ];
  },
  notes: ({ measure, part }, say) => [
    `${say(measure('opening'))} clear between shelves, each ${say(part('shelf').length)} long.`,
  ],
  rows: ({ measure, part }) => {
    const bays = part('upright').count + 1;
    return [
      {
        name: 'Width of the unit',
        total:
          2 * part('side').thickness +
          part('upright').count * part('side').thickness +
          bays * part('shelf').length,
        span: measure('width'),
        gap: null,
        largestGap: null,
      },
    ];
  },
};
