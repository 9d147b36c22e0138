import { along, behind, box, choice, count, length, section, slanted, up, view } from '../shapes';
import type { Helper } from '../types';

/** A brace at 45 degrees: long edge = leg x sqrt 2 + its width's slant (common practice); the leg is that of its middle line. */
const CORNER = {
  length: (leg: string) => `${leg} * sqrt(2) + brace.width * tan(45)`,
};

/**
 * A brace that goes from one corner of a field to the other, cut upright at both ends: at an angle A its middle
 * line runs `run` across, its ends are width/cos A high, so rise = run x tan A + width/cos A. Hence, with
 * R = sqrt(run² + rise²): A = acos(width/R) − atan(run/rise).
 */
const slopeOf = (run: string, rise: string, width: string): string => {
  const across = `(${run} * ${run} + ${rise} * ${rise})`;
  return `atan(sqrt(${across} - ${width} * ${width}) / ${width}) - atan(${run} / ${rise})`;
};

/** Braces against racking: in a corner, from corner to corner, or crossed. */
export const braces: Helper = {
  id: 'braces',
  title: 'Braces',
  about: 'Against racking: at 45° in a corner, from corner to corner between posts, or crossed.',
  asks: [
    choice('form', 'Form', [
      ['corner', '45° in a corner'],
      ['field', 'Corner to corner'],
      ['cross', 'Crossed'],
    ]),
    section('board', 'Braces', '2x4', '45x95mm'),
    length('brace_leg', 'From the corner, along each side', '24', '600', {
      when: { key: 'form', is: 'corner' },
    }),
    length('run', 'Clear between the posts', '36', '900', { when: { key: 'form', is: 'field|cross' } }),
    length('rise', 'Height of the field', '24', '600', {
      when: { key: 'form', is: 'field|cross' },
      help: 'Lower than wide, or nearly: steeper than 60° no saw is set.',
    }),
    count('braces', 'How many corners or fields', '2'),
  ],
  make: ({ measure, text }) => {
    const form = text('form');
    if (form === 'corner')
      return {
        parts: [
          {
            name: 'Brace',
            quantity: measure('braces'),
            section: text('board'),
            length: CORNER.length(measure('brace_leg')),
            ends: 'mitre 45',
          },
        ],
        joints: [
          { how: 'through', first: 'brace', second: 'brace', into: 'width', quantity: '2 * brace.count' },
        ],
      };
    return {
      parts: [
        {
          name: 'Brace',
          quantity: form === 'cross' ? `2 * ${measure('braces')}` : measure('braces'),
          section: text('board'),
          length: `${measure('run')} / cos(${measure('slope')})`,
          ends: 'parallel 30',
          angle: measure('slope'),
        },
      ],
      joints: [
        { how: 'through', first: 'brace', second: 'brace', into: 'width', quantity: '2 * brace.count' },
        ...(form === 'cross'
          ? ([
              { how: 'bolt', first: 'brace', second: 'brace', quantity: measure('braces'), each: 1 },
            ] as const)
          : []),
      ],
      follows: [
        { key: 'slope', formula: slopeOf(measure('run'), measure('rise'), 'brace.width'), kind: 'number' },
      ],
    };
  },
  draw: ({ measure, text, part }) => {
    const { width } = part('brace');
    if (text('form') === 'corner') {
      const leg = measure('brace_leg');
      const half = (width * Math.SQRT2) / 2;
      const all = leg + half + width;
      return [
        view(
          'Front',
          [
            behind(box('post', -width, -all, width, all)),
            behind(box('rail', -width, 0, width + all, width)),
            {
              role: 'brace',
              corners: [
                [0, -leg - half],
                [0, -leg + half],
                [leg - half, 0],
                [leg + half, 0],
              ],
            },
          ],
          [along(0, leg, width, 'above'), up(-width, -leg, 0, 'left')],
        ),
      ];
    }
    const [run, rise] = [measure('run'), measure('rise')];
    const cut = width / Math.cos((measure('slope') * Math.PI) / 180);
    return [
      view(
        'Front',
        [
          behind(box('post', -width, 0, width, rise)),
          behind(box('post', run, 0, width, rise)),
          ...(text('form') === 'cross' ? [slanted('brace', [0, rise - cut / 2], [run, cut / 2], cut)] : []),
          slanted('brace', [0, cut / 2], [run, rise - cut / 2], cut),
        ],
        [along(0, run, 0), up(-width, 0, rise)],
      ),
    ];
  },
  notes: ({ measure, text, part }, say) => {
    const long = `Each is ${say(part('brace').length)} along its long edge`;
    if (text('form') === 'corner')
      return [
        `${long}, 45° at both ends.`,
        `Mark ${say(measure('brace_leg'))} from the corner on both sides: its middle line meets them there.`,
      ];
    const angle = Number(measure('slope').toFixed(1));
    return [
      `${long}, both ends ${angle}° the same way.`,
      ...(text('form') === 'cross'
        ? ['They pass face to face; halve both where they cross if they must lie in one plane.']
        : []),
    ];
  },
};
