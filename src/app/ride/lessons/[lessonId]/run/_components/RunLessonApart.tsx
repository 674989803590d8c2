'use client';

import dynamic from 'next/dynamic';
import { fetched } from '@/components/lazily';
import { pageApart } from '@/components/apart';
import type { RunLessonProps } from './runProps';

// It is wanted whatever comes: while the page round it comes alive its script is read already.
if (typeof window !== 'undefined') import('./RunLesson').catch(() => undefined);

/** A tap on its keys is kept from the first moment: the script that counts it comes behind the page. */
export const RunLessonApart = pageApart(
  dynamic<RunLessonProps>(() => fetched(() => import('./RunLesson').then(part => ({ default: part.RunLesson })))),
);
