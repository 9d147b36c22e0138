import type { Layout, Plan } from '../cutting/model';

/** Under what rules a plan was proved, where they leave something out (planner.md): words to follow "among plans". */
export const proofTerms = ({ layouts }: Plan): string[] => {
  const isRippedOf = ({ kind, width, pieces: own }: Layout) =>
    kind === 'board' && own.some(({ outline }) => Math.max(...outline.map(([, y]) => y)) < width);
  const isSlanted = (own: Layout['pieces']) => own.some(({ ends }) => ends.shape !== 'square');
  const ripped = layouts.filter(isRippedOf);
  return [
    ...(layouts.some((layout) => !isRippedOf(layout) && isSlanted(layout.pieces))
      ? ['that lay slanted ends in one row']
      : []),
    // In a strip they could nest too: that is not looked through yet.
    ...(ripped.some((layout) => isSlanted(layout.pieces))
      ? ['that nest no slanted ends in ripped strips']
      : []),
    ...(ripped.length > 0 || layouts.some(({ kind }) => kind === 'sheet')
      ? ['that part a sheet or strip in three stages']
      : []),
  ];
};
