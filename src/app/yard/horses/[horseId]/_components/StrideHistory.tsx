'use client';

import { apart } from '@/components/apart';

/** How the tested stride of each gait has gone over time; the scales that it is drawn by come after the page. */
export const StrideHistory = apart(() => import('./StrideHistoryPicture'));
