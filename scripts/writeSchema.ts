/** Writes docs/layout-file.schema.json from the schema that reads the file, so that the two cannot differ. */
import { writeFileSync } from 'node:fs';
import { z } from 'zod';
import { LayoutOnPaper } from '../src/files/layoutFile';

const schema = z.toJSONSchema(LayoutOnPaper, { io: 'input' });
writeFileSync('docs/layout-file.schema.json', `${JSON.stringify(schema, null, 2)}\n`);
