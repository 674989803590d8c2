import { assertNever } from '../assertNever';
import { standingMarks, type PassMark } from './passMark';
import { transitionWords } from './transitionWords';
import { gaitWord, sameGait } from '../layout/trackGait';
import type { PassRecord } from './passRecord';

/** A fault of a pass: what, and where (from 1; null for the pass as a whole). */
export type PassFault = { what: string; place: number | null; part?: number };

/** A pass with what was asked of it: all that judging it needs. */
export type JudgedPass = { marks: readonly PassMark[]; question: Pick<PassRecord['question'], 'asked' | 'gait'> };

/** Whether a pass counts at all: one that was given up before the line does not. */
export function isVoid({ marks }: { marks: readonly PassMark[] }): boolean {
  return marks.some(({ kind }) => kind === 'void');
}

/** The line that was ridden where it was not the whole track: places from 1; null for all of it. */
export function lineRidden({ marks }: { marks: readonly PassMark[] }): { from: number; to: number } | null {
  const line = marks.findLast(mark => mark.kind === 'line');
  return line ? { from: line.from, to: line.to } : null;
}

/**
 * What went wrong in a pass, by what was asked of it. A rub is no fault: it may make the next jump better. Strides are one
 * only where another count was asked, a gait where it is not the one that was.
 */
export function passFaults({ marks, question }: JudgedPass): PassFault[] {
  return standingMarks(marks).flatMap(mark => {
    const what = faultOf(mark, question);
    return what === null ? [] : [{ what, ...placeOf(mark) }];
  });
}

function faultOf(mark: PassMark, { asked, gait }: JudgedPass['question']): string | null {
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
    case 'transition':
      return mark.how === 'prompt' ? null : transitionWords(mark);
    case 'figure':
      return mark.kept ? null : `${mark.point} lost`;
    case 'slip':
      return `off the ${mark.from}`;
    case 'strides': {
      const wanted = asked[mark.place - 1] ?? null;
      if (wanted === null || wanted === mark.count) return null;
      return mark.count > wanted ? 'strides added' : 'strides left out';
    }
    case 'gait':
      return sameGait(mark.ridden, mark.asked ?? gait) ? null : `in ${gaitWord(mark.ridden)}`;
    case 'head':
      return mark.height === 'as wanted' ? null : `head ${mark.height}`;
    case 'footfall':
    case 'note':
    case 'landing':
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

/** Of which stop, leg or figure a mark is; a transition is told by its own words. */
function placeOf(mark: PassMark): Omit<PassFault, 'what'> {
  if (mark.kind === 'transition') return { place: null };
  if (mark.kind === 'gait') return { place: mark.from ?? null };
  if (mark.kind === 'figure' || mark.kind === 'slip')
    return { place: mark.place, ...(mark.part !== undefined && { part: mark.part }) };
  return { place: 'place' in mark ? mark.place : null };
}

/** Whether nothing went wrong in a pass that counts. */
export function isClean(pass: JudgedPass): boolean {
  return !isVoid(pass) && passFaults(pass).length === 0;
}
