export { readFormula, FUNCTIONS, type Formula, type FunctionName } from './readFormula';
export { writeFormula, mapFormula, namesIn } from './writeFormula';
export { evaluate, evaluateAs, type Scope } from './evaluate';
export { bareOf, lengthOf, numberOf, valueOf, type Quantity } from './quantity';
export { isWhole, toFraction, toNumber } from './fraction';
