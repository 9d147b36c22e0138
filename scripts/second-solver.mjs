/** For tests: solves programs with a second solver (GLPK). Reads a list of them as JSON from standard input, writes their best values. */
import { readFileSync } from 'node:fs';
import loadGlpk from 'glpk.js/node';

const glpk = await loadGlpk();
const programs = JSON.parse(readFileSync(0, 'utf8'));
const best = programs.map(({ cost, rows, whole }) => {
  const names = cost.map((_, index) => `x${index}`);
  const { result } = glpk.solve({
    name: 'program',
    objective: {
      direction: glpk.GLP_MIN,
      name: 'cost',
      vars: cost.map((coef, index) => ({ name: names[index], coef })),
    },
    subjectTo: rows.map(({ terms, lower, upper }, index) => ({
      name: `r${index}`,
      vars: terms.map(([column, coef]) => ({ name: names[column], coef })),
      bnds: { type: upper === null ? glpk.GLP_LO : glpk.GLP_UP, lb: lower ?? 0, ub: upper ?? 0 },
    })),
    generals: whole.map((column) => names[column]),
    options: { msglev: glpk.GLP_MSG_OFF, presol: true, mipgap: 0 },
  });
  return result.status === glpk.GLP_OPT ? result.z : null;
});
process.stdout.write(JSON.stringify(best));
