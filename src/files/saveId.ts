import { z } from 'zod';

/** Names a save: sent once more after a lost answer, it is the same save and has the same answer. */
export const SaveId = z.uuid();
