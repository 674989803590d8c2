import type { PassMark, TappedMark } from '../record/passMark';
import { testQuestion } from '../question/testQuestion';
import type { Rein } from '../track/rein';
import { dayNumber } from '../words/calendarDay';
import type { RiddenGround, RiddenLeg } from './ground';
import { reviewPass, type ReviewPass } from './reviewPass';

/** Of a day, milliseconds. */
const DAY_MS = 86_400_000;
const RULE = { fixed: 1, perStride: 1, zeroStrides: 1, zeroIs: 'bounce', keepsFixed: false } as const;

/** A leg between two fences, for tests. */
export function testLeg(groundM: number, asked: number | null = null): RiddenLeg {
  return {
    ...{ from: 'heron', to: 'willow', groundM, rule: RULE, entry: 'course-canter', asked, betweenPoles: false },
    ...{ countedM: groundM, turnShare: 1 },
  };
}

/** A line of two fences, for tests. */
export function testGround(groundM: number): RiddenGround {
  return {
    ...{ gait: 'course-canter', legs: [testLeg(groundM)], asked: [null], figures: [], cells: [], asides: [] },
    ...{ gaits: [], stopsM: [], changes: [] },
    stops: ['heron', 'willow'].map((id, index) => ({
      id,
      name: id,
      at: { xM: 10, yM: 10 + index * groundM },
      isFence: true,
    })),
    work: {
      stops: ['low effort', 'low effort'],
      legCircles: [{ left: 0, right: 0 }],
      figureCircles: { left: 0, right: 0 },
    },
  };
}

type TestPass = { pairId?: string; version?: string; day?: string; rein?: Rein; groundM?: number; key?: string };

/** Makes passes of a line, one after the other, for tests. */
export function passMaker() {
  let made = 0;
  return (
    { pairId = 'quill', version = 'v', day = '2026-05-04', rein = 'left', groundM = 18.1, key = 'line' }: TestPass,
    ...marks: TappedMark[]
  ): ReviewPass => {
    made += 1;
    const record = {
      ...{ id: `p${made}`, pairId, layoutVersionId: version, lessonId: null, direction: 'as-drawn' as const, rein },
      marks: marks.map((mark, order) => ({ id: `${made} ${order}`, ...mark }) as PassMark),
      ...{ stage: 'all', stageId: null, question: testQuestion('line') },
      riddenAtMs: dayNumber(day) * DAY_MS + made,
    };
    return reviewPass(record, testGround(groundM), { questionWords: 'line', key }, day);
  };
}
