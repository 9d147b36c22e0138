import { between, fittingCount, flushGap } from '../even';
import { along, behind, box, choice, count, length, repeated, section, up, view } from '../shapes';
import type { Helper, MadeExtra, MadeJoint, MadePart, Row, Sizes } from '../types';

/** Walls of stacked boards or pickets, with posts, a floor, a liner and a fill. */
export const raisedBox: Helper = {
  id: 'raised-box',
  isSquare: true,
  title: 'Raised box',
  about: 'Walls of stacked boards or pickets, with posts, stakes, a floor, a cap, liner and fill.',
  asks: [
    length('length', 'Length', '72', '1800'),
    length('width', 'Width', '36', '900'),
    choice('sizes', 'These are', [
      ['outside', 'Outside sizes'],
      ['inside', 'Inside sizes'],
    ]),
    section('board', 'Boards or pickets', '2x6', '28x145mm'),
    count('rows', 'Rows, one upon the other', '2'),
    section('post', 'Corner posts', '2x2', '45x45mm'),
    length('stake_spacing', 'Stakes at most this far apart', '36', '900', {
      blank: 'none',
      help: 'Against bulging. Blank: none.',
    }),
    length('deep', 'Stakes go into the ground by', '12', '300', {
      when: { key: 'stake_spacing', is: 'any' },
    }),
    choice('floor', 'Floor', [
      ['none', 'None'],
      ['boards', 'Boards'],
    ]),
    length('drain', 'Gaps in the floor, to drain, of about', '1/4', '6', {
      when: { key: 'floor', is: 'boards' },
    }),
    choice('cap', 'Cap', [
      ['none', 'None'],
      ['mitre', 'Mitred'],
    ]),
    section('capBoard', 'Cap', '2x4', '28x95mm', { when: { key: 'cap', is: 'mitre' } }),
    choice('liner', 'Liner', [
      ['no', 'None'],
      ['yes', 'Inside the walls'],
    ]),
    choice('fill', 'Fill', [
      ['no', 'None'],
      ['yes', 'In bags'],
    ]),
  ],
  make: (answers) => {
    const { measure, text, has } = answers;
    const isInside = text('sizes') === 'inside';
    const outer = (key: string) => (isInside ? `(${measure(key)} + 2 * long_board.thickness)` : measure(key));
    const inner = (key: string) => (isInside ? measure(key) : `(${measure(key)} - 2 * long_board.thickness)`);
    const wall = `${measure('rows')} * long_board.width`;
    const [long, wide] = [inner('length'), inner('width')];
    const floor: MadePart = {
      name: 'Floor board',
      quantity: fittingCount(long, 'floor_board.width', measure('drain')),
      section: text('board'),
      length: wide,
      shows: 'none',
    };
    const caps = (['Long cap', 'Short cap'] as const).map((name): MadePart => ({
      name,
      quantity: '2',
      section: text('capBoard'),
      length: outer(name === 'Long cap' ? 'length' : 'width'),
      ends: 'mitre 45',
    }));
    const stakes = `2 * (${between(long, measure('stake_spacing'))} + ${between(wide, measure('stake_spacing'))})`;
    return {
      exposure: 'ground',
      parts: [
        {
          name: 'Long board',
          quantity: `2 * ${measure('rows')}`,
          section: text('board'),
          length: outer('length'),
        },
        { name: 'Short board', quantity: `2 * ${measure('rows')}`, section: text('board'), length: wide },
        { name: 'Corner post', quantity: '4', section: text('post'), length: wall, shows: 'none' },
        ...(has('stake_spacing')
          ? [
              {
                name: 'Stake',
                quantity: stakes,
                section: text('post'),
                length: `${wall} + ${measure('deep')}`,
                shows: 'none' as const,
              },
            ]
          : []),
        ...(text('floor') === 'boards' ? [floor] : []),
        ...(text('cap') === 'mitre' ? caps : []),
      ],
      joints: jointsOf(answers),
      extras: extrasOf(answers, { long, wide, wall }),
      follows: [
        { key: 'wall', formula: wall },
        ...(text('floor') === 'boards'
          ? [{ key: 'floor_gap', formula: flushGap(long, 'floor_board.width', 'floor_board.count') }]
          : []),
      ],
    };
  },
  draw: ({ measure, part }) => {
    const board = part('long_board');
    const [long, inside, high] = [board.length, part('short_board').length, measure('wall')];
    const wide = inside + 2 * board.thickness;
    const post = part('corner_post');
    const stakes = Math.max(
      0,
      Math.ceil((long - 2 * board.thickness) / (measure('stake_spacing') || long)) - 1,
    );
    const step = (long - 2 * board.thickness) / (stakes + 1);
    const cap = part('long_cap');
    const rows = Math.round(high / (board.width || 1));
    const hasStakes = part('stake').count > 0;
    return [
      view(
        'Front',
        [
          ...(hasStakes
            ? repeated(stakes, step, (offset) =>
                behind(
                  box(
                    'stake',
                    board.thickness + step + offset - post.width / 2,
                    high - part('stake').length,
                    post.width,
                    part('stake').length,
                  ),
                ),
              )
            : []),
          ...repeated(rows, board.width, (offset) => box('long_board', 0, offset, long, board.width)),
          ...(cap.count > 0 ? [box('long_cap', 0, high, long, cap.thickness)] : []),
        ],
        [
          along(0, long, hasStakes && stakes > 0 ? Math.min(0, high - part('stake').length) : 0),
          up(0, 0, high),
        ],
      ),
      view(
        'Top',
        [
          ...repeated(part('floor_board').count, part('floor_board').width + measure('floor_gap'), (offset) =>
            behind(
              box(
                'floor_board',
                board.thickness + offset,
                board.thickness,
                part('floor_board').width,
                inside,
              ),
            ),
          ),
          ...[0, wide - board.thickness].map((y) => box('long_board', 0, y, long, board.thickness)),
          ...[0, long - board.thickness].map((x) =>
            box('short_board', x, board.thickness, board.thickness, inside),
          ),
          ...[board.thickness, long - board.thickness - post.width].flatMap((x) =>
            [board.thickness, wide - board.thickness - post.thickness].map((y) =>
              box('corner_post', x, y, post.width, post.thickness),
            ),
          ),
        ],
        [
          along(0, long, 0),
          up(0, 0, wide),
          up(long - board.thickness, board.thickness, wide - board.thickness, 'right'),
        ],
      ),
    ];
  },
  notes: ({ measure, part }, say) => [
    `The walls are ${say(measure('wall'))} high, and it is ${say(part('long_board').length - 2 * part('long_board').thickness)} x ${say(part('short_board').length)} inside.`,
    ...(part('floor_board').count > 1
      ? [`The ${part('floor_board').count} floor boards lie ${say(measure('floor_gap'))} apart.`]
      : []),
  ],
  rows: ({ measure, text, part }) => [
    {
      name: 'Width of the box',
      total: part('short_board').length + (text('sizes') === 'inside' ? 0 : 2 * part('long_board').thickness),
      span: measure('width'),
      gap: null,
      largestGap: null,
    },
    ...(part('floor_board').count > 1 ? [floorRow(measure, part)] : []),
  ],
};

type Answered = Parameters<Helper['make']>[0];

const jointsOf = ({ measure, text, has }: Answered): MadeJoint[] => {
  const joints: MadeJoint[] = [
    { how: 'through', first: 'long_board', second: 'corner_post', quantity: `4 * ${measure('rows')}` },
    { how: 'through', first: 'short_board', second: 'corner_post', quantity: `4 * ${measure('rows')}` },
  ];
  if (has('stake_spacing'))
    joints.push({
      how: 'through',
      first: 'long_board',
      second: 'stake',
      quantity: `stake.count * ${measure('rows')}`,
    });
  if (text('cap') === 'mitre')
    joints.push({ how: 'through', first: 'long_cap', second: 'long_board', into: 'width', quantity: '8' });
  if (text('floor') === 'boards')
    joints.push({
      how: 'through',
      first: 'long_board',
      second: 'floor_board',
      into: 'end',
      quantity: '2 * floor_board.count',
      each: 1,
    });
  return joints;
};

const extrasOf = (
  { text }: Answered,
  { long, wide, wall }: { long: string; wide: string; wall: string },
): MadeExtra[] => {
  const extras: MadeExtra[] = [];
  const ground = text('floor') === 'boards' ? ` + ${long} * ${wide}` : '';
  if (text('liner') === 'yes')
    extras.push({
      name: 'Liner',
      rule: 'area',
      amount: `2 * (${long} + ${wide}) * ${wall}${ground}`,
      covers: { in: '50 ft2', mm: '5 m2' },
    });
  if (text('fill') === 'yes')
    extras.push({
      name: 'Bag of fill',
      rule: 'volume',
      amount: `${long} * ${wide} * ${wall}`,
      covers: { in: '1.5 ft3', mm: '40 l' },
    });
  return extras;
};

/** The floor boards and their gaps against the inside of the box. */
const floorRow = (measure: Sizes['measure'], part: Sizes['part']): Row => {
  const { count: boards, width } = part('floor_board');
  const gap = measure('floor_gap');
  return {
    name: 'Floor',
    total: boards * width + (boards - 1) * gap,
    span: part('long_board').length - 2 * part('long_board').thickness,
    gap,
    largestGap: null,
  };
};
