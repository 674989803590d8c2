import { NOWHERE, type Caution } from './caution';
import { ROUNDING } from './cautionLimits';
import { called, itemTracks, metresBy, sentence, type CautionContext, type CautionRule } from './cautionRule';
import { isRiddenAnywhere } from '../layout/isRiddenAnywhere';
import { ringMoves } from './mendMoves';
import { isCantered, landing, roomBeside } from './roomAround';
import { moveLine, roomOfCaution, roomShort } from './roomShort';

/** A fence that is jumped out of a trot, or that nothing rides yet, wants so much room behind it at least (practice). */
const LEAST_BEHIND_M = 6;

/** The fences whose landing no canter track judges: last of a slower track, or ridden by none, as they face. */
function otherLandings(context: CautionContext): Caution[] {
  const { layout } = context;
  const slower = itemTracks(context).flatMap(track => {
    const { through, id } = track.plan;
    return isCantered(track) ? [] : [{ ...through[through.length - 1]!, track: id }];
  });
  const unridden = layout.items
    .filter(({ id }) => !isRiddenAnywhere(layout, id))
    .map(({ id }) => ({ item: id, reversed: false, track: null }));
  return [...slower, ...unridden].flatMap(({ item: id, reversed, track }): Caution[] => {
    const isFence = layout.items.some(item => item.id === id && item.kind === 'fence');
    const room = isFence ? roomBeside(layout, { item: id, reversed }, 1) : null;
    if (!room || room.roomM >= LEAST_BEHIND_M - ROUNDING) return [];
    return [
      {
        ...{ code: 'landing-short', level: 'warn', items: [id] },
        place: track === null ? NOWHERE : { track, part: null },
        text: sentence(
          `${called(context, id)} has ${metresBy(room.roomM, LEAST_BEHIND_M)} to the wall behind it, as it faces; out of a trot ${LEAST_BEHIND_M} m is the least.`,
        ),
        mend: 'Move it away from the wall, or turn it along the arena.',
      },
    ];
  });
}

/** Too little room to land and pull up. */
export const landingShort: CautionRule = {
  code: 'landing-short',
  find: context => {
    const wantedM = context.limits.landingM;
    const cantered = roomShort(context, landing, wantedM, {
      code: 'landing-short',
      mend: 'Move the line back, or turn it along the arena.',
      text: (room, item) => `Only ${room} from ${item} to the wall; at canter, ${wantedM} m to pull up is usual.`,
    });
    return [...cantered, ...otherLandings(context)];
  },
  mends: function* (context, caution) {
    const room = roomOfCaution(context, caution, landing);
    if (room) return yield moveLine(context, room, room.roomM - context.limits.landingM);
    if (caution.items[0] !== undefined) yield* ringMoves(context.layout, caution.items[0], 1, 12);
  },
};
