import type { PlannedTrack } from '../layout/layout';
import { NO_WORK, passWork, sumWork, timesWork, type Work } from '../work/passWork';
import { trackWork } from '../work/questionWork';
import type { WorkLimits } from '../work/workCounts';
import type { CautionContext } from './cautionRule';
import type { CautionLimits } from './cautionLimits';

/** What a track comes to for each horse, every pass that is planned. */
export function workOfTrack({ layout, tracks, limits }: CautionContext, plan: PlannedTrack): Work {
  const reckoned = tracks[layout.tracks.indexOf(plan)];
  if (!reckoned) return NO_WORK;
  const work = trackWork(layout.items, plan, reckoned, limits.efforts.highFromM);
  return timesWork(passWork({ marks: [], direction: 'as-drawn' }, work), plan.passes);
}

/** What all tracks of a layout come to. */
export function workOfLayout(context: CautionContext): Work {
  return sumWork(context.layout.tracks.map(track => workOfTrack(context, track)));
}

/** A day's limits among those that cautions look at. */
export function dayLimits({ efforts, smallCircle, raisedPasses }: CautionLimits): Omit<WorkLimits, 'jumpingDays'> {
  return {
    ...{ lowEfforts: efforts.low, highEfforts: efforts.high },
    ...{ raisedPasses, smallCircleMin: smallCircle.minutes },
  };
}

/** The usual limits with a yard's own for the day. */
export function withDayLimits(limits: CautionLimits, own: WorkLimits): CautionLimits {
  return {
    ...limits,
    efforts: { ...limits.efforts, low: own.lowEfforts, high: own.highEfforts },
    smallCircle: { ...limits.smallCircle, minutes: own.smallCircleMin },
    raisedPasses: own.raisedPasses,
  };
}
