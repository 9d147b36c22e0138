import { along, behind, box, length, up, view } from '../shapes';
import { BATTEN, both, PAINT } from './common';
import type { Template, TemplateGroup } from './types';

const wing = (key: string, name: string): TemplateGroup => ({
  key,
  name,
  helper: 'frame',
  answers: { length: '{height}', width: '{wing}', board: BATTEN, stand: 'flat', stiffener_spacing: '' },
});

/** Templates of what is played on. */
export const STAGE: Template[] = [
  {
    id: 'puppet-stage',
    title: 'Puppet stage',
    about: 'A front with an opening and two wings on hinges, with fabric.',
    asks: [
      length('width', 'Width', '48', '1200'),
      length('height', 'Height', '60', '1500'),
      length('wing', 'Width of a wing', '20', '500'),
    ],
    groups: [
      {
        key: 'front',
        name: 'Front',
        helper: 'frame',
        answers: {
          length: '{height}',
          width: '{width}',
          board: BATTEN,
          stand: 'flat',
          stiffener_spacing: '',
        },
        parts: [
          {
            name: 'Opening rail',
            quantity: '2',
            section: BATTEN,
            length: '{front}.short_side.length',
          },
          { name: 'Stage board', quantity: '1', section: both('1x6', '20x145mm'), length: '{width}' },
          { name: 'Hinges', quantity: '4' },
          { name: 'Curtain rod', quantity: '1' },
        ],
      },
      wing('left', 'Left wing'),
      wing('right', 'Right wing'),
    ],
    extras: [
      {
        name: 'Fabric',
        rule: 'area',
        amount: '({width} + 2 * {wing}) * {height}',
        covers: { in: '27 ft2', mm: '2.5 m2' },
      },
      PAINT,
    ],
    draw: ({ measure, part }) => {
      const [wide, high, side] = [measure('width'), measure('height'), measure('wing')];
      const [post, rail] = [part('front', 'long_side'), part('front', 'short_side')];
      const stage = part('front', 'stage_board');
      const panel = (group: string, left: number, across: number) => [
        ...[left, left + across - post.width].map((x) => box(`${group}.long_side`, x, 0, post.width, high)),
        ...[0, high - rail.width].map((y) =>
          box(`${group}.short_side`, left + post.width, y, across - 2 * post.width, rail.width),
        ),
      ];
      const gap = side / 8;
      return [
        view(
          'Front',
          [
            ...panel('left', -side - gap, side),
            ...panel('front', 0, wide),
            ...panel('right', wide + gap, side),
            ...[0.5, 0.8].map((at) =>
              box('front.opening_rail', post.width, high * at, rail.length, rail.width),
            ),
            box('front.stage_board', 0, high * 0.5 + rail.width, wide, stage.thickness),
          ],
          [along(0, wide, 0), up(-side - gap, 0, high)],
        ),
      ];
    },
  },
  {
    id: 'stage-riser',
    title: 'Stage riser',
    about: 'A deck on a stiffened frame with bolted legs.',
    asks: [
      length('length', 'Length', '96', '2400'),
      length('depth', 'Depth', '48', '1200'),
      length('height', 'Height', '12', '300'),
    ],
    groups: [
      {
        key: 'frame',
        name: 'Frame',
        helper: 'frame',
        answers: { length: '{length}', width: '{depth}', stiffener_spacing: both('16', '400') },
        parts: [
          {
            name: 'Leg',
            quantity: '6',
            section: both('4x4', '70x70mm'),
            length: both('{height} - 3/4', '{height} - 18'),
          },
          { name: both('Bolt sets 3/8 x 6 in', 'Bolt sets M10x140'), quantity: '2 * {frame}.leg.count' },
        ],
      },
      {
        key: 'deck',
        name: 'Deck',
        parts: [
          {
            name: 'Deck sheet',
            quantity: '1',
            section: both('3/4in', '18mm'),
            length: '{length}',
            width: '{depth}',
          },
          {
            name: both('Wood screws 2 in', 'Wood screws 5x50'),
            quantity: both(
              '({frame}.stiffener.count + 2) * (ceil({depth} / 8in) + 1)',
              '({frame}.stiffener.count + 2) * (ceil({depth} / 200mm) + 1)',
            ),
          },
        ],
      },
    ],
    extras: [{ ...PAINT, name: 'Floor paint' }],
    draw: ({ measure, part }) => {
      const [long, high] = [measure('length'), measure('height')];
      const [deck, side, leg] = [
        part('deck', 'deck_sheet'),
        part('frame', 'long_side'),
        part('frame', 'leg'),
      ];
      return [
        view(
          'Front',
          [
            ...[side.thickness, (long - leg.width) / 2, long - leg.width - side.thickness].map((x) =>
              behind(box('frame.leg', x, 0, leg.width, leg.length)),
            ),
            box('frame.long_side', 0, leg.length - side.width, long, side.width),
            box('deck.deck_sheet', 0, leg.length, long, deck.thickness),
          ],
          [along(0, long, 0), up(0, 0, high)],
        ),
      ];
    },
  },
  {
    id: 'saw-horses',
    title: 'Pair of saw-horses',
    about: 'Two beams on splayed legs with spreaders: no more than screws in it.',
    asks: [length('length', 'Length', '36', '900'), length('height', 'Height', '30', '750')],
    groups: [
      {
        key: 'horses',
        name: 'Saw-horses',
        parts: [
          { name: 'Beam', quantity: '2', section: both('2x6', '45x145mm'), length: '{length}' },
          {
            name: 'Leg',
            quantity: '8',
            section: both('2x4', '45x95mm'),
            length: '{height} / cos(15)',
            ends: 'parallel 15',
          },
          {
            name: 'Spreader',
            quantity: '4',
            section: both('1x4', '20x95mm'),
            // At half the height, from outside to outside.
            length: '{height} * tan(15) + 3 * {horses}.leg.thickness',
            ends: 'mitre 15',
          },
          { name: both('Exterior screws 3 in', 'Exterior screws 5x80'), quantity: '3 * {horses}.leg.count' },
          {
            name: both('Exterior screws 2 in', 'Exterior screws 5x50'),
            quantity: '4 * {horses}.spreader.count',
          },
        ],
      },
    ],
    extras: [],
    draw: ({ measure, part }) => {
      const [long, high] = [measure('length'), measure('height')];
      const [beam, leg, bar] = [part('horses', 'beam'), part('horses', 'leg'), part('horses', 'spreader')];
      const middle = bar.length;
      // Splayed by 15 degrees from beside the beam.
      const foot = high * Math.tan((15 * Math.PI) / 180);
      const across = leg.thickness;
      const legAt = (hand: -1 | 1) => {
        const top = middle + (hand * (beam.thickness + across)) / 2;
        return {
          role: 'horses.leg',
          corners: [
            [top - across / 2, high],
            [top + across / 2, high],
            [top + hand * foot + across / 2, 0],
            [top + hand * foot - across / 2, 0],
          ] as [number, number][],
        };
      };
      return [
        view(
          'End',
          [
            box('horses.beam', middle - beam.thickness / 2, high - beam.width, beam.thickness, beam.width),
            behind(
              box('horses.spreader', middle - bar.length / 2, (high - bar.width) / 2, bar.length, bar.width),
            ),
            legAt(-1),
            legAt(1),
          ],
          [up(middle - foot - beam.thickness, 0, high)],
        ),
        view(
          'Side',
          [
            box('horses.beam', 0, high - beam.width, long, beam.width),
            ...[long / 12, (long * 11) / 12 - leg.width].map((x) => box('horses.leg', x, 0, leg.width, high)),
          ],
          [along(0, long, 0)],
        ),
      ];
    },
  },
];
