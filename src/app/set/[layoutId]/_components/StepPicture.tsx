'use client';

import { apart } from '@/components/apart';

/** What one does for a piece, seen from above; what draws it comes after the list that one walks by. */
export const StepPicture = apart(() => import('./StepDrawn'));
