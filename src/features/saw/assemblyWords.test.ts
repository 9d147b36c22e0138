import { stepWords } from './assemblyWords';

const named = (partId: string, name: string) => `${partId.toUpperCase()} ${name}`;
const say = (ticks: number) => `${ticks} ticks`;
const words = (step: Parameters<typeof stepWords>[0]) => stepWords(step, named, say);

test('each step says what is done and with what', () => {
  expect(words({ kind: 'lay', pieces: [{ partId: 'a', name: 'Post', count: 4 }] }).detail).toBe('4 × A Post');
  expect(words({ kind: 'square', diagonal: 60 }).title).toBe('Square: both diagonals 60 ticks');
  expect(words({ kind: 'fit', pieces: ['2 × Hinge'] }).detail).toBe('2 × Hinge');
});

test('a joint says how often, what holds it, and where a pilot hole is wanted; one that is glued says how', () => {
  const join = { kind: 'join', jointId: 'j', name: 'Rail to post', places: 1, each: 2 } as const;
  expect(words({ ...join, how: 'through', item: 'deck screw 2 1/2 in', isNearEnd: true })).toEqual({
    title: 'Rail to post: screws through, in 1 place',
    detail: '2 × deck screw 2 1/2 in in each. Drill pilot holes near ends.',
  });
  expect(words({ ...join, how: 'pocket', item: 'pocket screw 2 1/2 in', isNearEnd: false }).detail).toBe(
    '2 × pocket screw 2 1/2 in in each.',
  );
  expect(words({ ...join, how: 'glue', item: '', isNearEnd: false }).detail).toMatch(/clamp/);
});
