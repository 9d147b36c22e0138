/**
 * Writes the validators of the JSON Schemas as plain code, so that the app needs no code generation at run
 * time, which its content-security policy forbids. Run by `npm run schemas`, which an install runs too.
 */
const fs = require('node:fs');
const path = require('node:path');
const { Ajv } = require('ajv');
const standaloneCode = require('ajv/dist/standalone').default;

const folder = path.join(__dirname, '../src/core/project');
const read = (name) => JSON.parse(fs.readFileSync(path.join(folder, 'schemas', name), 'utf8'));
const ajv = new Ajv({
  schemas: [read('project.schema.json'), read('storage.schema.json')],
  allErrors: true,
  code: { source: true, lines: true },
});
const code = standaloneCode(ajv, {
  validateProjectFile: 'billet-project',
  validateProjectRecord: 'billet-storage#/$defs/projectRecord',
  validateBookRecord: 'billet-storage#/$defs/bookRecord',
  validateSettingsRecord: 'billet-storage#/$defs/settingsRecord',
});
fs.writeFileSync(path.join(folder, 'validators.generated.js'), code);
