export { readParts, writeParts, withUnit } from './partsCsv';
export { readPrices, rowsForBook, writePrices, isDate, type PriceRow } from './pricesCsv';
export {
  readProjectFile,
  writeProjectFile,
  projectFileName,
  PROJECT_VERSION,
  type ProjectFile,
} from './projectFile';
export { readPastedList, type PastedLine } from './pasteList';
export { readQuickLine, type QuickReading, type QuickRole, type QuickToken } from './quickLine';
