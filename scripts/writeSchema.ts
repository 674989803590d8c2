/** Writes docs/layout-file.schema.json. */
import { writeFileSync } from 'node:fs';
import { layoutSchema } from '../src/files/layoutSchema';

writeFileSync('docs/layout-file.schema.json', `${JSON.stringify(layoutSchema(), null, 2)}\n`);
