import { along, behind, box, choice, length, section, up, view } from '../shapes';
import type { Helper } from '../types';

/** What stands under a top: four legs, aprons between them, a rail in the middle. */
export const legs: Helper = {
  id: 'legs',
  title: 'Legs and aprons',
  about: 'What stands under a top: four legs, aprons between them, a rail in the middle.',
  asks: [
    length('height', 'Height over all', '30', '750'),
    length('length', 'Length of the top', '48', '1200'),
    length('depth', 'Depth of the top', '20', '500'),
    length('top', 'Thickness of the top', '1 1/2', '28', { help: 'It is taken off the legs.' }),
    length('overhang', 'The top stands out over the legs by', '1', '25'),
    section('leg', 'Legs', '4x4', '70x70mm'),
    section('apron', 'Aprons', '2x4', '45x95mm'),
    length('setback', 'Aprons set back from the face of the legs', '1/2', '12'),
    choice('middle', 'Middle rail', [
      ['none', 'None'],
      ['long', 'Along'],
    ]),
    length('low_rails_at', 'Low rails at this height', '8', '200', {
      blank: 'none',
      help: 'To their lower edge: for a shelf or against racking. Blank: none.',
    }),
  ],
  make: ({ measure, text, has }) => {
    const outside = (of: string) => `${measure(of)} - 2 * ${measure('overhang')}`;
    const apron = text('apron');
    const rails = [
      {
        name: 'Long low rail',
        quantity: '2',
        section: apron,
        length: `${outside('length')} - 2 * leg.width`,
      },
      {
        name: 'Short low rail',
        quantity: '2',
        section: apron,
        length: `${outside('depth')} - 2 * leg.thickness`,
      },
    ];
    const middle = {
      name: 'Middle rail',
      quantity: '1',
      section: apron,
      length: `${outside('length')} - 2 * ${measure('setback')} - 2 * short_apron.thickness`,
    };
    return {
      parts: [
        {
          name: 'Leg',
          quantity: '4',
          section: text('leg'),
          length: `${measure('height')} - ${measure('top')}`,
        },
        { name: 'Long apron', quantity: '2', section: apron, length: `${outside('length')} - 2 * leg.width` },
        {
          name: 'Short apron',
          quantity: '2',
          section: apron,
          length: `${outside('depth')} - 2 * leg.thickness`,
        },
        ...(text('middle') === 'long' ? [middle] : []),
        ...(has('low_rails_at') ? rails : []),
      ],
      joints: [
        { how: 'pocket', first: 'long_apron', second: 'leg', into: 'width', quantity: '4' },
        { how: 'pocket', first: 'short_apron', second: 'leg', quantity: '4' },
        ...(text('middle') === 'long'
          ? ([
              { how: 'through', first: 'short_apron', second: 'middle_rail', into: 'end', quantity: '2' },
            ] as const)
          : []),
        ...(has('low_rails_at')
          ? ([
              { how: 'pocket', first: 'long_low_rail', second: 'leg', into: 'width', quantity: '4' },
              { how: 'pocket', first: 'short_low_rail', second: 'leg', quantity: '4' },
            ] as const)
          : []),
      ],
    };
  },
  draw: ({ measure, part }) => {
    const [long, deep, high, top] = [measure('length'), measure('depth'), measure('height'), measure('top')];
    const [over, back, low] = [measure('overhang'), measure('setback'), measure('low_rails_at')];
    const [leg, apron] = [part('leg'), part('long_apron')];
    const right = long - over - leg.width;
    const far = deep - over - leg.thickness;
    const inside = long - 2 * over - 2 * leg.width;
    const hasLow = part('long_low_rail').count > 0;
    return [
      view(
        'Front',
        [
          box('top', 0, high - top, long, top),
          behind(box('long_apron', over + leg.width, leg.length - apron.width, inside, apron.width)),
          ...(hasLow ? [behind(box('long_low_rail', over + leg.width, low, inside, apron.width))] : []),
          box('leg', over, 0, leg.width, leg.length),
          box('leg', right, 0, leg.width, leg.length),
        ],
        [
          up(0, 0, high),
          up(long, 0, leg.length, 'right'),
          along(0, long, 0),
          along(over + leg.width, right, leg.length - apron.width, 'below'),
        ],
      ),
      view(
        'Top',
        [
          ...[over, right].flatMap((x) => [over, far].map((y) => box('leg', x, y, leg.width, leg.thickness))),
          ...[over + back, deep - over - back - apron.thickness].map((y) =>
            box('long_apron', over + leg.width, y, inside, apron.thickness),
          ),
          ...[over + back, long - over - back - apron.thickness].map((x) =>
            box('short_apron', x, over + leg.thickness, apron.thickness, deep - 2 * over - 2 * leg.thickness),
          ),
          ...(part('middle_rail').count > 0
            ? [
                box(
                  'middle_rail',
                  over + back + apron.thickness,
                  (deep - apron.thickness) / 2,
                  part('middle_rail').length,
                  apron.thickness,
                ),
              ]
            : []),
        ],
        [along(0, long, 0), up(0, 0, deep)],
      ),
    ];
  },
  rows: ({ measure, part }) => [
    {
      name: 'Length between the outsides of the legs',
      total: part('long_apron').length + 2 * part('leg').width,
      span: measure('length') - 2 * measure('overhang'),
      gap: null,
      largestGap: null,
    },
    {
      name: 'Height',
      total: part('leg').length + measure('top'),
      span: measure('height'),
      gap: null,
      largestGap: null,
    },
  ],
};
