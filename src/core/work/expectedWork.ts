import { NO_WORK, passWork, sumWork, timesWork, type Work } from './passWork';
import type { Layout } from '../layout/layout';
import { askedLayout } from '../question/askedLayout';
import { questionOfPair, type AskedQuestion } from '../question/pairAsk';
import { hasReins, waysToRide } from '../question/waysToRide';
import { questionWork, type QuestionWork } from './questionWork';
import { jumps, NO_EARLIER_WORK, type EarlierWork, type WorkCounts } from './workCounts';

/** A question of a lesson as it is asked of a pair, and how often it is meant to be ridden. */
export type PlannedWork = {
  work: QuestionWork;
  /** Whether it is ridden on each rein; a track that changes the rein is ridden so often in all. */
  hasReins: boolean;
  times: number;
};

/** A question of a planned lesson as it is asked of a pair; null where the layout does not have it. */
export function plannedOf(layout: Layout, asked: AskedQuestion, pairId: string, times: number): PlannedWork | null {
  const own = askedLayout(layout, questionOfPair(asked, pairId));
  return own && { work: questionWork(own), hasReins: hasReins(waysToRide(own)), times };
}

/**
 * What a planned lesson comes to for a pair if every question is ridden as often as planned. On the other rein a small circle
 * of one rein is one of the other.
 */
export function plannedWork(questions: readonly PlannedWork[]): Work {
  return sumWork(
    questions.map(({ work, hasReins, times }) => {
      const drawn = passWork({ marks: [], direction: 'as-drawn' }, work);
      if (!hasReins) return timesWork(drawn, times);
      return timesWork(passWork({ marks: [], direction: 'other-way' }, work), times, timesWork(drawn, times));
    }),
  );
}

/**
 * What a day comes to for a horse: the lesson that is planned with each of its riders, and what else it does.
 * @param planned - of each pair of the lesson that rides the horse
 */
export function expectedWork(planned: readonly Work[], earlier: EarlierWork = NO_EARLIER_WORK): WorkCounts {
  const { otherJumpingDays } = earlier;
  const all = planned.reduce((sum, one) => timesWork(one, 1, sum), timesWork(earlier, 1, NO_WORK));
  return { ...all, sinceBreakMin: 0, jumpingDays: otherJumpingDays + (jumps(all) ? 1 : 0) };
}
