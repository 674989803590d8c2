import type { HorseReading, ReckonedLeg } from '../layout/reckonLayout';
import type { Caution } from './caution';

/** A distance that lies between two counts, where none was asked: that is where pairs get into trouble. */
export function between(leg: ReckonedLeg, reading: HorseReading): Caution[] {
  if (reading.asked || !reading.call.startsWith('between')) return [];
  return [
    {
      code: 'between',
      level: 'warn',
      items: [leg.from, leg.to],
      text: `From ${leg.from} to ${leg.to} is ${reading.call} for ${reading.horse}.`,
      mend: 'Move one of the two until one count is easy, or ask a count on purpose.',
    },
  ];
}
