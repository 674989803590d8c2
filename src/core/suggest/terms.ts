import type { Goal } from '../goals/goal';
import { dayInWords } from '../words/calendarDay';
import type { Candidate, SuggestWish } from './candidate';
import { LEFT_OUT_DAYS, type NextStage } from './ladder';
import type { PairSeen } from './pairSeen';
import type { ExerciseFacts, RiddenStep, StageFacts } from './step';
import { plainGait, unevenWords, type Uneven } from './uneven';
import type { TermKey } from './weights';

/** How much something speaks for a candidate, 0 to 1, and why: a clause with its numbers, null where it says nothing. */
export type Term = { key: TermKey; value: number; words: string | null };

/** What a term looks at: one pair, with the stage that comes next for it. */
type Looked = { facts: ExerciseFacts; next: NextStage; stage: StageFacts; pair: PairSeen; wish: SuggestWish };

const NOTHING = { value: 0, words: null };

/** Nearer than this to its date a goal weighs fully; one without a date, or far off, a little less (practice). */
const SOON_DAYS = 28;
const NOT_SOON = 0.7;

function goalTerm({ facts, pair, wish }: Looked): Omit<Term, 'key'> {
  const scored = pair.goals
    .filter(({ reachedDay }) => reachedDay === null)
    .map(goal => ({ goal, value: served(goal, facts) * urgency(goal, wish.day) }))
    .filter(({ value }) => value > 0)
    .sort((a, b) => b.value - a.value);
  const [best] = scored;
  if (!best) return NOTHING;
  const by = best.goal.byDay === null ? '' : `, wanted by ${dayInWords(best.goal.byDay)}`;
  return { value: best.value, words: `it serves the goal “${best.goal.words}”${by}` };
}

/** How well an exercise serves a goal: the exercise it is held to fully, else by the purposes they share. */
function served({ measure, purposes }: Goal, facts: ExerciseFacts): number {
  if (measure?.kind === 'stage' && measure.exercise === facts.exercise) return 1;
  if (purposes.length === 0) return 0;
  const shared = purposes.filter(purpose => facts.purposes.includes(purpose)).length;
  // What an exercise is for first is what it is best for.
  const isFirst = purposes.includes(facts.purposes[0]!);
  return (0.7 * shared) / purposes.length + (isFirst ? 0.15 : 0);
}

function urgency({ byDay }: Goal, day: number): number {
  return byDay !== null && byDay - day <= SOON_DAYS ? 1 : NOT_SOON;
}

/** A difference of so much weighs fully. */
const MUCH = 0.3;

function unevenTerm({ facts, stage }: Looked, uneven: readonly Uneven[]): Omit<Term, 'key'> {
  const trained = uneven.filter(one => {
    if (one.of === 'rein') return stage.hasReins && isStraightening(facts);
    return one.of === 'gait' ? plainGait(stage.gait) === one.gait : facts.purposes.includes(one.purpose);
  });
  const by = ({ own, rest }: Uneven) => rest.hits / rest.of - own.hits / own.of;
  const [worst] = [...trained].sort((a, b) => by(b) - by(a));
  if (!worst) return NOTHING;
  return { value: Math.min(1, by(worst) / MUCH), words: unevenWords(worst) };
}

/** What supples and straightens is what evens the reins (common practice, no source). */
const isStraightening = ({ purposes }: ExerciseFacts) =>
  purposes.includes('suppleness') || purposes.includes('straightness');

const EARNED: Record<NextStage['why'], number> = { next: 1, again: 0.7, easier: 0.6, back: 0.5, new: 0.35, kept: 0.1 };

function earnedTerm({ facts, next }: Looked): Omit<Term, 'key'> {
  const called = (stage: number) => `“${facts.stages[stage]?.name ?? ''}”`;
  const { stage, why, standing } = next;
  const value = EARNED[why];
  if (!standing) return { value, words: 'all that comes before it is known, and it was never ridden' };
  const when = dayInWords(standing.day);
  const clean = `${standing.clean.hits} of ${standing.clean.of} clean on ${when}`;
  const words: Record<NextStage['why'], string> = {
    next: `${called(standing.stage)} was earned on ${when}, so ${called(stage)} comes next`,
    again: `${called(stage)} is not earned yet: ${clean}`,
    easier: `${called(standing.stage)} was too much: ${clean}, so a stage easier`,
    back: `it was last ridden on ${when}`,
    kept: `all of it was earned, the last on ${when}`,
    new: '',
  };
  return { value, words: words[why] };
}

/** What serves the same purpose in the same sort of work counts as the same thing left out. */
function sinceTerm({ facts, stage, pair, wish }: Looked): Omit<Term, 'key'> {
  const isLike = ({ kind, purposes }: RiddenStep) => kind === stage.kind && purposes.includes(facts.purposes[0]!);
  const last = pair.ridden.filter(isLike).reduce((latest, { day }) => Math.max(latest, day), -Infinity);
  const what = `${facts.purposes[0]} ${KIND_WORDS[stage.kind]}`;
  if (last === -Infinity) return { value: 0.5, words: `nothing for ${what} was ridden yet` };
  const days = Math.max(0, wish.day - last);
  const value = Math.min(1, days / LEFT_OUT_DAYS);
  return { value, words: days < 7 ? null : `nothing for ${what} since ${dayInWords(last)}` };
}

export const KIND_WORDS: Record<RiddenStep['kind'], string> = {
  flat: 'on the flat',
  poles: 'over poles',
  fences: 'over fences',
};

function changeTerm({ stage, pair, wish }: Looked): Omit<Term, 'key'> {
  const before = pair.ridden.filter(({ day }) => day < wish.day);
  const lastDay = before.reduce((latest, { day }) => Math.max(latest, day), -Infinity);
  if (lastDay === -Infinity) return NOTHING;
  const kinds = [...new Set(before.filter(({ day }) => day === lastDay).map(({ kind }) => kind))];
  if (kinds.includes(stage.kind)) return NOTHING;
  return {
    value: 1,
    words: `the last day, ${dayInWords(lastDay)}, was ${kinds.map(kind => KIND_WORDS[kind]).join(' and ')}`,
  };
}

/** What each term says, for whoever wants to know. */
export const TERMS: Readonly<Record<TermKey, string>> = {
  goal: 'It serves a goal of the pair: the exercise that the goal is held to, else by the purposes they share; more when the day is near.',
  uneven:
    'It trains what is surely less often clean: a rein, a gait or a purpose. Where the test does not say so, this is nothing.',
  earned: 'The next stage after one that was earned; less for the same or an easier one after one that was not.',
  since: 'Nothing for the same purpose in the same sort of work for up to four weeks.',
  change: 'Another sort of work than on the last day: flat, poles, fences.',
  fit: 'The share of its distances that the horses ride easy, quiet or forward.',
  carrying: 'Few pieces are carried; what stands already costs nothing.',
};

/** What speaks for a candidate for one pair. */
export function pairTerms(candidate: Candidate, index: number, uneven: readonly Uneven[], wish: SuggestWish): Term[] {
  const { facts } = candidate;
  const next = candidate.next[index]!;
  const looked: Looked = { facts, next, stage: facts.stages[next.stage]!, pair: wish.pairs[index]!, wish };
  return [
    { key: 'goal', ...goalTerm(looked) },
    { key: 'uneven', ...unevenTerm(looked, uneven) },
    { key: 'earned', ...earnedTerm(looked) },
    { key: 'since', ...sinceTerm(looked) },
    { key: 'change', ...changeTerm(looked) },
  ];
}
