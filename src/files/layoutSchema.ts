import { z } from 'zod';
import { LayoutOnPaper } from './layoutOnPaper';

/** The JSON Schema of the layout file, made from the schema that reads it, so that the two cannot differ. */
export function layoutSchema() {
  return z.toJSONSchema(LayoutOnPaper, { io: 'input', reused: 'ref' });
}
