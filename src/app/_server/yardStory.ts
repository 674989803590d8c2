import 'server-only';
import {
  holm,
  placeClaims,
  profileStride,
  reinClaims,
  reinReview,
  strideClaims,
  type Arena,
  type Claim,
  type ReinReview,
  type SandPlace,
  type StrideReview,
} from '@/core';
import type { RoanDatabase } from '@/data/database';
import { present } from '@/data/present';
import { arenaOf, listArenas } from '@/data/queries/arenas';
import { listPairs, type Pair } from '@/data/queries/pairs';
import { sumsOf } from '@/data/queries/kept/sums';
import { dayPasses } from '@/data/queries/dayPasses';
import { riddenByPair } from '@/data/queries/ridden';
import { layoutsOnSand } from '@/data/queries/sandNow';
import { sandRecord } from '@/data/queries/sandRecord';
import { lengthUnit } from '@/data/queries/settings';
import { reviewWords } from '../review/reviewWords';
import { yardStrides } from './yardStrides';
import { yardClock } from './yardTime';

type Yard = { id: string; timeZone: string };
type Pictured =
  | {
      of: 'stride';
      horseId: string;
      horse: string;
      /** The pair that rode it most; null where none is left. */
      pairId: string | null;
      review: StrideReview;
      thoughtM: number | null;
    }
  | { of: 'reins'; pairId: string; horse: string; measures: ReinReview['measures'] }
  | {
      of: 'place';
      arenaId: string;
      arena: Arena;
      places: SandPlace[];
      /** The layout that stands on that sand now. */
      stands: { layoutId: string; name: string } | null;
    };

/** One of the sentences that a whole yard is told in, with what its picture is drawn from. */
export type YardSentence = Pick<Claim, 'text' | 'because'> & Pictured;

/**
 * A yard in three sentences at most: of strides, of reins, of the sand, each the one that is surest, where it holds over all
 * that was looked at for it.
 */
export async function yardStory(db: RoanDatabase, yard: Yard): Promise<YardSentence[]> {
  const pairs = present(await listPairs(db, yard.id));
  const told = [
    await strideSentence(db, yard, pairs),
    await reinSentence(db, yard, pairs),
    await placeSentence(db, yard, pairs),
  ];
  return told.flatMap(one => one ?? []);
}

async function strideSentence(db: RoanDatabase, yard: Yard, pairs: readonly Pair[]): Promise<YardSentence | null> {
  const unit = await lengthUnit(db, yard.id);
  const found = (await yardStrides(db, yard)).flatMap(({ horse, reviews }) =>
    reviews.flatMap(review => (review.drift ? [{ horse, review, p: review.drift.p }] : [])),
  );
  const holds = holm(found.map(({ p }) => p));
  const [surest] = found.filter((_, index) => holds[index]).sort((a, b) => a.p - b.p);
  if (!surest) return null;
  const { horse, review } = surest;
  const thoughtM = profileStride(horse, review.entry)?.normalM ?? null;
  const claims = strideClaims([review], () => thoughtM, reviewWords(horse.name, unit));
  const claim = claims.find(({ p }) => p !== null);
  const ridden = await riddenByPair(db, yard.id);
  const passesOf = ({ id }: Pair) => ridden.get(id)?.passes ?? 0;
  const [most] = pairs.filter(pair => pair.horseId === horse.id).sort((a, b) => passesOf(b) - passesOf(a));
  const pairId = most?.id ?? null;
  return claim ? { ...claim, of: 'stride', horseId: horse.id, horse: horse.name, pairId, review, thoughtM } : null;
}

async function reinSentence(db: RoanDatabase, yard: Yard, pairs: readonly Pair[]): Promise<YardSentence | null> {
  const clock = yardClock(yard.timeZone);
  const unit = await lengthUnit(db, yard.id);
  const wish = { of: 'all', name: 'reins', key: pairs.map(({ id }) => id).join() } as const;
  const reviews = await sumsOf(db, yard.id, clock, wish, passes =>
    pairs.map(({ id }) => reinReview(passes.filter(({ pairId }) => pairId === id))),
  );
  const looks = pairs.flatMap((pair, index) => {
    const review = reviews[index]!;
    return review.measures.map(({ p }) => ({ pair, review, p }));
  });
  const holds = holm(looks.map(({ p }) => p));
  const [surest] = looks.filter((_, index) => holds[index]).sort((a, b) => a.p - b.p);
  if (!surest) return null;
  const { pair, review } = surest;
  const measures = review.measures.filter(({ p }) => p === surest.p);
  const words = reviewWords(pair.horseName, unit);
  // Only what differs: whether it has caught up is told with the pair.
  const passes = await dayPasses(db, yard.id, { pairIds: [pair.id] }, clock);
  const [claim] = reinClaims(passes, words, { measures, quality: null }).filter(({ p }) => p === surest.p);
  return claim ? { ...claim, of: 'reins', pairId: pair.id, horse: pair.horseName, measures: review.measures } : null;
}

async function placeSentence(db: RoanDatabase, yard: Yard, pairs: readonly Pair[]): Promise<YardSentence | null> {
  const nameOf = (id: string) => pairs.find(pair => pair.id === id)?.horseName ?? 'one pair';
  const found: (YardSentence & { p: number })[] = [];
  const onSand = await layoutsOnSand(db, yard.id);
  for (const today of present(await listArenas(db, yard.id))) {
    const record = await sandRecord(db, yard.id, today, yardClock(yard.timeZone));
    const arena = { ...arenaOf(today), ...record.arena };
    const [claim] = placeClaims(record.places, arena, nameOf);
    const p = Math.min(1, ...record.places.filter(({ standsOut }) => standsOut).map(one => one.p));
    const stands = onSand.find(({ arenaId }) => arenaId === today.id) ?? null;
    if (claim) found.push({ ...claim, p, of: 'place', arenaId: today.id, arena, places: record.places, stands });
  }
  return found.sort((a, b) => a.p - b.p)[0] ?? null;
}
