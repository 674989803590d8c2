import type { ExerciseFacts, WorkKind } from './step';
import type { SuggestWish } from './candidate';
import { layCandidate, type LaidSeries, type SuggestSand } from './layCandidate';
import { tooLittle } from './pairSeen';
import { byWeight, rankSteps, scoreOf, type LeftOut, type Ranked } from './rankSteps';
import type { Term } from './terms';

/** A lesson that is suggested: what is ridden, on which layout, and why in one sentence with its terms behind it. */
export type Suggestion = {
  exercise: string;
  title: string;
  /** What sort of work its hardest stage is. */
  kind: WorkKind;
  why: string;
  terms: Term[];
  score: number;
  minutes: number;
  series: LaidSeries;
  /** The stage that comes next for each pair, in the order of the wish. */
  next: number[];
  /** The stage of each pair that is asked at another one than the hardest, by its index in the wish. */
  easier: { pair: number; stage: string }[];
};

export type Suggested = { suggestions: Suggestion[]; out: LeftOut[]; tooLittle: string | null };

/** Three to five are suggested; so many that can be laid are chosen among. */
const MOST = 5;
const TO_CHOOSE_AMONG = 8;
/** No more than so many of one sort of work. */
const MOST_OF_A_KIND = 2;
/** So many pieces to carry weigh as much as can be. */
const MANY_PIECES = 24;

/** What some pairs could ride next on a sand, the best first; nothing from too little. */
export function suggestLessons(
  catalogue: readonly ExerciseFacts[],
  wish: SuggestWish,
  sand: SuggestSand,
  most = MOST,
): Suggested {
  const little = wish.pairs.map(tooLittle);
  const unknown = little.find(why => why !== null);
  // In a group, one that was ridden little goes along; alone it has nothing to go by.
  if (little.every(why => why !== null)) return { suggestions: [], out: [], tooLittle: unknown ?? 'Nobody rides.' };
  const { ranked, out } = rankSteps(catalogue, wish);
  const laid: Suggestion[] = [];
  for (const one of ranked) {
    if (laid.length >= Math.min(TO_CHOOSE_AMONG, most * 3)) break;
    if (laid.filter(({ kind }) => kind === kindOf(one)).length > MOST_OF_A_KIND) continue;
    const series = layCandidate(one.candidate, sand);
    if (series) laid.push(suggestionOf(one, series, wish));
    else
      out.push({
        ...{ exercise: one.candidate.facts.exercise, title: one.candidate.facts.title },
        why: 'it cannot be laid here for these horses with this kit',
      });
  }
  return { suggestions: varied(laid, most), out, tooLittle: null };
}

/** The sort of work that the hardest stage of a candidate is. */
function kindOf({ candidate: { facts, next } }: Ranked): WorkKind {
  return facts.stages[Math.max(...next.map(({ stage }) => stage))]!.kind;
}

function suggestionOf(ranked: Ranked, series: LaidSeries, { pairs }: SuggestWish): Suggestion {
  const { candidate, terms } = ranked;
  const { facts, next, minutes } = candidate;
  const all = byWeight([...terms, ...sandTerms(series, pairs.length)]);
  const hardest = Math.max(...next.map(({ stage }) => stage));
  return {
    ...{ exercise: facts.exercise, title: facts.title, why: sentenceOf(all), terms: all, score: scoreOf(all) },
    ...{ minutes, series, kind: kindOf(ranked) },
    next: next.map(({ stage }) => stage),
    easier: next.flatMap(({ stage }, pair) => (stage < hardest ? [{ pair, stage: facts.stages[stage]!.name }] : [])),
  };
}

function sandTerms({ fit, pieces, layoutId }: LaidSeries, pairs: number): Term[] {
  const whose = pairs > 1 ? 'the horses' : 'the horse';
  const isStanding = layoutId !== null && pieces === 0;
  return [
    fit.of === 0
      ? { key: 'fit', value: 1, words: null }
      : {
          ...{ key: 'fit', value: fit.good / fit.of },
          words: `${fit.good} of ${fit.of} distances are easy, quiet or forward for ${whose}`,
        },
    {
      ...{ key: 'carrying', value: 1 - Math.min(1, pieces / MANY_PIECES) },
      words: isStanding ? 'it stands already' : pieces === 0 ? 'nothing is carried' : `${pieces} pieces are carried`,
    },
  ];
}

/** The two terms that weigh most and say something, as one sentence. */
export function sentenceOf(terms: readonly Term[]): string {
  const said = terms.filter(({ words, value }) => words !== null && value > 0).slice(0, 2);
  const [first, second] = said.map(({ words }) => words!);
  if (first === undefined) return 'Nothing speaks against it.';
  const begun = first.charAt(0).toUpperCase() + first.slice(1);
  return second === undefined ? `${begun}.` : `${begun}; ${second}.`;
}

/** The best of each exercise, and not too many of one sort of work; what is left fills up where there are too few. */
function varied(laid: readonly Suggestion[], most: number): Suggestion[] {
  const chosen: Suggestion[] = [];
  const byScore = [...laid].sort((a, b) => b.score - a.score);
  for (const one of byScore) {
    if (chosen.length >= most || chosen.filter(({ kind }) => kind === one.kind).length >= MOST_OF_A_KIND) continue;
    chosen.push(one);
  }
  const least = Math.min(3, most);
  const rest = byScore.filter(one => !chosen.includes(one)).slice(0, Math.max(0, least - chosen.length));
  return [...chosen, ...rest].sort((a, b) => b.score - a.score);
}
