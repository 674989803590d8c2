import type { StrideEntryKey } from '../horse/strideEntry';
import { footfallChanges } from '../record/footfall';
import { passFootfalls } from '../record/passRecord';
import { mean } from '../statistics/moments';
import type { Rein } from '../track/rein';
import { driftOf, type Drift } from './drift';
import { learnStep } from './learnStep';
import { learnStride, type LearnedStride, type RiddenCount } from './learnStride';
import { readOnce } from './readOnce';
import { grouped, monthOf, type ReviewPass } from './reviewPass';

/** What the record says of one entry of a horse's profile. */
export type StrideReview = {
  entry: StrideEntryKey;
  learned: LearnedStride;
  byMonth: { month: string; atMs: number; learned: LearnedStride }[];
  drift: Drift | null;
  byRein: Partial<Record<Rein, LearnedStride>>;
  /** From counts in legs, or from where the foot fell between poles. */
  from: 'counts' | 'footfalls';
};

/** Below this chance a drift is believed. */
const LEVEL = 0.05;

/**
 * The stride to offer to a profile: all of the record, or its latest month where the stride has changed over it.
 */
export function offeredStride({ learned, byMonth, drift }: StrideReview): LearnedStride {
  const latest = byMonth[byMonth.length - 1];
  return drift && drift.p < LEVEL && latest ? latest.learned : learned;
}

/** So many legs are little enough that a month says nothing by itself. */
const LEAST_IN_MONTH = 8;

/** `alike`: the same for the same count over the same ground. */
type Evidence = { day: string; rein: Rein; riddenAtMs: number } & (
  { kind: 'count'; count: RiddenCount; alike: string } | { kind: 'step'; stepM: number }
);

/**
 * The strides that the passes of one horse point to, by profile entry. Counts that were asked for are left out: they say
 * what the rider did, not what the horse wants. So are grids, which are ridden as they are set.
 * @param thoughtM - the stride that is thought so far, by entry; null where nobody knows one
 */
export function strideReviews(
  passes: readonly ReviewPass[],
  thoughtM: (entry: StrideEntryKey) => number | null,
): StrideReview[] {
  const byEntry = new Map<StrideEntryKey, Evidence[]>();
  for (const pass of passes)
    for (const evidence of evidenceOf(pass)) {
      const own = byEntry.get(evidence.entry);
      if (own) own.push(evidence);
      else byEntry.set(evidence.entry, [evidence]);
    }
  return [...byEntry].flatMap(([entry, all]) => {
    const around = thoughtM(entry);
    const learned = around === null ? null : learnFrom(all, around);
    return learned && around !== null ? [reviewOf(entry, all, around, learned)] : [];
  });
}

function reviewOf(entry: StrideEntryKey, all: Evidence[], aroundM: number, learned: LearnedStride): StrideReview {
  const byMonth = [...grouped(all, ({ day }) => monthOf(day))].flatMap(([month, own]) => {
    const inMonth = own.length < LEAST_IN_MONTH ? null : learnFrom(own, aroundM);
    return inMonth ? [{ month, atMs: mean(own.map(({ riddenAtMs }) => riddenAtMs)), learned: inMonth }] : [];
  });
  const measured = byMonth.map(({ atMs, learned: { strideM, lowM, highM } }) => ({
    ...{ atMs, value: strideM, low: lowM, high: highM },
  }));
  const ofRein = (rein: Rein) =>
    learnFrom(
      all.filter(one => one.rein === rein),
      aroundM,
    );
  const [left, right] = [ofRein('left'), ofRein('right')];
  return {
    ...{ entry, learned, byMonth, drift: driftOf(measured.filter(({ low, high }) => high > low)) },
    byRein: { ...(left ? { left } : {}), ...(right ? { right } : {}) },
    from: all[0]!.kind === 'count' ? 'counts' : 'footfalls',
  };
}

type EntryEvidence = Evidence & { entry: StrideEntryKey };

const evidenceOf = readOnce(readEvidence);

function readEvidence(pass: ReviewPass): EntryEvidence[] {
  if (pass.isVoid) return [];
  const { day, rein, riddenAtMs, ground } = pass;
  const own = { day, rein, riddenAtMs };
  const counts = pass.marks.flatMap(mark => {
    const leg = mark.kind === 'strides' ? ground.legs[mark.place - 1] : undefined;
    if (mark.kind !== 'strides' || !leg?.entry || leg.asked !== null || mark.count === 0) return [];
    // At walk and trot over poles one step carries from pole to pole: a count of strides says nothing there.
    if (leg.entry === 'walk-poles' || leg.entry === 'trot-poles') return [];
    const count: RiddenCount = { groundM: leg.groundM, count: mark.count, rule: leg.rule, times: 1 };
    const alike = `${leg.groundM.toFixed(3)} ${mark.count} ${leg.rule.fixed} ${leg.rule.perStride}`;
    return [{ ...own, kind: 'count' as const, entry: leg.entry, count, alike }];
  });
  const poles = ground.legs.filter(({ betweenPoles }) => betweenPoles);
  const entry = poles[0]?.entry;
  const changes = entry && poles.length === ground.legs.length ? footfallChanges(passFootfalls(pass)) : [];
  if (!entry || changes.length === 0) return counts;
  const spacingM = mean(poles.map(({ groundM }) => groundM));
  // Gaps are numbered as drawn: ridden the other way, the foot goes through them backwards.
  const change = mean(changes) * (pass.direction === 'as-drawn' ? 1 : -1);
  return [...counts, { ...own, kind: 'step', entry, stepM: spacingM * (1 + change) }];
}

function learnFrom(all: readonly Evidence[], aroundM: number): LearnedStride | null {
  const days = new Set(all.map(({ day }) => day)).size;
  const counts = together(all);
  if (counts.length > 0) return learnStride(counts, aroundM, Math.max(1, days));
  return learnStep(all.flatMap(one => (one.kind === 'step' ? [{ stepM: one.stepM, day: one.day }] : [])));
}

/** The same count over the same ground many times is one line of evidence. */
function together(all: readonly Evidence[]): RiddenCount[] {
  const groups = new Map<string, RiddenCount>();
  for (const one of all) {
    if (one.kind !== 'count') continue;
    const group = groups.get(one.alike);
    if (group) group.times += 1;
    else groups.set(one.alike, { ...one.count });
  }
  return [...groups.values()];
}
