import { assertNever } from '../assertNever';
import { standingMarks, type PassMark } from './passMark';
import type { PassRecord } from './passRecord';

/** A fault of a pass: what, and where (from 1; null for the pass as a whole). */
export type PassFault = { what: string; place: number | null };

/** Whether a pass counts at all: one that was given up before the line does not. */
export function isVoid({ marks }: Pick<PassRecord, 'marks'>): boolean {
  return marks.some(({ kind }) => kind === 'void');
}

/** The line that was ridden where it was not the whole track: places from 1; null for all of it. */
export function lineRidden({ marks }: { marks: readonly PassMark[] }): { from: number; to: number } | null {
  const line = marks.findLast(mark => mark.kind === 'line');
  return line ? { from: line.from, to: line.to } : null;
}

/**
 * What went wrong in a pass. A rub is no fault: it may make the next jump better. Strides are one only where another
 * count was asked.
 * @param asked - the count asked of each leg, in order; null where none was
 */
export function passFaults({ marks }: Pick<PassRecord, 'marks'>, asked: readonly (number | null)[] = []): PassFault[] {
  return standingMarks(marks).flatMap(mark => {
    const what = faultOf(mark, asked);
    return what === null ? [] : [{ what, place: 'place' in mark ? mark.place : null }];
  });
}

function faultOf(mark: PassMark, asked: readonly (number | null)[]): string | null {
  switch (mark.kind) {
    case 'hit':
      return 'hit';
    case 'fence':
      return mark.outcome === 'clear' || mark.outcome === 'rub' ? null : mark.outcome;
    case 'take-off':
      return mark.where === 'good' ? null : `${mark.where} take-off`;
    case 'lead':
      return mark.lead === 'cross-canter' ? 'cross-canter' : null;
    case 'aim':
      return `aim off to the ${mark.off}`;
    case 'fault':
      return mark.fault;
    case 'depart':
      return mark.how === 'right' ? null : mark.how;
    case 'figure':
      return mark.kept ? null : `${mark.point} lost`;
    case 'strides': {
      const wanted = asked[mark.place - 1] ?? null;
      if (wanted === null || wanted === mark.count) return null;
      return mark.count > wanted ? 'strides added' : 'strides left out';
    }
    case 'footfall':
    case 'note':
    case 'landing':
    case 'gait':
    case 'head':
    case 'quality':
    case 'spot':
    case 'rider':
    case 'void':
    case 'line':
    case 'track':
      return null;
    default:
      return assertNever(mark);
  }
}

/** Whether nothing went wrong in a pass that counts. */
export function isClean(pass: Pick<PassRecord, 'marks'>, asked?: readonly (number | null)[]): boolean {
  return !isVoid(pass) && passFaults(pass, asked).length === 0;
}
