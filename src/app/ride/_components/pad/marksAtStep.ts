import { fractionShort, gaitWord, type PadStep, type PassMark } from '@/core';

/** What was said of a step, in the room of a key; what stands last is read first. */
export function marksAtStep(marks: readonly PassMark[], step: PadStep): string {
  const words = marks.flatMap(mark => {
    const said = shortWords(mark, step);
    return said === null ? [] : [said];
  });
  return [...new Set(words)].join(', ');
}

function shortWords(mark: PassMark, step: PadStep): string | null {
  if (mark.kind === 'gait' && mark.fromM !== undefined) {
    const isHere = 'alongM' in step && Math.abs(mark.fromM - step.alongM) < 0.01;
    return isHere ? gaitWord(mark.ridden) : null;
  }
  switch (step.kind) {
    case 'transition':
      return mark.kind === 'transition' && mark.place === step.place ? mark.how : null;
    case 'figure':
      if (mark.kind === 'slip' && mark.place === step.place && (mark.part ?? null) === step.part)
        return `off ${mark.from}`;
      return mark.kind === 'figure' && mark.place === step.place && (mark.part ?? null) === step.part
        ? `${mark.point}${mark.kept ? '' : ' lost'}`
        : null;
    default:
      return atStop(mark, step.place);
  }
}

function atStop(mark: PassMark, place: number): string | null {
  if (mark.kind === 'gait') return mark.from === place ? gaitWord(mark.ridden) : null;
  if (!('place' in mark) || mark.place !== place) return null;
  switch (mark.kind) {
    case 'hit':
      return 'hit';
    case 'fence':
      return mark.outcome;
    case 'lead':
      return mark.lead === 'cross-canter' ? mark.lead : `${mark.lead} lead`;
    case 'take-off':
      return mark.where;
    case 'landing':
      return `landed ${mark.where}`;
    case 'aim':
      return `off ${mark.off}`;
    case 'fault':
      return mark.fault;
    // Between this pole and the next.
    case 'footfall':
      return fractionShort(mark.fraction);
    default:
      return null;
  }
}
