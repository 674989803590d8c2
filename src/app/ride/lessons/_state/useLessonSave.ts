import { useSaveId } from '@/components/sync/useSaveId';
import { newId } from '@/components/newId';
import type { LessonPlan } from '@/core';
import { writeLesson } from '@/files/writeLesson';
import { whoSays } from '@/components/who/whoSays';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { saveLessonAction } from '../actions';
import type { KeptTyped, TypedLesson } from './useTypedLesson';

type LessonSave = {
  /** Null while the lesson is new. */
  lessonId: string | null;
  first: { revision: number | null; plan: LessonPlan };
  typed: TypedLesson;
  kept: KeptTyped;
  /** What is planned now, with what somebody else changed meanwhile. */
  onSaved: (plan: LessonPlan) => void;
};

/** Saves what is typed over what it was made of: whether it is on its way, what was said of it, and what was wrong. */
export function useLessonSave({ lessonId, first, typed, kept, onSaved }: LessonSave) {
  const router = useRouter();
  const [made, setMade] = useState({ revision: first.revision, plan: first.plan });
  const [said, setSaid] = useState<string[]>([]);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const nameSave = useSaveId();
  // What a new lesson is called from its first save on, whether or not that was answered.
  const [ownId] = useState(newId);
  const save = () =>
    begin(async () => {
      const sent = { ...typed, plan: writeLesson(typed.plan) };
      const base = made.revision === null ? null : { revision: made.revision, plan: writeLesson(made.plan) };
      const answer = await saveLessonAction(lessonId, sent, base, whoSays(), nameSave({ sent, base }), ownId).catch(
        () => null,
      );
      if (answer === null) {
        setFaults({});
        return setProblem(
          `The server does not answer, so nothing was saved. What you typed is ${kept.isKept() ? 'kept on this device' : 'still here'}: try again.`,
        );
      }
      setFaults(answer.ok ? {} : answer.fields);
      setProblem(answer.ok ? null : (answer.problem ?? Object.values(answer.fields)[0] ?? null));
      if (!answer.ok) return;
      kept.drop();
      setSaid(answer.said);
      if (answer.saved) {
        setMade(answer.saved);
        onSaved(answer.saved.plan);
      }
      router.push(`/ride/lessons/${answer.lessonId}`);
      router.refresh();
    });
  return { save, busy, said, faults, problem };
}
