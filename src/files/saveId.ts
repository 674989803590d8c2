import { z } from 'zod';

/** Names a save: sent once more after a lost answer, it is the same save and has the same answer. */
export const SaveId = z.uuid();

/** The name of a save as it was sent; what is none names nothing. */
export const saveIdOf = (saving: unknown): string | undefined => SaveId.optional().catch(undefined).parse(saving);
