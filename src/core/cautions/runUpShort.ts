import type { CautionRule } from './cautionRule';
import { runUp } from './roomAround';
import { moveLine, roomOfCaution, roomShort } from './roomShort';

/** Too little room to come in straight at canter. */
export const runUpShort: CautionRule = {
  code: 'run-up-short',
  find: context => {
    const wantedM = context.limits.runUpM;
    return roomShort(context, runUp, wantedM, {
      code: 'run-up-short',
      mend: 'Move the line on, or turn it along the arena.',
      text: (room, item) => `Only ${room} straight before ${item}; at canter, ${wantedM} m is usual.`,
    });
  },
  mends: (context, caution) => {
    const room = roomOfCaution(context, caution, runUp);
    return room ? [moveLine(context, room, context.limits.runUpM - room.roomM)] : [];
  },
};
