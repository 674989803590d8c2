import { tempoOfTaps, type Tempo } from '../record/tempo';
import { daysOf, readDays } from './byDay';
import type { DayPass } from './reviewPass';

/** Strides of one leg that were tapped in one pass. */
export type TempoSeen = { passId: string; day: string; riddenAtMs: number; tempo: Tempo };

/** The tempo of a leg, pass by pass. */
export type TempoReview = {
  layoutVersionId: string;
  /** What was asked. */
  question: string;
  from: string;
  to: string;
  /** Oldest first. */
  seen: TempoSeen[];
  /** The mean over the passes, strides a second. */
  perSecond: number;
  quickened: number;
  slowed: number;
};

/** The tempo of every leg whose strides were tapped, those most often tapped first. */
export function tempoReviews(passes: readonly DayPass[]): TempoReview[] {
  const legs = new Map<string, TempoReview>();
  for (const day of daysOf(passes))
    for (const { index, place, tempo } of temposOf(day)) {
      const pass = day[index]!;
      const leg = pass.ground.legs[place - 1]!;
      const key = `${pass.layoutVersionId} ${pass.key} ${place}`;
      const { layoutVersionId, questionWords: question } = pass;
      const own = legs.get(key) ?? {
        ...{ layoutVersionId, question, from: leg.from, to: leg.to, seen: [], perSecond: 0, quickened: 0, slowed: 0 },
      };
      own.seen.push({ passId: pass.id, day: pass.day, riddenAtMs: pass.riddenAtMs, tempo });
      legs.set(key, own);
    }
  return [...legs.values()].map(summed).sort((a, b) => b.seen.length - a.seen.length);
}

/** The tempos of a day: of the how manieth pass, and in which leg. */
export const temposOf = readDays('tempos', day =>
  day.flatMap((pass, index) =>
    pass.isVoid
      ? []
      : pass.marks.flatMap((mark): { index: number; place: number; tempo: Tempo }[] => {
          const tempo = mark.kind === 'strides' && mark.tapsMs ? tempoOfTaps(mark.tapsMs) : null;
          if (!tempo || mark.kind !== 'strides' || !pass.ground.legs[mark.place - 1]) return [];
          return [{ index, place: mark.place, tempo }];
        }),
  ),
);

function summed(leg: TempoReview): TempoReview {
  const { seen } = leg;
  const times = (change: Tempo['change']) => seen.filter(({ tempo }) => tempo.change === change).length;
  const perSecond = seen.reduce((sum, { tempo }) => sum + tempo.perSecond, 0) / seen.length;
  return { ...leg, perSecond, quickened: times('quickened'), slowed: times('slowed') };
}

/** A leg's tempo in a sentence. */
export function tempoReviewWords({ seen, perSecond, quickened, slowed }: TempoReview): string {
  const counts = `${seen.length} ${seen.length === 1 ? 'count' : 'counts'}`;
  const changes = [quickened > 0 && `quickened in ${quickened}`, slowed > 0 && `slowed in ${slowed}`].filter(Boolean);
  const words = changes.length === 0 ? 'no change that can be told' : changes.join(', ');
  return `${perSecond.toFixed(1)} strides a second over ${counts}; ${words}`;
}
