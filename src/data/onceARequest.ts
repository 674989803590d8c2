import { cache } from 'react';

/**
 * Asks once for each page, however many parts of it ask for the same; whatever is not a page asks each time. What comes is shared:
 * nobody changes it.
 */
export const onceARequest = cache;
