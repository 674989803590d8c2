import type { LayoutEdit } from '../layout/layoutEdit';
import { dayShare } from '../work/workCounts';
import { NOWHERE } from './caution';
import type { CautionContext, CautionRule } from './cautionRule';
import { dayLimits, workOfLayout } from './plannedWork';
import { howMany } from '../words/howMany';

const ROUNDING_SHARE = 1e-9;

/** Every pass of every track, in shares of a day's work: of efforts, or of passes over raised poles. */
function shares(context: CautionContext) {
  const work = workOfLayout(context);
  const limits = dayLimits(context.limits);
  return { work, limits, efforts: dayShare(work, limits), raised: work.raisedPasses / limits.raisedPasses };
}

/** More than a horse should do in a day: jumps, of which low and high ones each count as their share, or raised poles. */
export const tooManyEfforts: CautionRule = {
  code: 'too-many-efforts',
  find: context => {
    const { work, limits, efforts, raised } = shares(context);
    const about = { code: 'too-many-efforts' as const, level: 'warn' as const, items: [], place: NOWHERE };
    const told = [];
    if (efforts >= 1 - ROUNDING_SHARE)
      told.push({
        ...about,
        text: `${work.lowEfforts + work.highEfforts} jumping efforts are planned for each horse; ${limits.lowEfforts} low ones or ${limits.highEfforts} from ${context.limits.efforts.highFromM} m are enough for a day.`,
        mend: 'Plan fewer passes, or leave fences out.',
      });
    if (raised >= 1 - ROUNDING_SHARE)
      told.push({
        ...about,
        text: `${howMany(work.raisedPasses, 'pass over raised poles is', 'passes over raised poles are')} planned for each horse; ${howMany(limits.raisedPasses, 'is', 'are')} enough for a day.`,
        mend: 'Plan fewer passes, or lay the poles on the ground.',
      });
    return told;
  },
  mends: function* (context): Generator<LayoutEdit[]> {
    const { layout } = context;
    const { efforts, raised } = shares(context);
    const fewer = layout.tracks.flatMap((track): LayoutEdit[] => {
      // Below the limit: at it, the day is full.
      const passes = Math.max(1, Math.ceil(track.passes / Math.max(efforts, raised)) - 1);
      return track.kind === 'items' && passes < track.passes ? [{ kind: 'set-passes', track: track.id, passes }] : [];
    });
    if (fewer.length > 0) yield fewer;
    // Even one pass each is too much: leave the last fences out, one more each time.
    const fences = layout.items.filter(item => item.kind === 'fence').map(({ id }) => id);
    for (let less = 1; less < fences.length; less += 1)
      yield [...fewer, ...fences.slice(-less).map((item): LayoutEdit => ({ kind: 'remove-item', item }))];
  },
};
