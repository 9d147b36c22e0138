import { fileBase, projectFileName, writeParts, writePrices, writeProjectFile } from '@/core/io';
import { saveFile, type OpenProject } from '@/hooks';

/** The files that a project is saved to; the code that writes them is fetched when it is asked for. */

export const saveProject = ({ project, book }: OpenProject): void =>
  saveFile(projectFileName(project), writeProjectFile(project, book), 'application/json');

/** Saves the parts of a project as parts.csv. */
export const exportParts = ({ project }: OpenProject): void =>
  saveFile(`${fileBase(project)}-parts.csv`, writeParts(project), 'text/csv');

/** Saves the prices of a project's currency as prices.csv. */
export const exportPrices = ({ project, book }: OpenProject): void =>
  saveFile(`${fileBase(project)}-prices.csv`, writePrices(book, project.currency, project.unit), 'text/csv');
