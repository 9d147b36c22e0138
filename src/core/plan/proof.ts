import type { Plan } from '../cutting/model';

/** Under what rules a plan was proved, where they leave something out (planner.md): words to follow "among plans". */
export const proofTerms = ({ layouts }: Plan): string[] => {
  const pieces = layouts.flatMap((layout) => layout.pieces);
  const isRipped = layouts.some(
    ({ kind, width, pieces: own }) =>
      kind === 'board' && own.some(({ outline }) => Math.max(...outline.map(([, y]) => y)) < width),
  );
  return [
    ...(pieces.some(({ ends }) => ends.shape !== 'square') ? ['that lay slanted ends in one row'] : []),
    ...(isRipped || layouts.some(({ kind }) => kind === 'sheet')
      ? ['that part a sheet or strip in three stages']
      : []),
  ];
};
