import type { Layout } from '../layout/layout';
import { rideTime, stageMinutes } from '../lesson/stageMinutes';
import type { PairAsk } from '../question/pairAsk';
import type { Question } from '../question/question';
import type { LaidStage } from './layCandidate';

/** A stage of a lesson that comes of a suggestion: what it asks of all, and of whom otherwise. */
export type AskedStage = LaidStage & { minutes: number; ofPairs: Record<string, PairAsk> };

type Asked = {
  stages: readonly LaidStage[];
  next: readonly { stage: number }[];
  pairIds: readonly string[];
  layout: Layout;
};

/**
 * The stages of a lesson from those of a series. Pairs at different stages ride side by side in one, the easier version asked
 * of those that are not as far, where a pair can be asked it without anything being carried; else one stage after the other.
 */
export function sideBySide({ stages, next, pairIds, layout }: Asked): AskedStage[] {
  const together: AskedStage[] = [];
  for (let at = 0; at < stages.length; at += 1) {
    const hard = stages[at]!;
    const easier = stages[at - 1];
    // Only stages that are some pair's own ride side by side; the way in is ridden by all.
    const isOwn = (stage: number) => next.some(one => one.stage === stage);
    const ask = easier && isOwn(easier.stage) && isOwn(hard.stage) ? easierAsk(hard.today, easier.today) : null;
    const behind = pairIds.filter((_, pair) => next[pair]!.stage < hard.stage);
    if (ask && together.length > 0) {
      const before = together.pop()!;
      const ofPairs = { ...before.ofPairs, ...Object.fromEntries(behind.map(id => [id, before.ofPairs[id] ?? ask])) };
      together.push({ ...hard, minutes: 0, ofPairs });
    } else together.push({ ...hard, minutes: 0, ofPairs: {} });
  }
  return together.map(stage => ({ ...stage, minutes: minutesOf(stage, layout, pairIds.length) }));
}

function minutesOf({ today, eachRein }: AskedStage, layout: Layout, pairs: number): number {
  const time = rideTime(layout, today);
  return stageMinutes(time ? [time] : [], eachRein, pairs);
}

/**
 * What to ask of a pair at one stage so that it rides an easier one: counts, heights, fences as poles. Null where the two differ
 * in what is there, how it is raised or what it is built as.
 */
export function easierAsk(hard: Question, easy: Question): PairAsk | null {
  const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
  const alike =
    same([...hard.state.out].sort(), [...easy.state.out].sort()) && same(hard.state.raisedM, easy.state.raisedM);
  const standing = Object.keys(easy.state.form);
  const formsAlike = standing.every(id => easy.state.form[id] === hard.state.form[id]);
  if (!alike || !formsAlike || hard.gait !== easy.gait) return null;
  return { asked: easy.asked, heightM: easy.state.heightM, asPole: easy.state.asPole };
}
