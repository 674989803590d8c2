'use client';

import { apart } from '../apart';

/** What schooling did to a stride; the scales that it is drawn by come after the page. */
export const BeforeAfter = apart(() => import('./BeforeAfterPicture'));
