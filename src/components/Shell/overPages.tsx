'use client';

import { apart } from '../apart';

/*
 * What stands over every page, in some yards and on some days only: drawn with the page, and no page waits for its script.
 */
export const SampleBar = apart(() => import('./SampleBar').then(shell => ({ default: shell.SampleBar })));
export const ClockNotice = apart(() => import('./ClockNotice').then(shell => ({ default: shell.ClockNotice })));
