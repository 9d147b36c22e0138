import { fromInches, toMm } from '../units';
import {
  cautionsFor,
  choosingNotes,
  coverage,
  differByGrade,
  finishSuits,
  fitnessOf,
  gradeRank,
  isFinish,
  lifeOf,
  materialOf,
  wantsFinish,
  woodWeight,
  type HazardContext,
  type Exposure,
  type Setting,
  type Verdict,
} from '.';

const at = (exposure: Exposure, more: Partial<Setting> = {}): Setting => ({
  exposure,
  nearFood: false,
  treatedNearFood: 'avoid',
  ...more,
});
const verdict = (name: string, setting: Setting): Verdict => fitnessOf(materialOf(name), setting).verdict;

test('a name on a tag is a species, a treatment and a grade, each by itself', () => {
  expect(materialOf('treated pine stud')).toMatchObject({
    species: 'pine',
    treatment: 'pressure-treated',
    grade: 'stud',
  });
  expect(materialOf('Cedar  picket')).toMatchObject({
    species: 'western redcedar',
    treatment: '',
    grade: '',
  });
  expect(materialOf('select pine')).toMatchObject({ species: 'pine', grade: 'select or premium' });
  expect(materialOf('whatever')).toMatchObject({ species: 'spruce-pine-fir', grade: '' });
  expect(materialOf('fibreboard').panel).toBe('fibreboard');
});

test('what the user says of a name holds before its words', () => {
  const own = {
    'brown lumber': { ...materialOf('treated'), name: 'Brown lumber', density: 0.5, source: 'yours' },
  };
  expect(materialOf('brown  Lumber', own)).toMatchObject({ decay: 'treated', density: 0.5 });
  expect(materialOf('Brown lumber').decay).toBe('slight');
  expect(woodWeight(1e6, 'Brown lumber', own) / woodWeight(1e6, 'Brown lumber')).toBeCloseTo(0.5 / 0.42);
});

// Relative densities: Wood Handbook, FPL-GTR-282, ch. 5, table 5-3 (from memory).
test.each([
  ['stud', 0.42],
  ['common pine', 0.4],
  ['Douglas-fir', 0.48],
  ['treated', 0.51],
  ['cedar picket', 0.32],
  ['redwood', 0.38],
  ['larch', 0.52],
])('%s has a relative density of %f', (name, density) => {
  expect(materialOf(name).density).toBe(density);
});

// Decay: Wood Handbook, ch. 14, table 14-1 (from memory). Treated: AWPA U1, UC3B above ground, UC4A in it (from memory).
test.each<[string, Exposure, Verdict]>([
  ['stud', 'indoors', 'fit'],
  ['stud', 'damp', 'finish'],
  ['stud', 'outdoors', 'finish'],
  ['stud', 'ground', 'unfit'],
  ['select pine', 'outdoors', 'finish'],
  ['Douglas-fir', 'outdoors', 'finish'],
  ['larch', 'ground', 'short'],
  ['cedar', 'outdoors', 'fit'],
  ['cedar', 'ground', 'fit'],
  ['redwood', 'ground', 'fit'],
  ['treated', 'outdoors', 'fit'],
  ['treated', 'ground', 'fit'],
  ['treated UC3B', 'ground', 'unfit'],
  ['treated UC4A', 'ground', 'fit'],
  ['birch ply', 'damp', 'finish'],
  ['birch ply', 'outdoors', 'unfit'],
  ['exterior ply', 'outdoors', 'finish'],
  ['fibreboard', 'damp', 'unfit'],
])('%s, %s: %s', (name, exposure, expected) => {
  expect(verdict(name, at(exposure))).toBe(expected);
  expect(fitnessOf(materialOf(name), at(exposure)).source).not.toBe('');
});

test('treated wood near food: one school is warned and told of cedar, the other takes it with a liner', () => {
  const near = { nearFood: true };
  const warned = fitnessOf(materialOf('treated'), at('ground', near));
  expect(warned.verdict).toBe('differ');
  expect(warned.sentence).toMatch(/cedar or redwood.*liner/);
  const lined = fitnessOf(materialOf('treated'), at('ground', { ...near, treatedNearFood: 'liner' }));
  expect(lined).toMatchObject({ verdict: 'fit', sentence: expect.stringMatching(/Line it/) });
  expect(verdict('cedar', at('ground', near))).toBe('fit');
  expect(verdict('stud', at('outdoors', near))).toBe('short');
  // Where both hold, the worse is told.
  expect(verdict('stud', at('ground', near))).toBe('unfit');
});

// Common practice: stud 10 %, No. 2 5 %, premium none.
test.each([
  ['stud', 0.1],
  ['pine No. 2', 0.05],
  ['common pine', 0.05],
  ['premium', 0],
  ['select pine', 0],
  ['treated', 0],
])('%s has a usual spare of %f', (name, spare) => expect(materialOf(name).spare).toBe(spare));

test('grades of one wood differ by grade alone, the cheaper below', () => {
  const [select, common] = [materialOf('select pine'), materialOf('common pine')];
  expect(differByGrade(select, common)).toBe(true);
  expect(gradeRank(common)).toBeLessThan(gradeRank(select));
  expect(differByGrade(select, materialOf('cedar'))).toBe(false);
});

test('cedar may stay bare outdoors; pine wants a finish and lasts longer with one', () => {
  expect(wantsFinish(materialOf('cedar'), 'outdoors')).toBe(false);
  expect(wantsFinish(materialOf('treated'), 'ground')).toBe(false);
  expect(wantsFinish(materialOf('select pine'), 'outdoors')).toBe(true);
  expect(wantsFinish(materialOf('select pine'), 'indoors')).toBe(false);
  const bare = lifeOf(materialOf('select pine'), 'outdoors', false);
  const painted = lifeOf(materialOf('select pine'), 'outdoors', true);
  expect(painted.low).toBeGreaterThan(bare.low);
  expect(lifeOf(materialOf('cedar'), 'ground', false).low).toBeGreaterThan(
    lifeOf(materialOf('stud'), 'ground', true).high,
  );
});

test('finishes by their tags: what they are for, and what a can covers (150 to 350 ft2 a gallon: common practice)', () => {
  expect([isFinish('outdoor stain quart'), isFinish('wood glue'), isFinish('paint brush')]).toEqual([
    true,
    false,
    false,
  ]);
  expect([finishSuits('outdoor stain', 'ground'), finishSuits('clear finish quart', 'outdoors')]).toEqual([
    true,
    false,
  ]);
  const feet = (name: string) => (coverage(name) ?? 0) / 304.8 ** 2;
  expect(feet('deck stain gallon')).toBeGreaterThanOrEqual(150);
  expect(feet('deck stain gallon')).toBeLessThanOrEqual(350);
  expect(feet('deck stain quart') * 4).toBeCloseTo(feet('deck stain gallon'));
  expect(coverage('glaze 0.75 l')).toBeGreaterThan(0);
  expect(coverage('wax tin')).toBeNull();
});

test('notes for choosing: wane first for studs, moisture first for treated wood, faces for sheets, each once', () => {
  expect(choosingNotes(materialOf('stud'))[0]).toMatch(/^Wane/);
  expect(choosingNotes(materialOf('treated'))[0]).toMatch(/^Moisture/);
  expect(choosingNotes(materialOf('birch ply')).join()).not.toMatch(/Crown/);
  const notes = choosingNotes(materialOf('stud'));
  for (const word of ['Crown', 'Twist', 'Wane', 'Knots', 'Moisture', 'Staples', 'Measure the length'])
    expect(notes.filter((note) => note.startsWith(word))).toHaveLength(1);
});

const NOTHING: HazardContext = {
  treated: false,
  nearFood: false,
  fibreboard: false,
  rips: false,
  narrowestStrip: null,
  saws: false,
  heaviest: 0,
  large: false,
  tall: 0,
  carriesPeople: false,
  nearHeat: false,
};

test.each<[string, Partial<HazardContext>, string[]]>([
  ['nothing at hand', {}, []],
  ['treated wood cut', { treated: true, saws: true }, ['treated', 'saw']],
  ['treated wood near food', { treated: true, nearFood: true }, ['treated', 'treated-food']],
  ['fibreboard', { fibreboard: true }, ['fibreboard']],
  ['a 3/4 in strip', { rips: true, narrowestStrip: toMm(fromInches(0.75)) }, ['ripping', 'thin-strips']],
  ['a 3 1/2 in strip', { rips: true, narrowestStrip: toMm(fromInches(3.5)) }, ['ripping']],
  ['a whole sheet', { large: true }, ['heavy']],
  ['a heavy board', { heaviest: 30 }, ['heavy']],
  ['a tall case', { tall: 1900 }, ['tipping']],
  ['seats by a stove', { carriesPeople: true, nearHeat: true }, ['people', 'heat']],
])('cautions with %s', (_name, at, expected) => {
  const found = cautionsFor({ ...NOTHING, ...at });
  expect(found.map(({ id }) => id)).toEqual(expected);
  for (const { sentence, source } of found)
    expect([sentence.length < 180, source !== '']).toEqual([true, true]);
});
