'use client';

import { lazily } from '@/components/lazily';

/** What is seldom marked, over a pad: fetched beside it as it begins, so that it is there without a server, and no tap waits for it. */
export const MoreOver = lazily(() => import('./MoreMarks').then(({ MoreMarks }) => ({ default: MoreMarks })), {
  atOnce: true,
});
