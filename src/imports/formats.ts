import { everythingFormat } from './everything';
import { ledgerFormat } from './ledger';
import { partsFormat } from './parts';
import { pricesFormat } from './prices';
import { projectFormat } from './project';
import { rackFormat } from './rack';
import type { ImportFile, ImportFormat } from './types';

/** Every kind of file that comes in, the more particular first. A new one is a row here and a file beside it. */
export const IMPORT_FORMATS: ImportFormat[] = [
  everythingFormat,
  projectFormat,
  partsFormat,
  ledgerFormat,
  pricesFormat,
  rackFormat,
];

/** What a file is, by what stands in it; where that says nothing, what was asked for. */
export const formatOf = (file: ImportFile, wanted: ImportFormat['id']): ImportFormat => {
  const format =
    IMPORT_FORMATS.find((one) => one.detect(file)) ?? IMPORT_FORMATS.find(({ id }) => id === wanted);
  if (!format) throw new Error(`no import format ${wanted}`);
  return format;
};
