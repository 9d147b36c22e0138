export { readParts, writeParts, withUnit } from './partsCsv';
export { readHead } from './table';
export { detectSheet, type SheetKind } from './detectSheet';
export {
  PRICE_COLUMNS,
  readPrices,
  writePrices,
  type PriceColumn,
  type PriceRow,
  type SheetReading,
} from './pricesCsv';
export { rowsForBook } from './takePrices';
export {
  readProjectFile,
  writeProjectFile,
  fileBase,
  projectFileName,
  PROJECT_VERSION,
  type ProjectFile,
} from './projectFile';
export { readPastedList, readQuickLines, type PastedLine } from './pasteList';
export { readQuickLine, type LengthOf } from './quickLine';
export type { QuickReading, QuickRole, QuickToken } from './quickTypes';
export { packColumns, unpackColumns } from './packedBook';
export { guessColumns } from './guessColumns';
export { previewPrices, type Preview, type PreviewOptions, type PreviewRow } from './previewPrices';
export { readSettings, type FileSettings } from './settingsJson';
export { readOwned, type OwnedRow } from './ownedCsv';
export { planToJson, type JsonBuy, type JsonLayout, type JsonPlan } from './planJson';
export { planText } from './planText';
export { readPlan } from './readPlan';
export { asSawn } from './planPieces';
export { writeJournal } from './ledgerText';
export { readLedger, takeLedger, writeLedger, type LedgerRow, type LedgerTaken } from './ledgerCsv';
export { reportCsv, reportHtml, reportOf, type Report } from './report';
