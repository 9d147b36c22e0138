/** Writes the JSON Schemas of files and stored records from their declarations: `npm run schemas`. */
import { writeFileSync } from 'node:fs';
import { format } from 'prettier';
import { projectSchema } from '../src/core/project/schemas/project';
import { storageSchema } from '../src/core/project/schemas/storage';

const FOLDER = 'src/core/project/schemas';

const write = async (name: string, schema: object): Promise<void> =>
  writeFileSync(
    `${FOLDER}/${name}`,
    await format(JSON.stringify(schema), { parser: 'json', printWidth: 110 }),
  );

void Promise.all([write('project.schema.json', projectSchema), write('storage.schema.json', storageSchema)]);
