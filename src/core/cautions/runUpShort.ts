import { pointAlong } from '../geometry/pointM';
import { itemTracks, metres, type CautionRule } from './cautionRule';
import { ROUNDING } from './cautionLimits';
import { lineOf, shiftItems, withCompany } from './mendMoves';
import { runUp } from './roomAround';

/** Too little room to come in straight at canter. */
export const runUpShort: CautionRule = {
  code: 'run-up-short',
  find: context =>
    itemTracks(context).flatMap(track => {
      const room = runUp(context, track);
      if (!room || room.roomM >= context.limits.runUpM - ROUNDING) return [];
      return [
        {
          code: 'run-up-short',
          level: 'warn',
          items: [room.item],
          place: { track: track.plan.id, part: null },
          text: `Only ${metres(room.roomM)} straight before ${room.item}; at canter, ${context.limits.runUpM} m is usual.`,
          mend: 'Move the line on, or turn it along the arena.',
        },
      ];
    }),
  mends: (context, caution) => {
    const track = itemTracks(context).find(({ plan }) => plan.id === caution.place.track);
    const room = track && runUp(context, track);
    if (!room) return [];
    const ids = withCompany(context.layout, lineOf(context.layout, [room.item]));
    return [
      shiftItems(
        context.layout,
        ids,
        pointAlong({ xM: 0, yM: 0 }, room.headingRad, context.limits.runUpM - room.roomM),
      ),
    ];
  },
};
