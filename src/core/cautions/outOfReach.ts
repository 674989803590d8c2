import type { HorseReading, ReckonedLeg } from '../layout/reckonLayout';
import type { Caution } from './caution';

/** A count that was asked, or the only one there is, that the horse cannot reach. */
export function outOfReach(leg: ReckonedLeg, reading: HorseReading): Caution[] {
  const word = reading.asked?.word ?? (reading.options.length === 1 ? reading.options[0]!.word : null);
  if (word !== 'too tight' && word !== 'too far') return [];
  const wanted = reading.asked ? `${reading.asked.strides} asked` : reading.call;
  return [
    {
      code: word === 'too tight' ? 'too-tight' : 'too-far',
      level: 'stop',
      items: [leg.from, leg.to],
      text: `From ${leg.from} to ${leg.to} is ${word} for ${reading.horse} (${wanted}).`,
      mend:
        word === 'too tight' ? 'Set them farther apart, or ask one stride fewer.' : 'Set them closer, or ask one more.',
    },
  ];
}
