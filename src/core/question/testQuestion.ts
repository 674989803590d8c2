import { AS_LAID_OUT } from './builtState';
import type { Question } from './question';

/** For tests: a track of a layout as it lies. */
export function testQuestion(trackId: string, changes: Partial<Question> = {}): Question {
  return {
    ...{ id: trackId, name: null, what: { kind: 'track', trackId }, state: AS_LAID_OUT },
    ...{ gait: 'course-canter', rein: null, asked: [] },
    ...changes,
  };
}
