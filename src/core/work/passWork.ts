import { lineRidden } from '../record/passJudged';
import { passEnd, stopsRidden } from '../record/passEnd';
import type { PassRecord } from '../record/passRecord';
import type { CircleMinutes, QuestionWork } from './questionWork';

/** What was really done: jumping efforts, passes over raised poles, minutes on small circles by the rein ridden. */
export type Work = {
  lowEfforts: number;
  highEfforts: number;
  raisedPasses: number;
  smallCircleMin: CircleMinutes;
};

export const NO_WORK: Work = { lowEfforts: 0, highEfforts: 0, raisedPasses: 0, smallCircleMin: { left: 0, right: 0 } };

export type WorkedPass = Pick<PassRecord, 'marks' | 'direction'>;

/**
 * The work of one pass: only what was ridden. A refusal ends it there, a line alone counts its own fences, one given up before
 * the line counts nothing; ridden the other way round, or on the mirror image, a left circle is a right one.
 * @param work - of its question, as drawn
 */
export function passWork(pass: WorkedPass, work: QuestionWork): Work {
  if (passEnd(pass, work.stops.length).at === 'void') return NO_WORK;
  const ridden = stopsRidden(pass, work.stops.length);
  const isRidden = (stop: number) => ridden.includes(stop);
  const of = (kind: QuestionWork['stops'][number]) => ridden.filter(stop => work.stops[stop] === kind).length;
  const circles = [
    ...work.legCircles.filter((_, leg) => isRidden(leg) && isRidden(leg + 1)),
    ...(lineRidden(pass) ? [] : [work.figureCircles]),
  ];
  const [left, right] = pass.direction === 'as-drawn' ? (['left', 'right'] as const) : (['right', 'left'] as const);
  const minutes = (rein: 'left' | 'right') => circles.reduce((sum, circle) => sum + circle[rein], 0);
  return {
    ...{ lowEfforts: of('low effort'), highEfforts: of('high effort'), raisedPasses: of('raised') > 0 ? 1 : 0 },
    smallCircleMin: { left: minutes(left), right: minutes(right) },
  };
}

/** Work added up. */
export function sumWork(works: readonly Work[]): Work {
  return works.reduce((sum, one) => timesWork(one, 1, sum), NO_WORK);
}

/** So many times some work, on top of what there is. */
export function timesWork(one: Work, times: number, sum: Work = NO_WORK): Work {
  return {
    lowEfforts: sum.lowEfforts + times * one.lowEfforts,
    highEfforts: sum.highEfforts + times * one.highEfforts,
    raisedPasses: sum.raisedPasses + times * one.raisedPasses,
    smallCircleMin: {
      left: sum.smallCircleMin.left + times * one.smallCircleMin.left,
      right: sum.smallCircleMin.right + times * one.smallCircleMin.right,
    },
  };
}

/** What of some work is still to come when some of it is done; done more than planned is nothing to come. */
export function workLeft(planned: Work, done: Work): Work {
  const left = timesWork(done, -1, planned);
  const atLeastNone = (count: number) => Math.max(0, count);
  return {
    lowEfforts: atLeastNone(left.lowEfforts),
    highEfforts: atLeastNone(left.highEfforts),
    raisedPasses: atLeastNone(left.raisedPasses),
    smallCircleMin: {
      left: atLeastNone(left.smallCircleMin.left),
      right: atLeastNone(left.smallCircleMin.right),
    },
  };
}
