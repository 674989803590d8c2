import { hasReins, type GatedQuestion, type Layout, type Question } from '@/core';
import { askedRide } from './askedRide';

/** Questions as the gate of their stage looks at them: what each is called, and whether it is asked on each rein. */
export function gatedQuestions(layout: Layout, questions: readonly Question[]): GatedQuestion[] {
  return questions.map(question => {
    const ride = askedRide(layout, question, null);
    return { id: question.id, name: ride?.words ?? 'A question', hasReins: ride ? hasReins(ride.ways) : false };
  });
}
