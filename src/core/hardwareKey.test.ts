import { hardwareKey, hardwareNearness } from './hardwareKey';

test.each([
  ['Wood screw 2 1/2', 'wood screws 2 1/2 in'],
  ['Wood screw 2 1/2', 'wood screw 2-1/2"'],
  ['wood screw 2½ in', '2 1/2 inch wood screws'],
  ['concrete block', 'Concrete Blocks'],
  ['screws 4x50', 'screw 4 x 50 mm'],
  ['screw 4×50', 'screws 4 x 50'],
  ['coated deck screw 1 5/8 in', 'deck screws, coated 1 5/8'],
  ['rubber pad', 'rubber pads'],
  ['box of hinges', 'hinge box'],
  ['corner brace', 'corner braces'],
])('%j and %j are one thing', (a, b) => expect(hardwareKey(a)).toBe(hardwareKey(b)));

test.each([
  ['wood screw 2 1/2', 'wood screw 3'],
  ['wood screw 2 1/2', 'deck screw 2 1/2'],
  ['coated deck screw 2 1/2', 'deck screw 2 1/2'],
  ['pipe nipple 1/2 x 8 in', 'pipe nipple 8 x 1/2 in'],
  ['bolt M8 100', 'bolt M8 120'],
  ['glue 500 ml', 'glue 5 l'],
  ['hinge 3 in', 'hinge 30 mm'],
  ['glass', 'glas'],
])('%j and %j are two things', (a, b) => expect(hardwareKey(a)).not.toBe(hardwareKey(b)));

test('what is near shares most of its words', () => {
  expect(hardwareNearness('coat hooks', 'brass coat hook')).toBeGreaterThan(0.5);
  expect(hardwareNearness('coat hooks', 'deck screw 2 1/2')).toBe(0);
});
