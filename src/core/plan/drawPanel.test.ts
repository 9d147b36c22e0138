import fc from 'fast-check';
import { drawPanel } from '../cutting/heuristics';
import { slantedKerf, waysOn, type Cutting, type Stock } from '../cutting/model';
import { resolve } from '../project';
import { fromCsv } from '../testing';
import { fromInches } from '../units';

const { project } = fromCsv({
  parts:
    'part,qty,section,length,ends\nSquare,1,2x6,9 1/8,\nSteep,1,2x6,24,mitre 45\nFlat,1,2x6,20,mitre 30\nOne,1,2x6,16,one 22.5',
  prices: 'store,section,length,material,price\nYard,2x6,16ft,pine,9',
});
const { parts } = resolve(project);
const kerf = project.settings.kerf.ticks;
const stock = {
  kind: 'board',
  thickness: fromInches(1.5),
  width: fromInches(5.5),
  length: fromInches(192),
  unusable: 0,
  material: '',
  offers: [],
  owned: [],
} as unknown as Stock;

test('in a strip as wide as its board a slanted cut has its room before and behind, in whatever order the pieces were found', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...parts), { minLength: 2, maxLength: 6 }), (chosen) => {
      const cutting: Cutting = {
        axis: 'along',
        parts: chosen.flatMap((part) => waysOn(part, stock, project.settings).slice(0, 1)),
      };
      const { pieces } = drawPanel({ stock, cutting }, project.settings);
      expect(pieces).toHaveLength(chosen.length);
      for (const [index, piece] of pieces.entries()) {
        const next = pieces[index + 1];
        if (!next) continue;
        const end = Math.max(...piece.outline.map(([x]) => x));
        const start = Math.min(...next.outline.map(([x]) => x));
        const slopes = [piece, next].map(({ ends }) => slantedKerf(ends, kerf));
        expect(start - end).toBeGreaterThanOrEqual(Math.max(...slopes));
      }
    }),
  );
});
