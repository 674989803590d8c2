import type { CautionRule } from './cautionRule';
import { landing } from './roomAround';
import { moveLine, roomOfCaution, roomShort } from './roomShort';

/** Too little room to land and pull up at canter. */
export const landingShort: CautionRule = {
  code: 'landing-short',
  find: context => {
    const wantedM = context.limits.landingM;
    return roomShort(context, landing, wantedM, {
      code: 'landing-short',
      mend: 'Move the line back, or turn it along the arena.',
      text: (room, item) => `Only ${room} from ${item} to the wall; at canter, ${wantedM} m to pull up is usual.`,
    });
  },
  mends: (context, caution) => {
    const room = roomOfCaution(context, caution, landing);
    return room ? [moveLine(context, room, room.roomM - context.limits.landingM)] : [];
  },
};
