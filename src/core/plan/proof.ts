import type { Layout, Plan } from '../cutting/model';

/** Under what rules a plan was proved, where they leave something out (planner.md): words to follow "among plans". */
export const proofTerms = ({ layouts }: Plan): string[] => {
  const isRippedOf = ({ kind, width, pieces: own }: Layout) =>
    kind === 'board' && own.some(({ outline }) => Math.max(...outline.map(([, y]) => y)) < width);
  const isSlanted = (own: Layout['pieces']) => own.some(({ ends }) => ends.shape !== 'square');
  const ripped = layouts.filter(isRippedOf);
  const inStrips = ripped.flatMap(({ pieces }) => pieces);
  return [
    ...(layouts.some(({ pieces }) => pieces.some(({ faces }) => faces))
      ? ['that saw shaped parts as rectangles, all alone or all in pairs head to tail']
      : []),
    ...(layouts.some((layout) => !isRippedOf(layout) && isSlanted(layout.pieces))
      ? ['that lay slanted ends in one row']
      : []),
    ...(isSlanted(inStrips) ? ['that nest slanted ends in strips as long as their board'] : []),
    // Two of one slanted end share a cut on a board; in a strip that is not looked through yet.
    ...(inStrips.some(({ ends }) => ends.shape === 'one')
      ? ['that pair no pieces of one slanted end in strips']
      : []),
    ...(ripped.length > 0 || layouts.some(({ kind }) => kind === 'sheet')
      ? ['that part a sheet or strip in three stages']
      : []),
  ];
};
