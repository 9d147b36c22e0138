import fc from 'fast-check';
import { disjointSets } from './disjointSets';

test('two keys stand together when a chain of sets leads from one to the other, and only then', () => {
  const key = fc.nat(9);
  fc.assert(
    fc.property(
      fc.array(fc.array(key, { minLength: 1, maxLength: 4 }), { maxLength: 6 }),
      key,
      key,
      (sets, a, b) => {
        const reached = new Set([a]);
        for (let before = 0; before < reached.size;) {
          before = reached.size;
          for (const set of sets)
            if (set.some((one) => reached.has(one))) set.forEach((one) => reached.add(one));
        }
        const standsFor = disjointSets(sets);
        expect(standsFor(a) === standsFor(b)).toBe(reached.has(b));
      },
    ),
  );
});
