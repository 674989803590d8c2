import { pointAlong } from '../geometry/pointM';
import { itemTracks, metres, type CautionRule } from './cautionRule';
import { ROUNDING } from './cautionLimits';
import { lineOf, shiftItems, withCompany } from './mendMoves';
import { landing } from './roomAround';

/** Too little room to land and pull up at canter. */
export const landingShort: CautionRule = {
  code: 'landing-short',
  find: context =>
    itemTracks(context).flatMap(track => {
      const room = landing(context, track);
      if (!room || room.roomM >= context.limits.landingM - ROUNDING) return [];
      return [
        {
          code: 'landing-short',
          level: 'warn',
          items: [room.item],
          place: { track: track.plan.id, part: null },
          text: `Only ${metres(room.roomM)} from ${room.item} to the wall; at canter, ${context.limits.landingM} m to pull up is usual.`,
          mend: 'Move the line back, or turn it along the arena.',
        },
      ];
    }),
  mends: (context, caution) => {
    const track = itemTracks(context).find(({ plan }) => plan.id === caution.place.track);
    const room = track && landing(context, track);
    if (!room) return [];
    const ids = withCompany(context.layout, lineOf(context.layout, [room.item]));
    return [
      shiftItems(
        context.layout,
        ids,
        pointAlong({ xM: 0, yM: 0 }, room.headingRad, room.roomM - context.limits.landingM),
      ),
    ];
  },
};
