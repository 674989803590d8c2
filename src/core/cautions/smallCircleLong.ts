import { howMany } from '../words/howMany';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { Rein } from '../track/rein';
import { figureTracks, itemTracks, sentence, trackCalled, type CautionContext, type CautionRule } from './cautionRule';
import { ROUNDING } from './cautionLimits';
import { workOfTrack } from './plannedWork';

type OnCircles = { track: string; minutes: Record<Rein, number> };

/** Minutes on small circles, by track and rein, all passes together. */
function minutesOnCircles(context: CautionContext): OnCircles[] {
  return [...figureTracks(context), ...itemTracks(context)].map(({ plan }) => ({
    track: plan.id,
    minutes: workOfTrack(context, plan).smallCircleMin,
  }));
}

/** Too long on circles of 10 m and less, on one rein. */
export const smallCircleLong: CautionRule = {
  code: 'small-circle-long',
  find: context => {
    const most = context.limits.smallCircle;
    const all = minutesOnCircles(context);
    return (['left', 'right'] as const).flatMap(rein => {
      const on = all.filter(({ minutes }) => minutes[rein] > 0).sort((a, b) => b.minutes[rein] - a.minutes[rein]);
      const minutes = on.reduce((sum, track) => sum + track.minutes[rein], 0);
      if (!on[0] || minutes < most.minutes - ROUNDING) return [];
      const who =
        on.length === 1 ? `${sentence(trackCalled(context, on[0].track))} spends` : 'All that is planned spends';
      return [
        {
          code: 'small-circle-long' as const,
          level: 'warn' as const,
          items: [],
          // Where most of it is.
          place: { track: on[0].track, part: null },
          text: `${who} ${minutes.toFixed(1)} minutes on circles of ${most.diameterM} m and less on the ${rein} rein; ${howMany(most.minutes, 'is', 'are')} enough.`,
          mend: 'Ride it fewer times, with a walk break, or make the circles larger.',
        },
      ];
    });
  },
  mends: (context, { place }) => {
    const { plan } = [...figureTracks(context), ...itemTracks(context)].find(({ plan: { id } }) => id === place.track)!;
    const on = minutesOnCircles(context).find(({ track }) => track === place.track);
    if (!on) return [];
    const share = Math.max(on.minutes.left, on.minutes.right) / context.limits.smallCircle.minutes;
    const passes = Math.max(1, Math.ceil(plan.passes / share) - 1);
    const edits: LayoutEdit[][] = [[{ kind: 'set-passes', track: plan.id, passes }]];
    if (plan.kind === 'figures') edits.push(fewerRounds(plan, share / (plan.passes / passes), passes));
    return edits;
  },
};

/** One pass, with each circle ridden fewer times. */
function fewerRounds(
  plan: ReturnType<typeof figureTracks>[number]['plan'],
  share: number,
  passes: number,
): LayoutEdit[] {
  const rounds = plan.figures.flatMap(({ figure }, index): LayoutEdit[] => {
    const change = (changed: typeof figure): LayoutEdit => ({
      kind: 'change-figure',
      track: plan.id,
      index,
      figure: changed,
    });
    if (figure.kind === 'circle')
      return [change({ ...figure, rounds: Math.max(0.5, Math.floor((figure.rounds / share) * 2) / 2) })];
    if (figure.kind === 'spiral' || figure.kind === 'eight')
      return [change({ ...figure, times: Math.max(1, Math.floor(figure.times / share)) })];
    return [];
  });
  return [{ kind: 'set-passes', track: plan.id, passes }, ...rounds];
}
