import fc from 'fast-check';
import { RecentMap } from './recentMap';

it('holds what was used last, and no more', () => {
  const uses = fc.array(fc.tuple(fc.boolean(), fc.integer({ min: 0, max: 9 })), { maxLength: 60 });
  fc.assert(
    fc.property(uses, fc.integer({ min: 1, max: 5 }), (asked, max) => {
      const map = new RecentMap<number, number>(max);
      // What a list in the order of use says.
      let order: number[] = [];
      asked.forEach(([isSet, key], at) => {
        const isHeld = order.includes(key);
        if (isSet) map.set(key, at);
        expect(map.get(key) !== undefined).toBe(isSet || isHeld);
        if (isSet || isHeld) order = [...order.filter((other) => other !== key), key].slice(-max);
      });
    }),
  );
});
