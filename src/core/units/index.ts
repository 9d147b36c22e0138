export * from './ticks';
export { parseLength } from './parseLength';
export { formatLength, formatStockLength, writeLength } from './formatLength';
export { NUMBER, numberValue, parseCount, parseDecimal, percentText, plainCharacters } from './number';
export * from './money';
export { parseAngle, formatAngle } from './angle';
export type { Degrees } from './angle';
export * from './day';
export * from './bulk';
