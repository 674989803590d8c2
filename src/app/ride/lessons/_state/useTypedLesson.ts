import { draftLeft, dropDraft, keepDraft, tabId } from '@/components/sync/drafts';
import type { LessonPlan } from '@/core';
import { writeLesson } from '@/files/writeLesson';
import { useEffect, useRef, useState } from 'react';

export type TypedLesson = { name: string; arenaId: string; startsAt: string; plan: LessonPlan };

/**
 * Keeps what is typed of a lesson on this device until it is saved, for the tab that it is typed in, and brings it back.
 * @param lessonId - or what a new lesson is over, so that each plan that was begun comes back by itself
 * @param revision - of the lesson as it was opened: what was typed over an older one is left
 */
export function useTypedLesson(
  lessonId: string,
  revision: number | null,
  typed: TypedLesson,
  bringBack: (back: TypedLesson) => void,
) {
  const name = `lesson ${lessonId}`;
  const { plan, ...words } = typed;
  const text = JSON.stringify({ revision, ...words, plan: writeLesson(plan) });
  const [first] = useState(text);
  const [isBack, setIsBack] = useState(false);
  /** Whether this device took it: asked when it is told. */
  const isKept = useRef(true);
  const looked = useRef(false);
  const latest = useRef(bringBack);
  useEffect(() => {
    latest.current = bringBack;
  });
  useEffect(() => {
    if (looked.current) return;
    looked.current = true;
    void readTyped(name, revision).then(back => {
      if (!back) return;
      latest.current(back);
      setIsBack(true);
    });
  }, [name, revision]);
  useEffect(() => {
    // What was kept from before is looked at first: an untouched form says nothing over it.
    if (text !== first) isKept.current = keepDraft(name, JSON.parse(text));
  }, [name, text, first]);
  return {
    isBack,
    isKept: () => isKept.current,
    drop: () => dropDraft(name),
    startAgain: () => {
      dropDraft(name);
      window.location.reload();
    },
  };
}

/** What is done with what was typed and is kept on this device. */
export type KeptTyped = ReturnType<typeof useTypedLesson>;

async function readTyped(name: string, revision: number | null): Promise<TypedLesson | null> {
  try {
    const left = await draftLeft(name);
    if (!left) return null;
    const { LessonForm, lessonFromPaper } = await import('@/files/lessonPaper');
    const { revision: from, ...sent } = left.value as Record<string, unknown>;
    // A lesson that is not whole yet has no name or no day: it comes back as it was.
    const read = LessonForm.partial().safeParse(sent);
    if (from !== revision || !read.success || !read.data.plan) return null;
    if (left.tab !== tabId()) dropDraft(name, left.tab);
    const { name: called = '', arenaId = '', startsAt = '', plan } = read.data;
    return { name: called, arenaId, startsAt, plan: lessonFromPaper(plan) };
  } catch {
    return null;
  }
}
