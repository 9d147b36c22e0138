/**
 * Writes the validators of the JSON Schemas as plain code, so that the app needs no code generation at run
 * time, which its content-security policy forbids. Run by `npm run schemas`, which an install runs too.
 */
const fs = require('node:fs');
const path = require('node:path');
const { Ajv } = require('ajv');
const standaloneCode = require('ajv/dist/standalone').default;

const at = (...place) => path.join(__dirname, '..', ...place);
const make = (schemas, validators, target) => {
  const ajv = new Ajv({
    schemas: schemas.map((file) => JSON.parse(fs.readFileSync(file, 'utf8'))),
    allErrors: true,
    inlineRefs: false,
    code: { source: true, lines: false, optimize: 2 },
  });
  fs.writeFileSync(target, standaloneCode(ajv, validators));
};

make(
  [at('src/core/project/schemas/project.schema.json'), at('src/core/project/schemas/storage.schema.json')],
  {
    validateProjectFile: 'billet-project',
    validateProjectRecord: 'billet-storage#/$defs/projectRecord',
    validateBookRecord: 'billet-storage#/$defs/bookRecord',
    validateSettingsRecord: 'billet-storage#/$defs/settingsRecord',
  },
  at('src/core/project/validators.generated.js'),
);
// What the price service answers: the app reads it by the schemas that the service publishes.
make(
  [at('server/feed/feed.schema.json'), at('server/feed/stores.schema.json')],
  { validateStorePrices: 'billet-store-prices', validateStores: 'billet-stores' },
  at('src/data/feedSchemas.generated.js'),
);
