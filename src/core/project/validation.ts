/** Checks of what comes from outside, by the JSON Schemas beside this file. */
import { validatorsOf, type Schema } from '../jsonSchema';
import project from './schemas/project.schema.json';
import storage from './schemas/storage.schema.json';

export { schemaProblems } from './validate';

const validatorOf = validatorsOf([project, storage] as Schema[]);

/** A project file, as text of JSON that was read. */
export const validateProjectFile = validatorOf('billet-project');
/** A project as the browser keeps it. */
export const validateProjectRecord = validatorOf('billet-storage#/$defs/projectRecord');
/** The price book as the browser keeps it. */
export const validateBookRecord = validatorOf('billet-storage#/$defs/bookRecord');
/** The settings as the browser keeps them. */
export const validateSettingsRecord = validatorOf('billet-storage#/$defs/settingsRecord');
