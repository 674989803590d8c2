'use client';

import { KeyStandIn } from '@/components/fields/KeyStandIn';
import { later } from '@/components/later';
import type { LessonFilesProps } from './LessonFilesMenu';

/** What of a lesson goes out: what opens comes after the page. */
export const LessonFiles = later<LessonFilesProps>(
  () => import('./LessonFilesMenu'),
  () => (
    <KeyStandIn variant="default" mih={44}>
      On paper and out
    </KeyStandIn>
  ),
);
