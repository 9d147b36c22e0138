import { keepingLast } from './keepingLast';

test('the same is worked out once; anything else anew, and the newest is what is kept', () => {
  const work = jest.fn((a: object, b: number) => ({ a, b }));
  const kept = keepingLast(work);
  const [one, other] = [{}, {}];
  const first = kept(one, 1);
  expect(kept(one, 1)).toBe(first);
  expect(kept(one, 2)).toEqual({ a: one, b: 2 });
  expect(kept(other, 2).a).toBe(other);
  expect(kept(one, 1)).not.toBe(first);
  expect(work).toHaveBeenCalledTimes(4);
});
