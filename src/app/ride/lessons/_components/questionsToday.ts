import { overState, questionWords, type LessonPlan, type Question } from '@/core';
import type { LayoutHere } from '../lessonChoices';

export type Today = { question: Question; words: string };
/** A planned question as its layout has it today; null where the layout no longer has it. */
export type TodayOf = (question: Question) => Today | null;

/**
 * Planned questions as their layouts have them today. What was changed here since the page was opened lies over that: counts,
 * heights, what is a pole.
 */
export function questionsToday(
  layouts: readonly LayoutHere[],
  known: Readonly<Record<string, Today>>,
  plan: LessonPlan,
): TodayOf {
  return question => {
    if (question.what.kind === 'made') {
      const layout = layouts.find(({ id }) =>
        plan.stages.some(
          stage => stage.layoutId === id && stage.questions.some(asked => asked.question.id === question.id),
        ),
      );
      return layout ? { question, words: questionWords(layout.layout, question) } : null;
    }
    const today = known[question.id];
    if (!today) return null;
    const asked = question.asked.length > 0 ? question.asked : today.question.asked;
    return { ...today, question: { ...today.question, asked, state: overState(today.question.state, question.state) } };
  };
}
