import { mean } from '../statistics/moments';
import { fisherExact, type Share } from '../statistics/proportions';
import { welch } from '../statistics/welch';
import type { Rein } from '../track/rein';
import { daysOf, readDays, type ReviewDay } from './byDay';
import type { ReviewPass } from './reviewPass';

/** Left against right in one thing: so many of so many on each, and how likely as great a difference is by chance. */
export type ReinMeasure = {
  measure: string;
  /** What a horse does more often on one rein: “lands on the lead of the rein”. */
  does: string;
  left: Share;
  right: Share;
  p: number;
};

export type ReinReview = {
  measures: ReinMeasure[];
  quality: { left: number | null; right: number | null; p: number | null; passes: number };
};

/** What counts on one rein, pass by pass. */
const MEASURES: { measure: string; does: string; of: (pass: ReviewPass) => Share }[] = [
  {
    // Stands first: what catches up is measured by it (cleanShare).
    measure: 'clean passes',
    does: 'goes clean',
    of: ({ faults }) => ({ of: 1, hits: faults.length === 0 ? 1 : 0 }),
  },
  {
    measure: 'landed on the lead of the rein',
    does: 'lands on the lead of the rein',
    of: ({ marks, rein }) => {
      const leads = marks.flatMap(mark => (mark.kind === 'lead' ? [mark.lead] : []));
      return { of: leads.length, hits: leads.filter(lead => lead === rein).length };
    },
  },
  {
    measure: 'fences left standing',
    does: 'leaves fences standing',
    of: pass => {
      const fences = pass.ground.stops.filter(({ isFence }) => isFence).length;
      const wrong = new Set(
        pass.marks.flatMap(mark =>
          mark.kind === 'fence' && mark.outcome !== 'clear' && mark.outcome !== 'rub' ? [mark.place] : [],
        ),
      ).size;
      return { of: fences, hits: Math.max(0, fences - wrong) };
    },
  },
  {
    measure: 'poles not touched',
    does: 'leaves poles untouched',
    of: pass => {
      const poles = pass.ground.stops.filter(({ isFence }) => !isFence).length;
      const hit = new Set(pass.marks.flatMap(mark => (mark.kind === 'hit' ? [mark.place] : []))).size;
      return { of: poles, hits: Math.max(0, poles - hit) };
    },
  },
  {
    measure: 'right canter departs',
    does: 'departs right',
    of: ({ marks }) => {
      const departs = marks.flatMap(mark => (mark.kind === 'depart' ? [mark.how] : []));
      return { of: departs.length, hits: departs.filter(how => how === 'right').length };
    },
  },
  {
    measure: 'asked counts ridden',
    does: 'rides the count that is asked',
    of: pass => {
      const asked = pass.marks.flatMap(mark => {
        const wanted = mark.kind === 'strides' ? (pass.ground.legs[mark.place - 1]?.asked ?? null) : null;
        return mark.kind === 'strides' && wanted !== null ? [wanted === mark.count] : [];
      });
      return { of: asked.length, hits: asked.filter(Boolean).length };
    },
  },
];

/** Left against right in everything that was marked. Passes that do not count, and lines by themselves, are left out. */
export function reinReview(passes: readonly ReviewPass[]): ReinReview {
  const days = daysOf(passes).map(reinsOf);
  const [left, right] = [added(days.map(day => day.left)), added(days.map(day => day.right))];
  const measures = MEASURES.flatMap(({ measure, does }, index) => {
    const [a, b] = [left.shares[index]!, right.shares[index]!];
    return a.of === 0 || b.of === 0 ? [] : [{ measure, does, left: a, right: b, p: fisherExact(a, b) }];
  });
  const [ql, qr] = [left.qualities, right.qualities];
  return {
    measures,
    quality: {
      left: ql.length > 0 ? mean(ql) : null,
      right: qr.length > 0 ? mean(qr) : null,
      p: welch(ql, qr)?.p ?? null,
      passes: ql.length + qr.length,
    },
  };
}

/** Every measure of some passes added up, in their order, and their marks for quality. */
type OnRein = { shares: Share[]; qualities: number[] };

/** What the passes of a day that count come to on each rein. */
const reinsOf = readDays((day): Record<Rein, OnRein> => {
  const counted = day.filter(pass => !pass.isVoid && pass.line === null);
  const on = (rein: Rein): OnRein => {
    const own = counted.filter(pass => pass.rein === rein);
    const each = own.map(pass => ({ shares: MEASURES.map(({ of }) => of(pass)), qualities: [] }));
    return { shares: added(each).shares, qualities: qualities(own) };
  };
  return { left: on('left'), right: on('right') };
});

function added(all: readonly OnRein[]): OnRein {
  const shares = MEASURES.map(() => ({ of: 0, hits: 0 }));
  for (const one of all)
    one.shares.forEach(({ of, hits }, index) => {
      shares[index]!.of += of;
      shares[index]!.hits += hits;
    });
  return { shares, qualities: all.flatMap(one => one.qualities) };
}

/** The passes of some days on a rein that count, and how many of them were clean. */
export function cleanShare(days: readonly ReviewDay[], rein: Rein): Share {
  // The first of the measures: every pass is one, clean or not.
  return added(days.map(day => reinsOf(day)[rein])).shares[0]!;
}

/** The marks for quality of some passes, in order. */
export function qualities(passes: readonly ReviewPass[]): number[] {
  return passes.flatMap(({ marks }) => marks.flatMap(mark => (mark.kind === 'quality' ? [mark.value] : [])));
}

/** The marks for quality of a day, read once. */
export const dayQualities = readDays(qualities);
