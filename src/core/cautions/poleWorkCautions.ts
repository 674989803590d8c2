import { roomAhead } from '../arena/roomAhead';
import type { Arena } from '../arena/arena';
import type { PoleGait } from '../exercises/poleRow';
import type { Pole } from '../items/pole';
import { NOWHERE, type Caution } from './caution';
import { USUAL_LIMITS } from './cautionLimits';

export const DISCLAIMER = 'Roan does not replace a qualified instructor, your federation’s rules or a vet.';

/** Shown wherever poles are planned, set or ridden (common practice, no source). */
export const POLE_WORK_CAUTIONS: readonly string[] = [
  'Helmet and proper footwear, every time.',
  'No loose pole where a horse can step on it and roll it: block or dig in what lies alone.',
  'A pole that a horse keeps hitting comes down or out.',
  'Stop at signs of pain, tiredness or unevenness, and ask a vet.',
];

/**
 * Room before and after a row of canter poles. At walk and trot there is none to ask for.
 * @param poles - in the order ridden, one or more
 * @param limits - where the yard draws the line
 */
export function rowRoomCautions(
  arena: Arena,
  poles: readonly Pole[],
  gait: PoleGait,
  limits = USUAL_LIMITS,
): Caution[] {
  const first = poles[0];
  const last = poles[poles.length - 1];
  if (gait !== 'canter' || !first || !last) return [];
  const runUpM = roomAhead(arena, first.at, first.headingRad + Math.PI);
  const landingM = roomAhead(arena, last.at, last.headingRad);
  const cautions: Caution[] = [];
  if (runUpM < limits.runUpM)
    cautions.push({
      code: 'run-up-short',
      level: 'warn',
      items: [first.id],
      place: NOWHERE,
      text: `Only ${runUpM.toFixed(1)} m straight before the first pole; at canter, ${limits.runUpM} m after a turn is usual.`,
      mend: 'Move the row on, or turn it along the arena.',
    });
  if (landingM < limits.landingM)
    cautions.push({
      code: 'landing-short',
      level: 'warn',
      items: [last.id],
      place: NOWHERE,
      text: `Only ${landingM.toFixed(1)} m from the last pole to the wall; at canter, ${limits.landingM} m to pull up is usual.`,
      mend: 'Move the row back, or turn it along the arena.',
    });
  return cautions;
}
