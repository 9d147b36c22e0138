/** Checks of what comes from outside, by the JSON Schemas beside this file. */
import { validatorsOf, type Schema } from '../jsonSchema';
import project from './schemas/project.schema.json';
import storage from './schemas/storage.schema.json';

export { schemaProblems } from './validate';

const validatorOf = validatorsOf([project, storage] as Schema[]);

export const validateProjectFile = validatorOf('billet-project');
export const validateProjectRecord = validatorOf('billet-storage#/$defs/projectRecord');
export const validateBookRecord = validatorOf('billet-storage#/$defs/bookRecord');
export const validateSettingsRecord = validatorOf('billet-storage#/$defs/settingsRecord');
