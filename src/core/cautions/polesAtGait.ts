import { isGaitedGait } from '../horse/strideEntry';
import { moveForGround } from '../layout/moveForGround';
import { layoutStride } from '../layout/layoutStrides';
import { gaitWord } from '../layout/trackGait';
import type { Caution } from './caution';
import {
  called,
  itemTracks,
  legOfCaution,
  riddenItem,
  type CautionContext,
  type CautionRule,
  type TrackOfItems,
} from './cautionRule';

/** Common practice, no source: more poles than this one after the other, and a lateral gait becomes a trot. */
const MOST_IN_A_ROW = 2;
/** Poles that are so many steps of the gait apart are no row. */
const ROW_STEPS = 4;
/** Farther apart than for trot: at less than one and a half steps every step has a pole. */
const LEAST_STEPS = 1.5;
/** Where nobody knows the stride of the gait, metres a step (common practice, no source). */
const USUAL_STEP_M = 1.2;

/** Runs of poles one after the other in a lateral gait: their places along the track. */
function rowsAt(context: CautionContext, { plan, reckoned }: TrackOfItems): { first: number; last: number }[] {
  const stepM = stepOf(context, plan.gait);
  const rows = [{ first: 0, last: 0 }];
  const isPole = (index: number) => riddenItem(context.layout, plan.through[index]!.item)?.kind === 'pole';
  for (const [index, leg] of reckoned.legs.entries()) {
    const goesOn = leg.from !== leg.to && isPole(index) && isPole(index + 1) && leg.groundM < ROW_STEPS * stepM;
    if (goesOn) rows.at(-1)!.last = index + 1;
    else rows.push({ first: index + 1, last: index + 1 });
  }
  return rows.filter(({ first, last }) => last > first);
}

/** The longest step of those who have the gait, metres. */
function stepOf({ layout }: CautionContext, gait: TrackOfItems['plan']['gait']): number {
  const steps = layout.horses.flatMap(horse => layoutStride(horse, gait, 'poles')?.normalM ?? []);
  return steps.length === 0 ? USUAL_STEP_M : Math.max(...steps);
}

function cautionsOf(context: CautionContext, track: TrackOfItems): Caution[] {
  const { plan, reckoned } = track;
  const stepM = stepOf(context, plan.gait);
  const gait = gaitWord(plan.gait);
  return rowsAt(context, track).flatMap(({ first, last }): Caution[] => {
    const items = plan.through.slice(first, last + 1).map(({ item }) => item);
    const from = `from ${called(context, items[0]!)} to ${called(context, items.at(-1)!)}`;
    const told = { code: 'gait-poles' as const, items, place: { track: plan.id, part: first } };
    if (items.length > MOST_IN_A_ROW)
      return [
        {
          ...{ ...told, level: 'warn' },
          text: `${items.length} poles in a row in ${gait}, ${from}: they push the gait towards trot.`,
          mend: 'One or two poles, farther apart than for trot, with a way round them.',
        },
      ];
    const nearM = Math.min(...reckoned.legs.slice(first, last).map(({ groundM }) => groundM));
    if (nearM >= LEAST_STEPS * stepM) return [];
    return [
      {
        ...{ ...told, level: 'warn' },
        text: `The poles ${from} lie ${nearM.toFixed(2)} m apart, a pole at every step in ${gait}: they push it towards trot.`,
        mend: `Two steps from pole to pole, ${(2 * stepM).toFixed(2)} m.`,
      },
    ];
  });
}

/** Poles push a lateral gait towards trot: one or two, farther apart than for trot. */
export const polesAtGait: CautionRule = {
  code: 'gait-poles',
  find: context =>
    itemTracks(context).flatMap(track => (isGaitedGait(track.plan.gait) ? cautionsOf(context, track) : [])),
  mends: function* (context, caution) {
    const { items } = caution;
    const away = items.slice(MOST_IN_A_ROW).map(item => ({ kind: 'remove-item' as const, item }));
    if (away.length > 0) yield away;
    const leg = legOfCaution(context, caution);
    if (!leg) return;
    const wish = { by: 'tape' as const, lengthM: 2 * stepOf(context, leg.plan.gait) };
    const opened = moveForGround(context.layout, leg.plan, leg.index, wish, [leg.leg.to], true);
    if (opened.ok) yield opened.edits;
  },
};
