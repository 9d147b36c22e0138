import { materialOf } from '.';
import { SPECIES } from './species';

/** Shelf tags with words of more than one thing in them: what each is. */
const TAGS: [tag: string, species: string][] = [
  ['spruce-pine-fir', 'spruce-pine-fir'],
  ['spruce pine fir 2x4 stud', 'spruce-pine-fir'],
  ['SPF premium', 'spruce-pine-fir'],
  ['S-P-F No. 2', 'spruce-pine-fir'],
  ['kiln-dried whitewood stud', 'spruce-pine-fir'],
  ['white wood board', 'spruce-pine-fir'],
  ['cedar fence panel', 'western redcedar'],
  ['western red cedar board', 'western redcedar'],
  ['cedar tone treated fence panel', 'western redcedar'],
  ['white birch lumber', 'birch'],
  ['birch board', 'birch'],
  ['birch ply', 'birch plywood'],
  ['birch plywood', 'birch plywood'],
  ['plywood, birch faced', 'birch plywood'],
  ['baltic birch sheet', 'birch plywood'],
  ['poplar ply', 'plywood'],
  ['oak veneer plywood', 'plywood'],
  ['pine plywood', 'plywood'],
  ['spruce plywood sheathing', 'plywood'],
  ['sheathing', 'plywood'],
  ['multiplex', 'plywood'],
  ['blockboard', 'plywood'],
  ['marine ply', 'outdoor plywood'],
  ['exterior grade plywood', 'outdoor plywood'],
  ['plywood for outdoor use', 'outdoor plywood'],
  ['MDF', 'fibreboard'],
  ['oak veneered mdf', 'fibreboard'],
  ['hardboard', 'fibreboard'],
  ['fiberboard', 'fibreboard'],
  ['OSB', 'strand or particle board'],
  ['particle board shelf', 'strand or particle board'],
  ['white chipboard', 'strand or particle board'],
  ['pine glued panel', 'pine'],
  ['edge-glued pine panel', 'pine'],
  ['knotty pine', 'pine'],
  ['ponderosa pine select', 'pine'],
  ['southern yellow pine', 'southern pine'],
  ['yellow pine', 'southern pine'],
  ['Douglas fir', 'Douglas-fir'],
  ['douglas-fir post', 'Douglas-fir'],
  ['siberian larch cladding', 'larch'],
  ['hem-fir', 'western hemlock'],
  ['hemlock', 'western hemlock'],
  ['redwood fence board', 'redwood'],
  ['oak', 'red oak'],
  ['red oak board', 'red oak'],
  ['white oak', 'white oak'],
  ['poplar', 'yellow-poplar'],
  ['tulipwood', 'yellow-poplar'],
  ['hard maple', 'maple'],
  ['ash', 'white ash'],
  ['washed pine', 'pine'],
  ['limewood', 'basswood'],
  ['cypress', 'baldcypress'],
  ['robinia post', 'black locust'],
  ['Swedish redwood batten', 'Scots pine'],
  ['scots pine sleeper', 'Scots pine'],
  ['red cedar', 'western redcedar'],
  ['eastern red cedar post', 'eastern redcedar'],
  ['aromatic cedar closet lining', 'eastern redcedar'],
  ['white cedar rail', 'northern white-cedar'],
  ['Alaska yellow cedar', 'Alaska yellow-cedar'],
  ['incense cedar fence picket', 'incense-cedar'],
  ['eastern white pine select', 'eastern white pine'],
  ['radiata moulding', 'radiata pine'],
  ['European whitewood C16', 'Norway spruce'],
  ['C24 spruce joist', 'spruce-pine-fir'],
  ['red maple', 'soft maple'],
  ['maple butcher block', 'maple'],
  ['European oak board', 'European oak'],
  ['pecan', 'hickory'],
  ['lauan board', 'meranti'],
  ['sapele', 'sapele'],
  ['aspen bench slat', 'aspen'],
  ['stud', 'spruce-pine-fir'],
  ['treated', 'southern pine'],
  ['pressure treated fence post', 'southern pine'],
  ['whatever', 'spruce-pine-fir'],
];

test.each(TAGS)('"%s" is %s', (tag, species) => {
  expect(materialOf(tag).species).toBe(species);
});

/** Words that stand beside the name of a wood on a tag and say nothing of what it is. */
const SAWN_FORMS = [
  '%',
  '% board',
  '% lumber',
  'select %',
  '1x6x8 %',
  '% fence panel',
  '%, rough',
  'planed % 20 mm',
];
const SHEET_FORMS = ['%', '% 18 mm', '4 x 8 %', '% cut to size'];

test('every row is found by its own name, whatever form stands beside it: more than 200 tags', () => {
  let tags = 0;
  for (const { name, short, panel } of SPECIES)
    for (const form of panel ? SHEET_FORMS : SAWN_FORMS)
      for (const called of new Set(panel ? [name] : [name, short])) {
        const tag = form.replace('%', called);
        expect([tag, materialOf(tag).species]).toEqual([tag, name]);
        tags++;
      }
  expect(tags).toBeGreaterThan(200);
});

test.each([
  ['UC4A treated', true],
  ['treated, ground contact', true],
  ['ground contact treated post', true],
  ['treated pine, use class 4', true],
  ['UC4B, above ground and ground contact', true],
  ['treated, above ground only', false],
  ['above-ground treated deck board', false],
  ['treated UC3B', false],
  ['use class 3 batten', false],
  ['pressure-treated', null],
] as const)('"%s": in the ground %s', (tag, inGround) => {
  expect(materialOf(tag)).toMatchObject({ decay: 'treated', inGround });
});

test.each([
  ['spruce C16', 'C16', 0.1],
  ['C 24 larch', 'C24', 0.05],
  ['select oak', 'select or premium', 0],
] as const)('"%s" is graded %s', (tag, grade, spare) => {
  expect(materialOf(tag)).toMatchObject({ grade, spare });
});
