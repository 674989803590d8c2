import { z } from 'zod';

const Named = z.object({ id: z.string().max(60), name: z.string().max(200) });
const ThreadShape = z.object({ layout: Named.optional(), lesson: Named.optional(), pair: Named.optional() });

/** The layout, the lesson and the pair that one is working on. */
export type Thread = z.infer<typeof ThreadShape>;

/** Reads the cookie; anything that is not a thread counts as none. */
export function readThread(cookie: string | undefined): Thread {
  if (cookie === undefined) return {};
  try {
    return ThreadShape.parse(JSON.parse(decodeURIComponent(cookie)));
  } catch {
    return {};
  }
}
