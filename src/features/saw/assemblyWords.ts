import { capital } from '@/core/capital';
import type { AssemblyStep } from '@/core/takeoff';
import type { Ticks } from '@/core/units';

/** A step of putting a group together in words. `named`: a part with its letter. */
export const stepWords = (
  step: AssemblyStep,
  named: (partId: string, part: string) => string,
  say: (ticks: Ticks) => string,
): { title: string; detail: string } => {
  switch (step.kind) {
    case 'lay':
      return {
        title: 'Lay out its pieces',
        detail: step.pieces
          .map(({ partId, name, count }) => `${numberWords(count)} × ${named(partId, name)}`)
          .join(', '),
      };
    case 'join':
      return joinWords(step);
    case 'square':
      return {
        title: `Square: both diagonals ${say(step.diagonal)}`,
        detail: 'Before the glue sets or the last screws go in. Push the longer one together.',
      };
    case 'wait':
      return { title: 'Then wait until the glue holds', detail: 'In its clamps, as long as its label says.' };
    case 'measure':
      return {
        title: `Measure on the piece: ${step.pieces.map(({ partId, name }) => named(partId, name)).join(', ')}`,
        detail: 'They are cut to fit. Write the length down, and what is not cut yet is planned with it.',
      };
    case 'fit':
      return { title: 'Fit what is left', detail: step.pieces.join(', ') };
  }
};

const HOW = {
  through: 'screws through',
  pocket: 'pocket screws',
  bolt: 'bolts',
  nail: 'nails and glue',
  bracket: 'brackets',
  glue: 'glue',
} as const;

const joinWords = ({
  name,
  how,
  places,
  each,
  item,
  isNearEnd,
}: Extract<AssemblyStep, { kind: 'join' }>): { title: string; detail: string } => {
  const where = `in ${numberWords(places)} ${places === 1 ? 'place' : 'places'}`;
  const title = `${capital(name)}: ${HOW[how]}, ${where}`;
  if (how === 'glue') return { title, detail: 'Spread it on both, clamp, and wipe off what comes out.' };
  const pilot = isNearEnd ? '. Drill pilot holes near ends' : '';
  return { title, detail: `${each} × ${item} in each${pilot}.` };
};

/** A count as it is read; of what is shared by several, rounded. */
const numberWords = (count: number): string => String(Number(count.toFixed(2)));
