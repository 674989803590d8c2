import type { ReckonedLeg } from '../layout/reckonLayout';
import type { Caution } from './caution';

/** The line that was wanted does not exist here: another stands in. */
export function noNaturalTrack(leg: ReckonedLeg): Caution[] {
  if (leg.instead === null) return [];
  const text =
    leg.instead === 'no-natural-track'
      ? `No natural line leads from ${leg.from} to ${leg.to} on this sand: the shortest possible one is reckoned.`
      : `No wide line fits from ${leg.from} to ${leg.to}: the natural one is reckoned.`;
  return [
    {
      code: 'no-natural-track',
      level: 'warn',
      items: [leg.from, leg.to],
      text,
      mend: 'Move or turn one of the two, or ride something else between them.',
    },
  ];
}
