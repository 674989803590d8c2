import type { LayoutEdit } from '../layout/layoutEdit';
import type { Caution } from './caution';
import {
  allLegs,
  figureTracks,
  fromTo,
  legOfCaution,
  trackCalled,
  type CautionContext,
  type CautionRule,
} from './cautionRule';
import { ringMoves } from './mendMoves';

function inLegs(context: CautionContext): Caution[] {
  return allLegs(context).flatMap(({ leg, plan, index }) => {
    if (leg.instead === null) return [];
    const text =
      leg.instead === 'no-natural-track'
        ? `No natural line leads ${fromTo(context, leg)} on this sand: the shortest possible one is reckoned.`
        : `No wide line fits ${fromTo(context, leg)}: the natural one is reckoned.`;
    return [
      {
        code: 'no-natural-track',
        level: 'warn',
        items: [leg.from, leg.to],
        place: { track: plan.id, part: index },
        text,
        mend: 'Move or turn one of the two, or ride something else between them.',
      },
    ];
  });
}

function inFigures(context: CautionContext): Caution[] {
  return figureTracks(context).flatMap(({ plan, reckoned: { session } }) => {
    if (session.ok) return [];
    return [
      {
        code: 'no-natural-track',
        level: 'stop',
        items: [],
        place: { track: plan.id, part: session.figure },
        text: `Figure ${session.figure + 1} of ${trackCalled(context, plan.id)} cannot be ridden. ${session.reason}`,
        mend: 'Change it, move it, or leave it out.',
      },
    ];
  });
}

/** The line that was wanted does not exist here: another stands in. Or a figure that cannot be ridden at all. */
export const noNaturalTrack: CautionRule = {
  code: 'no-natural-track',
  find: context => [...inLegs(context), ...inFigures(context)],
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const leg = legOfCaution(context, caution);
    if (!leg) {
      if (caution.place.track !== null && caution.place.part !== null)
        yield [{ kind: 'remove-figure', track: caution.place.track, index: caution.place.part }];
      return;
    }
    if (leg.leg.instead === 'no-wide-track')
      yield [{ kind: 'change-leg', track: leg.plan.id, leg: leg.index, changes: { track: 'natural' } }];
    const to = context.layout.items.find(({ id }) => id === leg.leg.to);
    const reversed = leg.plan.through[leg.index + 1]!.reversed;
    yield [{ kind: 'ride-way', track: leg.plan.id, index: leg.index + 1, reversed: !reversed }];
    if (to && 'headingRad' in to)
      for (const degrees of [45, -45, 90, -90, 135, -135, 180])
        yield [{ kind: 'turn-item', item: to.id, headingRad: to.headingRad + (degrees * Math.PI) / 180 }];
    yield* ringMoves(context.layout, leg.leg.to, 2, 24);
  },
};
