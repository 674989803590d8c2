import type { PassMark, TappedMark } from '../record/passMark';
import type { PassRecord } from '../record/passRecord';
import { testQuestion } from '../question/testQuestion';
import type { Rein } from '../track/rein';

/** Makes passes of one pair at one stage, so long after one another, for tests. */
export function lessonPasses(everyMs = 60_000) {
  let count = 0;
  return (rein: Rein, ...marks: TappedMark[]): PassRecord => ({
    ...{ id: `p${(count += 1)}`, pairId: 'pair', layoutVersionId: 'v', lessonId: 'l', direction: 'as-drawn' },
    ...{ rein, stage: 's', stageId: 's', question: testQuestion('line'), riddenAtMs: count * everyMs },
    marks: marks.map(mark => ({ id: `m${(count += 1)}`, ...mark }) as PassMark),
  });
}
