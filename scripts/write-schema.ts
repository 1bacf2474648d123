// Writes docs/build-file.schema.json from the schema in force.
import { writeFileSync } from 'node:fs';
import { publishedSchema } from './published-schema';

writeFileSync('docs/build-file.schema.json', `${JSON.stringify(publishedSchema(), null, 2)}\n`);
