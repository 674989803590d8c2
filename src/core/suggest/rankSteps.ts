import { candidateOf, type Candidate, type SuggestWish } from './candidate';
import { outBecause } from './filters';
import type { ExerciseFacts } from './step';
import { pairTerms, type Term } from './terms';
import { unevenIn } from './uneven';
import { WEIGHTS } from './weights';

/** A candidate with what speaks for it, the strongest first, and the sum by which it is ranked. */
export type Ranked = { candidate: Candidate; terms: Term[]; score: number };

/** What was left out, and why. */
export type LeftOut = { exercise: string; title: string; why: string };

/** What may come next for some pairs, the best first, and what may not. */
export type Ranking = { ranked: Ranked[]; out: LeftOut[] };

/** The weighted sum of some terms. */
export const scoreOf = (terms: readonly Term[]): number =>
  terms.reduce((sum, { key, value }) => sum + WEIGHTS[key] * value, 0);

/** Terms with what weighs most first. */
export function byWeight(terms: readonly Term[]): Term[] {
  return [...terms].sort((a, b) => WEIGHTS[b.key] * b.value - WEIGHTS[a.key] * a.value);
}

/**
 * Ranks the exercises of a catalogue for pairs that ride together: filters first, then the sum of the terms; in a group the
 * mean over its pairs, told by the pair that it speaks for most.
 */
export function rankSteps(catalogue: readonly ExerciseFacts[], wish: SuggestWish): Ranking {
  const uneven = wish.pairs.map(({ ridden }) => unevenIn(ridden, wish.day, wish.pairs.length));
  const ranking: Ranking = { ranked: [], out: [] };
  for (const facts of catalogue) {
    const candidate = candidateOf(facts, wish);
    const why = outBecause(candidate, wish);
    if (why !== null) {
      ranking.out.push({ exercise: facts.exercise, title: facts.title, why });
      continue;
    }
    const terms = ofGroup(
      wish.pairs.map((_, index) => pairTerms(candidate, index, uneven[index]!, wish)),
      wish,
    );
    ranking.ranked.push({ candidate, terms: byWeight(terms), score: scoreOf(terms) });
  }
  // What weighs the same stays in the order of the shelf.
  ranking.ranked.sort((a, b) => b.score - a.score);
  return ranking;
}

function ofGroup(byPair: readonly Term[][], { pairs }: SuggestWish): Term[] {
  return byPair[0]!.map(({ key }, at) => {
    const own = byPair.map((terms, index) => ({ ...terms[at]!, name: pairs[index]!.name }));
    const value = own.reduce((sum, term) => sum + term.value, 0) / own.length;
    const most = own.reduce((a, b) => (b.value > a.value ? b : a));
    const words = most.words !== null && pairs.length > 1 ? `for ${most.name} ${most.words}` : most.words;
    return { key, value, words };
  });
}
