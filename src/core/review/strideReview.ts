import type { StrideEntryKey } from '../horse/strideEntry';
import { footfallChanges } from '../record/footfall';
import { passFootfalls } from '../record/passRecord';
import { mean } from '../statistics/moments';
import type { Rein } from '../track/rein';
import { daysOf, readDays } from './byDay';
import { driftOf, type Drift } from './drift';
import { learnStep } from './learnStep';
import { countKey, learnStride, type LearnedStride, type RiddenCount, type RiddenPass } from './learnStride';
import { grouped, monthOf, type DayPass, type ReviewPass } from './reviewPass';

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

/**
 * What some passes say of one entry: counts in legs, passes with the very same under one name, and steps between poles.
 * Evidence of several days is added up, so that a day is read once.
 */
type Evidence = {
  passes: Map<string, RiddenPass>;
  steps: { stepM: number; day: string }[];
  days: Set<string>;
  /** How many there are, and when they were ridden: added up. */
  times: number;
  riddenAtMs: number;
};

const noEvidence = (): Evidence => ({ passes: new Map(), steps: [], days: new Set(), times: 0, riddenAtMs: 0 });

type DayEvidence = { entry: StrideEntryKey; rein: Rein | null; evidence: Evidence };

/**
 * The strides that the passes of one horse point to, by profile entry. Counts that were asked for are left out: they say
 * what the rider did, not what the horse wants. So are grids, which are ridden as they are set.
 * @param thoughtM - the stride that is thought so far, by entry; null where nobody knows one
 * @param spreadOf - how much its strides vary, as a share, where a test found it
 */
export function strideReviews(
  passes: readonly DayPass[],
  thoughtM: (entry: StrideEntryKey) => number | null,
  spreadOf: (entry: StrideEntryKey) => number | undefined = () => undefined,
): StrideReview[] {
  const days = daysOf(passes).flatMap(evidenceOf);
  return [...grouped(days, ({ entry }) => entry).values()].flatMap(own => {
    const { entry } = own[0]!;
    const aroundM = thoughtM(entry);
    if (aroundM === null) return [];
    const thought = { aroundM, spread: spreadOf(entry) };
    const learned = learnFrom(together(own), thought);
    return learned ? [reviewOf(entry, own, thought, learned)] : [];
  });
}

/** What is thought of a stride so far: its length, and how much it varies where a test found it. */
type Thought = { aroundM: number; spread: number | undefined };

function reviewOf(entry: StrideEntryKey, own: DayEvidence[], thought: Thought, learned: LearnedStride): StrideReview {
  const months = grouped(own, ({ evidence }) => monthOf(evidence.days.values().next().value!));
  const byMonth = [...months].flatMap(([month, days]) => {
    const all = together(days);
    const inMonth = all.times < LEAST_IN_MONTH ? null : learnFrom(all, thought);
    return inMonth ? [{ month, atMs: all.riddenAtMs / all.times, learned: inMonth }] : [];
  });
  const measured = byMonth.map(({ atMs, learned: { strideM, lowM, highM } }) => ({
    ...{ atMs, value: strideM, low: lowM, high: highM },
  }));
  const ofRein = (rein: Rein) => learnFrom(together(own.filter(one => one.rein === rein)), thought);
  const [left, right] = [ofRein('left'), ofRein('right')];
  return {
    ...{ entry, learned, byMonth, drift: driftOf(measured.filter(({ low, high }) => high > low)) },
    byRein: { ...(left ? { left } : {}), ...(right ? { right } : {}) },
    from: own.some(({ evidence }) => evidence.passes.size > 0) ? 'counts' : 'footfalls',
  };
}

/** What the passes of a day say, by entry and rein. */
export const evidenceOf = readDays('strides', evidenceIn, {
  // A name is made of what it names.
  pack: found =>
    found.map(({ entry, rein, evidence: { passes, days, ...own } }) => ({
      ...{ entry, rein, ...own, days: [...days], passes: [...passes.values()] },
    })),
  unpack: packed =>
    (packed as PackedEvidence[]).map(({ entry, rein, passes, days, ...own }) => {
      const named = new Map(passes.map(pass => [nameOf(pass), pass]));
      return { entry, rein, evidence: { ...own, passes: named, days: new Set(days) } };
    }),
});

type PackedEvidence = Omit<DayEvidence, 'evidence'> &
  Omit<Evidence, 'passes' | 'days'> & { passes: RiddenPass[]; days: string[] };

function evidenceIn(passes: readonly ReviewPass[]): DayEvidence[] {
  const found: DayEvidence[] = [];
  const evidenceFor = (entry: StrideEntryKey, { rein, day, riddenAtMs }: ReviewPass) => {
    let own = found.find(one => one.entry === entry && one.rein === rein);
    if (!own) found.push((own = { entry, rein, evidence: noEvidence() }));
    own.evidence.days.add(day);
    own.evidence.times += 1;
    own.evidence.riddenAtMs += riddenAtMs;
    return own.evidence;
  };
  for (const pass of passes) {
    if (pass.isVoid) continue;
    for (const [entry, counts] of countsIn(pass)) {
      const evidence = evidenceFor(entry, pass);
      addPass(evidence.passes, { counts, times: 1 });
      // A leg is what is counted, not a pass.
      evidence.times += counts.length - 1;
      evidence.riddenAtMs += (counts.length - 1) * pass.riddenAtMs;
    }
    const step = stepIn(pass);
    if (step) evidenceFor(step.entry, pass).steps.push({ stepM: step.stepM, day: pass.day });
  }
  return found;
}

/** Counts of strides in the legs of a pass that were ridden without a count being asked, by entry. */
function countsIn({ marks, ground }: ReviewPass): Map<StrideEntryKey, RiddenCount[]> {
  const found = new Map<StrideEntryKey, RiddenCount[]>();
  for (const mark of marks) {
    const leg = mark.kind === 'strides' ? ground.legs[mark.place - 1] : undefined;
    if (mark.kind !== 'strides' || !leg?.entry || leg.asked !== null || mark.count === 0) continue;
    // At walk and trot over poles one step carries from pole to pole: a count of strides says nothing there.
    if (leg.entry === 'walk-poles' || leg.entry === 'trot-poles') continue;
    const counts = found.get(leg.entry) ?? [];
    found.set(leg.entry, [...counts, { groundM: leg.countedM, count: mark.count, rule: leg.rule }]);
  }
  return found;
}

/** The step that the footfalls of a pass over a row of poles tell of. */
function stepIn(pass: ReviewPass): { entry: StrideEntryKey; stepM: number } | null {
  const { ground, direction } = pass;
  const poles = ground.legs.filter(({ betweenPoles }) => betweenPoles);
  const entry = poles[0]?.entry;
  const changes = entry && poles.length === ground.legs.length ? footfallChanges(passFootfalls(pass)) : [];
  if (!entry || changes.length === 0) return null;
  const spacingM = mean(poles.map(({ groundM }) => groundM));
  // Gaps are numbered as drawn: ridden the other way, the foot goes through them backwards; on the mirror image it does not.
  const change = mean(changes) * (direction === 'other-way' ? -1 : 1);
  return { entry, stepM: spacingM * (1 + change) };
}

/** The same for passes with the same counts over the same grounds. */
const nameOf = ({ counts }: RiddenPass): string => counts.map(countKey).join(' ');

function addPass(passes: Map<string, RiddenPass>, pass: RiddenPass, name = nameOf(pass)): void {
  const times = (passes.get(name)?.times ?? 0) + pass.times;
  passes.set(name, { ...pass, times });
}

function together(days: readonly DayEvidence[]): Evidence {
  const all = noEvidence();
  for (const { evidence } of days) {
    for (const [name, pass] of evidence.passes) addPass(all.passes, pass, name);
    all.steps.push(...evidence.steps);
    for (const day of evidence.days) all.days.add(day);
    all.times += evidence.times;
    all.riddenAtMs += evidence.riddenAtMs;
  }
  return all;
}

/** What was learned from the same counts before: a mark changes a month and a rein, and leaves the others as they were. */
const learnedBefore = new Map<string, LearnedStride | null>();
const MOST_LEARNED = 2000;

function learnFrom({ passes, steps, days }: Evidence, { aroundM, spread }: Thought): LearnedStride | null {
  if (passes.size === 0) return learnStep(steps);
  const key = `${aroundM} ${spread ?? ''} ${days.size} ${[...passes].map(([name, { times }]) => `${name} × ${times}`).join(';')}`;
  const before = learnedBefore.get(key);
  if (before !== undefined) return before;
  const learned = learnStride([...passes.values()], aroundM, Math.max(1, days.size), spread);
  if (learnedBefore.size >= MOST_LEARNED) learnedBefore.clear();
  learnedBefore.set(key, learned);
  return learned;
}
