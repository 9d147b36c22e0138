import { along, behind, box, length, repeated, up, view } from '../shapes';
import { BATTEN, both, PAINT, VARNISH } from './common';
import type { Template } from './types';

/** Templates of what stands in a house or a workshop. */
export const INDOORS: Template[] = [
  {
    id: 'stand',
    title: 'Stand with a shelf',
    about: 'Legs and aprons under a top of boards, and slats on low rails.',
    asks: [
      length('length', 'Length', '36', '900'),
      length('depth', 'Depth', '16', '400'),
      length('height', 'Height', '30', '750'),
    ],
    groups: [
      {
        key: 'legs',
        name: 'Legs',
        helper: 'legs',
        answers: {
          length: '{length}',
          depth: '{depth}',
          height: '{height}',
          leg: both('2x2', '45x45mm'),
          apron: both('1x4', '20x95mm'),
          low_rails_at: both('8', '200'),
        },
      },
      {
        key: 'top',
        name: 'Top',
        helper: 'panel',
        answers: { length: '{length}', width: '{depth}', battens: '' },
      },
      {
        key: 'shelf',
        name: 'Shelf',
        helper: 'slats',
        answers: {
          span: '{legs}.long_low_rail.length',
          length: both('{depth} - 2', '{depth} - 50'),
          slat: both('1x4', '20x95mm'),
          largest_gap: both('1/2', '12'),
          bearers: '',
        },
        parts: [
          {
            name: both('Wood screws 1 1/4 in', 'Wood screws 4x30'),
            quantity: '4 * {shelf}.slat.count',
          },
        ],
      },
    ],
    extras: [VARNISH],
    draw: ({ measure, part }) => {
      const [long, high] = [measure('length'), measure('height')];
      const [leg, apron, rail] = [
        part('legs', 'leg'),
        part('legs', 'long_apron'),
        part('legs', 'long_low_rail'),
      ];
      const over = (long - rail.length - 2 * leg.width) / 2;
      const low = high / 4;
      const slat = part('shelf', 'slat');
      const apart = (rail.length - slat.width) / Math.max(1, slat.count - 1);
      return [
        view(
          'Front',
          [
            behind(
              box('legs.long_apron', over + leg.width, leg.length - apron.width, rail.length, apron.width),
            ),
            behind(box('legs.long_low_rail', over + leg.width, low, rail.length, rail.width)),
            ...repeated(slat.count, apart, (x) =>
              box('shelf.slat', over + leg.width + x, low + rail.width, slat.width, slat.thickness),
            ),
            box('top.board', 0, leg.length, long, high - leg.length),
            ...[over, long - over - leg.width].map((x) => box('legs.leg', x, 0, leg.width, leg.length)),
          ],
          [along(0, long, 0), up(0, 0, high)],
        ),
      ];
    },
  },
  {
    id: 'tool-wall',
    title: 'Tool wall',
    about: 'Rails on uprights that are fixed to the wall, with hooks, and a shelf below.',
    asks: [length('width', 'Width', '72', '1800'), length('height', 'Height', '48', '1200')],
    groups: [
      {
        key: 'rails',
        name: 'Rails',
        helper: 'slats',
        answers: {
          span: '{height}',
          length: '{width}',
          slat: both('1x4', '20x95mm'),
          largest_gap: both('1 1/2', '40'),
          bearers: '',
        },
        parts: [
          {
            name: 'Upright',
            quantity: both('ceil({width} / 16in) + 1', 'ceil({width} / 400mm) + 1'),
            section: BATTEN,
            length: '{height}',
          },
          {
            name: both('Wood screws 1 1/4 in', 'Wood screws 4x30'),
            quantity: '2 * {rails}.slat.count * {rails}.upright.count',
          },
          { name: both('Wall screws 3 in', 'Wall screws 6x80'), quantity: '3 * {rails}.upright.count' },
          { name: 'Tool hooks', quantity: '12' },
        ],
      },
      {
        key: 'shelf',
        name: 'Shelf',
        parts: [
          { name: 'Shelf board', quantity: '1', section: both('1x8', '20x195mm'), length: '{width}' },
          {
            name: 'Shelf brackets',
            quantity: both('ceil({width} / 24in) + 1', 'ceil({width} / 600mm) + 1'),
          },
        ],
      },
    ],
    extras: [VARNISH],
    draw: ({ measure, part }) => {
      const [wide, high] = [measure('width'), measure('height')];
      const [rail, upright, shelf] = [
        part('rails', 'slat'),
        part('rails', 'upright'),
        part('shelf', 'shelf_board'),
      ];
      const apart = (high - rail.width) / Math.max(1, rail.count - 1);
      return [
        view(
          'Front',
          [
            ...repeated(upright.count, (wide - upright.width) / Math.max(1, upright.count - 1), (x) =>
              behind(box('rails.upright', x, 0, upright.width, high)),
            ),
            ...repeated(rail.count, apart, (y) => box('rails.slat', 0, y, wide, rail.width)),
            box('shelf.shelf_board', 0, high / 6, wide, shelf.thickness),
          ],
          [along(0, wide, 0), up(0, 0, high)],
        ),
      ];
    },
  },
  {
    id: 'toy-chest',
    title: 'Toy chest',
    about: 'A chest from sheets on a plinth, with a lid that closes slowly.',
    asks: [
      length('length', 'Length', '36', '900'),
      length('depth', 'Depth', '18', '450'),
      length('height', 'Height', '20', '500'),
    ],
    groups: [
      {
        key: 'plinth',
        name: 'Plinth',
        helper: 'frame',
        answers: {
          length: both('{length} - 2', '{length} - 50'),
          width: both('{depth} - 2', '{depth} - 50'),
          board: BATTEN,
          stiffener_spacing: '',
        },
      },
      {
        key: 'chest',
        name: 'Chest',
        parts: [
          {
            name: 'Front and back',
            quantity: '2',
            section: both('3/4in', '18mm'),
            length: '{length}',
            width: both(
              '{height} - {plinth}.long_side.width - 3/4',
              '{height} - {plinth}.long_side.width - 18',
            ),
          },
          {
            name: 'Side',
            quantity: '2',
            section: both('3/4in', '18mm'),
            length: both('{depth} - 1 1/2', '{depth} - 36'),
            width: '{chest}.front_and_back.width',
          },
          {
            name: 'Bottom',
            quantity: '1',
            section: both('3/4in', '18mm'),
            length: both('{length} - 1 1/2', '{length} - 36'),
            width: both('{depth} - 1 1/2', '{depth} - 36'),
          },
          {
            name: 'Lid',
            quantity: '1',
            section: both('3/4in', '18mm'),
            length: both('{length} + 1', '{length} + 25'),
            width: both('{depth} + 1/2', '{depth} + 12'),
          },
          { name: both('Wood screws 1 1/2 in', 'Wood screws 4x40'), quantity: '40' },
          { name: 'Hinges', quantity: '3' },
          { name: 'Slow lid supports', quantity: '2' },
        ],
      },
    ],
    extras: [PAINT],
    draw: ({ measure, part }) => {
      const [long, high] = [measure('length'), measure('height')];
      const [plinth, front, lid] = [
        part('plinth', 'long_side'),
        part('chest', 'front_and_back'),
        part('chest', 'lid'),
      ];
      return [
        view(
          'Front',
          [
            box('plinth.long_side', (long - plinth.length) / 2, 0, plinth.length, plinth.width),
            box('chest.front_and_back', 0, plinth.width, long, front.width),
            box('chest.lid', (long - lid.length) / 2, plinth.width + front.width, lid.length, lid.thickness),
          ],
          [along(0, long, 0), up(0, 0, high)],
        ),
      ];
    },
  },
];
