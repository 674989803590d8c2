import { mean } from '../statistics/moments';
import type { Share } from '../statistics/proportions';
import { grouped, type ReviewPass } from './reviewPass';
import { qualities } from './reinReview';

/** One pair on one setting of a layout: how it went. */
export type SettingReview = {
  pairId: string;
  layoutVersionId: string;
  /** What was asked, in words, and what tells it from another. */
  question: string;
  key: string;
  firstDay: string;
  lastDay: string;
  clean: Share;
  quality: number | null;
  /** The count that was ridden most often in each leg; null where none was noted. */
  counts: (number | null)[];
  groundsM: number[];
};

export type LayoutReview = {
  settings: SettingReview[];
  /** Pairs that rode it on two or more days: the first of them against the last. */
  beforeAfter: {
    pairId: string;
    question: string;
    key: string;
    firstDay: string;
    lastDay: string;
    first: Share;
    last: Share;
  }[];
};

/** A layout as it was ridden: pair by pair, setting by setting, and each pair's first day against its last. */
export function layoutReview(passes: readonly ReviewPass[]): LayoutReview {
  const counted = passes.filter(pass => !pass.isVoid && pass.line === null);
  const settings = [...grouped(counted, ({ pairId, layoutVersionId, key }) => `${pairId} ${layoutVersionId} ${key}`)];
  const byQuestion = [...grouped(counted, ({ pairId, key }) => `${pairId} ${key}`)];
  return {
    settings: settings.map(([, own]) => settingReview(own)),
    beforeAfter: byQuestion.flatMap(([, own]) => {
      const [firstDay, lastDay] = [own[0]!.day, own[own.length - 1]!.day];
      if (firstDay === lastDay) return [];
      const on = (day: string) => cleanOf(own.filter(pass => pass.day === day));
      const { pairId, questionWords: question, key } = own[own.length - 1]!;
      return [{ pairId, question, key, firstDay, lastDay, first: on(firstDay), last: on(lastDay) }];
    }),
  };
}

function cleanOf(passes: readonly ReviewPass[]): Share {
  return { of: passes.length, hits: passes.filter(({ faults }) => faults.length === 0).length };
}

function settingReview(own: readonly ReviewPass[]): SettingReview {
  const { pairId, layoutVersionId, questionWords: question, key, ground, day } = own[0]!;
  const marked = qualities(own);
  return {
    ...{
      pairId,
      layoutVersionId,
      question,
      key,
      firstDay: day,
      lastDay: own[own.length - 1]!.day,
      clean: cleanOf(own),
    },
    quality: marked.length > 0 ? mean(marked) : null,
    counts: ground.legs.map((_, leg) => mostOften(own, leg + 1)),
    groundsM: ground.legs.map(({ groundM }) => groundM),
  };
}

function mostOften(passes: readonly ReviewPass[], place: number): number | null {
  return [...countsRidden(passes, place)].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

/** How often a count of strides was ridden. */
export type RiddenCounts = { count: number; times: number }[];

/** Counts with how often each was ridden, from the fewest strides up. */
export function countsInOrder(counts: ReadonlyMap<number, number>): RiddenCounts {
  return [...counts].map(([count, times]) => ({ count, times })).sort((a, b) => a.count - b.count);
}

/** How often each count was ridden in a leg, `place` from 1, in the order in which they first came. */
export function countsRidden(passes: readonly Pick<ReviewPass, 'marks'>[], place: number): Map<number, number> {
  const times = new Map<number, number>();
  for (const { marks } of passes)
    for (const mark of marks)
      if (mark.kind === 'strides' && mark.place === place) times.set(mark.count, (times.get(mark.count) ?? 0) + 1);
  return times;
}
