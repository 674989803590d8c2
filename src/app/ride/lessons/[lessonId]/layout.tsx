import { FollowThread } from '@/components/Shell/thread';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { findLesson } from '@/data/queries/lessons';
import type { ReactNode } from 'react';

type LessonLayoutProps = { children: ReactNode; params: Promise<{ lessonId: string }> };

/** Every page of a lesson names it at the top. */
export default async function LessonLayout({ children, params }: LessonLayoutProps) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext(may.read);
  const lesson = await findLesson(db, yard.id, lessonId);
  return (
    <>
      {lesson && <FollowThread lesson={{ id: lesson.id, name: lesson.name }} />}
      {children}
    </>
  );
}
