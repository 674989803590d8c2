import { countName } from '../stride/callInWords';
import type { Caution } from './caution';
import { readFromTo, sentence, type CautionContext, type ReadLeg } from './cautionRule';

/** A caution where the asked count, or the only one there is, has this word for a horse. */
export function outOfReach(
  context: CautionContext,
  { leg, reading, plan, index }: ReadLeg,
  word: 'too tight' | 'too far',
): Caution[] {
  const found = reading.asked?.word ?? (reading.options.length === 1 ? reading.options[0]!.word : null);
  if (found !== word) return [];
  const { asked, zeroIs } = reading;
  const wanted = asked ? `${asked.strides === 0 ? countName(0, zeroIs) : asked.strides} asked` : reading.call;
  return [
    {
      code: word === 'too tight' ? 'too-tight' : 'too-far',
      level: 'stop',
      items: [leg.from, leg.to],
      place: { track: plan.id, part: index },
      text: `${sentence(readFromTo(context, leg))} is ${word} for ${reading.horse} (${wanted}).`,
      mend:
        word === 'too tight' ? 'Set them farther apart, or ask one stride fewer.' : 'Set them closer, or ask one more.',
    },
  ];
}
