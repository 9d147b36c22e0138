import { along, behind, box, count, length, repeated, up, view } from '../shapes';
import type { Shape } from '../types';
import { both, OIL } from './common';
import type { Template, TemplateSizes } from './types';

/** Walls of a box on the ground, as seen from the front: boards upon boards, `up` above the ground. */
const walls = ({ measure, part }: TemplateSizes): Shape[] => {
  const board = part('box', 'long_board');
  return repeated(measure('rows'), board.width, (y) =>
    box('box.long_board', 0, y, measure('length'), board.width),
  );
};

/** Templates of what stands in a garden. */
export const GARDEN: Template[] = [
  {
    id: 'raised-bed',
    title: 'Raised bed',
    about: 'Walls of boards on the ground, with stakes and a liner.',
    asks: [
      length('length', 'Length', '72', '1800'),
      length('width', 'Width', '36', '900'),
      count('rows', 'Boards, one upon the other', '2'),
    ],
    groups: [
      {
        key: 'box',
        name: 'Bed',
        helper: 'raised-box',
        answers: { length: '{length}', width: '{width}', rows: '{rows}', liner: 'yes' },
      },
    ],
    extras: [],
    draw: (sizes) => {
      const rows = sizes.part('box', 'long_board').width * sizes.measure('rows');
      return [view('Front', walls(sizes), [along(0, sizes.measure('length'), 0), up(0, 0, rows)])];
    },
  },
  {
    id: 'trellis',
    title: 'Trellis',
    about: 'Uprights and rails across them, on two stakes in the ground.',
    asks: [
      length('width', 'Width', '48', '1200'),
      length('height', 'Height', '72', '1800'),
      count('uprights', 'How many uprights', '5'),
    ],
    groups: [
      {
        key: 'upright',
        name: 'Uprights',
        helper: 'slats',
        exposure: 'outdoors',
        answers: {
          span: '{width}',
          length: '{height}',
          slat: both('1x2', '20x45mm'),
          by: 'count',
          slats: '{uprights}',
          bearers: '',
        },
        parts: [
          {
            name: 'Stake',
            quantity: '2',
            section: both('2x2', '45x45mm'),
            length: both('24', '600'),
            note: 'Half of it in the ground.',
          },
        ],
      },
      {
        key: 'rail',
        name: 'Rails',
        helper: 'slats',
        exposure: 'outdoors',
        answers: {
          span: both('{height} - 12', '{height} - 300'),
          length: '{width}',
          slat: both('1x2', '20x45mm'),
          largest_gap: both('8', '200'),
          bearers: '',
        },
        parts: [
          {
            name: both('Exterior screws 1 1/4 in', 'Exterior screws 4x30'),
            quantity: '{upright}.slat.count * {rail}.slat.count',
          },
        ],
      },
    ],
    extras: [OIL],
    draw: ({ measure, part }) => {
      const [wide, high] = [measure('width'), measure('height')];
      const [upright, rail] = [part('upright', 'slat'), part('rail', 'slat')];
      const across = (wide - upright.width) / Math.max(1, upright.count - 1);
      const above = high - part('upright', 'stake').length / 2;
      const apart = (above - rail.width) / Math.max(1, rail.count - 1);
      return [
        view(
          'Front',
          [
            ...repeated(upright.count, across, (x) => behind(box('upright.slat', x, 0, upright.width, high))),
            ...repeated(rail.count, apart, (y) => box('rail.slat', 0, high - above + y, wide, rail.width)),
          ],
          [along(0, wide, 0), up(0, 0, high)],
        ),
      ];
    },
  },
  {
    id: 'cold-frame',
    title: 'Cold frame with a lid',
    about: 'A box on the ground and a mitred lid on hinges, with a clear sheet.',
    asks: [
      length('length', 'Length', '48', '1200'),
      length('depth', 'Depth', '24', '600'),
      count('rows', 'Boards, one upon the other', '2'),
    ],
    groups: [
      {
        key: 'box',
        name: 'Box',
        helper: 'raised-box',
        answers: { length: '{length}', width: '{depth}', rows: '{rows}', stake_spacing: '' },
      },
      {
        key: 'lid',
        name: 'Lid',
        helper: 'frame',
        exposure: 'outdoors',
        answers: {
          length: both('{length} + 1', '{length} + 25'),
          width: both('{depth} + 1', '{depth} + 25'),
          board: both('1x3', '20x70mm'),
          stand: 'flat',
          corners: 'mitre',
        },
        parts: [
          { name: 'Hinges', quantity: '2' },
          { name: 'Handle', quantity: '1' },
          { name: 'Lid prop', quantity: '1' },
        ],
      },
    ],
    extras: [
      {
        name: 'Clear sheet',
        rule: 'area',
        amount: '{lid}.long_side.length * {lid}.short_side.length',
        covers: { in: '8 ft2', mm: '1 m2' },
      },
      OIL,
    ],
    draw: (sizes) => {
      const [long, deep] = [sizes.measure('length'), sizes.measure('depth')];
      const rows = sizes.part('box', 'long_board').width * sizes.measure('rows');
      const [side, end] = [sizes.part('lid', 'long_side'), sizes.part('lid', 'short_side')];
      const bar = sizes.part('lid', 'stiffener');
      const over = (side.length - long) / 2;
      return [
        view(
          'Front',
          [...walls(sizes), box('lid.long_side', -over, rows, side.length, side.thickness)],
          [along(0, long, 0), up(0, 0, rows)],
        ),
        view(
          'Lid',
          [
            ...[0, end.length - side.width].map((y) => box('lid.long_side', 0, y, side.length, side.width)),
            ...[0, side.length - end.width].map((x) => box('lid.short_side', x, 0, end.width, end.length)),
            ...repeated(bar.count, side.length / (bar.count + 1), (x) =>
              box('lid.stiffener', x + side.length / (bar.count + 1), side.width, bar.width, bar.length),
            ),
          ],
          [along(0, side.length, 0), up(0, 0, Math.max(deep, end.length))],
        ),
      ];
    },
  },
];
