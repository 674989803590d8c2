import type { WorkKind } from '../suggest/step';
import type { QuestionWork } from './questionWork';

/** What sort of work a question is, by what is ridden over. */
export function workKindOf({ stops }: Pick<QuestionWork, 'stops'>): WorkKind {
  if (stops.some(stop => stop === 'low effort' || stop === 'high effort')) return 'fences';
  return stops.length > 0 ? 'poles' : 'flat';
}
