import type { Caution } from './caution';
import { called, metres, metresBy, sentence, type CautionRule } from './cautionRule';
import { BESIDE_M, besideTheWays, isInTheLine, wayWords } from './inTheLine';
import { removeOrMove } from './mendMoves';

/** A stand of another fence close beside what is ridden: a knee or a drifting horse finds it. */
export const besideTheLine: CautionRule = {
  code: 'beside-the-line',
  find: context =>
    besideTheWays(context)
      .filter(beside => beside.item.kind === 'fence' && !isInTheLine(beside))
      .map(({ item, way, offM }): Caution => ({
        code: 'beside-the-line',
        level: 'warn',
        items: [item.id],
        place: { track: way.track, part: way.part },
        text: sentence(
          `A stand of ${called(context, item.id)} is ${metresBy(offM, BESIDE_M)} from what is ridden ${wayWords(context, way)}; ${metres(BESIDE_M)} is usual.`,
        ),
        mend: 'Move it away from the line, or ride farther from it.',
      })),
  mends: removeOrMove,
};
