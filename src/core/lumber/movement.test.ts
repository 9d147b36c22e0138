import { fromInches, fromMm } from '../units';
import { materialOf } from '.';
import { propertiesOf, seasonalMovement } from './movement';
import { SPECIES } from './species';

const woods = SPECIES.filter(({ panel }) => !panel);

test('at least forty woods and panels are known, each once, and each wood with its hardness, shrinkage and durability', () => {
  expect(SPECIES.length).toBeGreaterThanOrEqual(40);
  expect(new Set(SPECIES.map(({ name }) => name)).size).toBe(SPECIES.length);
  expect(woods.filter((wood) => !propertiesOf({ species: wood.name, panel: null }))).toEqual([]);
});

test.each(woods.map(({ name, decay }) => [name, decay] as const))(
  '%s: figures agree with each other',
  (name, decay) => {
    const known = propertiesOf({ species: name, panel: null });
    if (!known) throw new Error(name);
    // All woods shrink more along the rings than across them.
    expect(known.tangential).toBeGreaterThan(known.radial);
    expect(known.tangential).toBeLessThan(13);
    const classes = known.durability.split('-').map(Number);
    expect(classes).toEqual([...classes].sort());
    // What the handbook calls resistant is at its best no worse than class 3, and what it calls slight is never class 1 or 2.
    const best = classes[0] ?? 0;
    expect(decay === 'resistant' ? best <= 3 : decay === 'slight' ? best >= 3 : best >= 2).toBe(true);
  },
);

test('denser woods are harder: the two orders agree, so that no figure is far out', () => {
  const rankOf = (values: number[]) => {
    const sorted = [...values].sort((a, b) => a - b);
    return values.map((value) => sorted.indexOf(value));
  };
  const density = rankOf(woods.map((wood) => wood.density));
  const hardness = rankOf(
    woods.map(({ name }) => propertiesOf({ species: name, panel: null })?.hardness ?? 0),
  );
  const count = woods.length;
  const apart = density.reduce((sum, rank, index) => sum + (rank - (hardness[index] ?? 0)) ** 2, 0);
  // Spearman's rank correlation.
  expect(1 - (6 * apart) / (count * (count ** 2 - 1))).toBeGreaterThan(0.85);
});

test('a wide top of Douglas-fir moves about an eighth of an inch, one of mahogany half as much; a sheet is not told', () => {
  expect(seasonalMovement(materialOf('Douglas-fir'), fromInches(12))).toBe(
    Math.round(fromInches(12 * 0.076 * (4 / 30))),
  );
  expect(seasonalMovement(materialOf('mahogany'), fromMm(300))).toBe(
    Math.round(fromMm(300 * 0.041 * (4 / 30))),
  );
  expect(seasonalMovement(materialOf('birch plywood'), fromInches(12))).toBeNull();
  // What the user calls otherwise has no row.
  expect(propertiesOf({ species: 'my own', panel: null })).toBeNull();
});
