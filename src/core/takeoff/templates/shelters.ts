import type { Ticks } from '../../units';
import { along, behind, box, length, repeated, slanted, up, view } from '../shapes';
import type { Shape } from '../types';
import { both, OIL } from './common';
import type { Template, TemplateExtra, TemplateGroup, TemplateSizes } from './types';

const ROOFING: Pick<TemplateExtra, 'name' | 'rule' | 'covers'> = {
  name: 'Roofing sheet',
  rule: 'area',
  covers: { in: '16 ft2', mm: '1.5 m2' },
};

/**
 * Rafters that fall by `fall` over `run`, a foot longer than it, and the battens across them. Plumb cuts: a rafter is as long as what it
 * spans, by the cosine of its slope (trigonometry).
 */
const roof = (run: string, fall: string): TemplateGroup[] => [
  {
    key: 'roof',
    name: 'Roof',
    exposure: 'outdoors',
    parts: [
      {
        name: 'Rafter',
        quantity: both('ceil({width} / 24in) + 1', 'ceil({width} / 600mm) + 1'),
        section: both('2x4', '45x95mm'),
        length: both(
          `(${run} + 12) / cos(atan((${fall}) / ${run}))`,
          `(${run} + 300) / cos(atan((${fall}) / ${run}))`,
        ),
        ends: 'parallel 10',
        angle: `atan((${fall}) / ${run})`,
      },
      { name: 'Rafter ties', quantity: '2 * {roof}.rafter.count' },
    ],
  },
  {
    key: 'battens',
    name: 'Roof battens',
    helper: 'slats',
    exposure: 'outdoors',
    answers: {
      span: '{roof}.rafter.length',
      length: '{width}',
      slat: both('1x4', '20x95mm'),
      largest_gap: both('20', '500'),
      bearers: '',
    },
    parts: [
      {
        name: both('Exterior screws 2 in', 'Exterior screws 5x50'),
        quantity: '{battens}.slat.count * {roof}.rafter.count',
      },
    ],
  },
];

/** A rafter on two walls or posts, as seen from the side, and the ends of its battens. `low` and `high` are the heights below it. */
const rafterOver = ({ measure, part }: TemplateSizes, left: Ticks, right: Ticks): Shape => {
  const [run, rafter] = [measure('depth'), part('roof', 'rafter')];
  const slope = (right - left) / Math.max(1, run);
  const over = Math.max(0, rafter.length / Math.hypot(1, slope) - run) / 2;
  const upright = rafter.width * Math.hypot(1, slope);
  return slanted(
    'roof.rafter',
    [-over, left + upright / 2 - over * slope],
    [run + over, right + upright / 2 + over * slope],
    upright,
  );
};

const WIDTH = length('width', 'Width', '96', '2400');

/** Templates of what keeps the rain off. */
export const SHELTERS: Template[] = [
  {
    id: 'lean-to',
    title: 'Lean-to frame',
    about: 'Two walls of studs, the back one taller, rafters and battens for a roof.',
    asks: [
      WIDTH,
      length('depth', 'Depth', '48', '1200'),
      length('front_height', 'Height in front', '72', '1800'),
      length('back_height', 'Height at the back', '84', '2100', { help: 'More than in front.' }),
    ],
    groups: [
      ...(['front', 'back'] as const).map((side): TemplateGroup => ({
        key: side,
        name: side === 'front' ? 'Front wall' : 'Back wall',
        helper: 'frame',
        exposure: 'outdoors',
        answers: { length: '{width}', width: `{${side}_height}` },
        parts: [
          {
            name: 'Side rail',
            quantity: '2',
            section: both('2x4', '45x95mm'),
            length: `{depth} - 2 * {${side}}.long_side.width`,
          },
        ],
      })),
      ...roof('{depth}', '{back_height} - {front_height}'),
    ],
    extras: [{ ...ROOFING, amount: '{roof}.rafter.length * {width}' }, OIL],
    draw: (sizes) => {
      const [deep, wide] = [sizes.measure('depth'), sizes.measure('width')];
      const [front, back] = [sizes.measure('front_height'), sizes.measure('back_height')];
      const { part } = sizes;
      const [plate, stud] = [part('front', 'long_side'), part('front', 'stiffener')];
      const studs = stud.count + 2;
      return [
        view(
          'Side',
          [
            box('front.short_side', 0, 0, plate.width, front),
            box('back.short_side', deep - plate.width, 0, plate.width, back),
            box('front.side_rail', plate.width, front / 2, deep - 2 * plate.width, plate.width),
            rafterOver(sizes, front, back),
          ],
          [along(0, deep, 0), up(0, 0, front), up(deep, 0, back, 'right')],
        ),
        view(
          'Front',
          [
            ...repeated(studs, (wide - plate.thickness) / (studs - 1), (x) =>
              box('front.short_side', x, plate.thickness, plate.thickness, front - 2 * plate.thickness),
            ),
            ...[0, front - plate.thickness].map((y) => box('front.long_side', 0, y, wide, plate.thickness)),
          ],
          [along(0, wide, 0), up(0, 0, front)],
        ),
      ];
    },
  },
  {
    id: 'bike-shelter',
    title: 'Bike shelter',
    about: 'Four posts, a clad back wall and a roof that falls to it.',
    asks: [
      { ...WIDTH, label: 'Width, two feet a bike', usual: { in: '72', mm: '1800' } },
      length('depth', 'Depth', '78', '2000'),
      length('front_height', 'Height in front', '72', '1800'),
      length('back_height', 'Height at the back', '60', '1500', { help: 'Less than in front.' }),
    ],
    groups: [
      {
        key: 'posts',
        name: 'Posts',
        exposure: 'ground',
        parts: [
          {
            name: 'Front post',
            quantity: '2',
            section: both('4x4', '90x90mm'),
            length: '{front_height}',
          },
          { name: 'Back post', quantity: '2', section: both('4x4', '90x90mm'), length: '{back_height}' },
          { name: 'Plate', quantity: '2', section: both('2x6', '45x145mm'), length: '{width}' },
          { name: 'Side rail', quantity: '2', section: both('2x4', '45x95mm'), length: '{depth}' },
          { name: 'Post anchors', quantity: '4' },
        ],
      },
      {
        key: 'wall',
        name: 'Back wall',
        helper: 'cladding',
        answers: { width: '{width}', height: both('{back_height} - 4', '{back_height} - 100') },
      },
      ...roof('{depth}', '{front_height} - {back_height}'),
    ],
    extras: [{ ...ROOFING, amount: '{roof}.rafter.length * {width}' }, OIL],
    draw: (sizes) => {
      const [deep, wide] = [sizes.measure('depth'), sizes.measure('width')];
      const [front, back] = [sizes.measure('front_height'), sizes.measure('back_height')];
      const { part } = sizes;
      const [post, rail, board] = [
        part('posts', 'front_post'),
        part('posts', 'side_rail'),
        part('wall', 'cladding_board'),
      ];
      const step = (wide - board.width) / Math.max(1, board.count - 1);
      return [
        view(
          'Side',
          [
            behind(box('wall.cladding_board', deep, 0, board.thickness, board.length)),
            box('posts.front_post', 0, 0, post.width, front),
            box('posts.back_post', deep - post.width, 0, post.width, back),
            box('posts.side_rail', 0, back / 2, deep, rail.width),
            rafterOver(sizes, front, back),
          ],
          [along(0, deep, 0), up(0, 0, front), up(deep, 0, back, 'right')],
        ),
        view(
          'Front',
          [
            ...repeated(board.count, step, (x) =>
              behind(box('wall.cladding_board', x, 0, board.width, board.length)),
            ),
            ...[0, wide - post.width].map((x) => box('posts.front_post', x, 0, post.width, front)),
            box('posts.plate', 0, front - part('posts', 'plate').width, wide, part('posts', 'plate').width),
          ],
          [along(0, wide, 0), up(0, 0, front)],
        ),
      ];
    },
  },
];
