import { allReadings, readFromTo, legOfCaution, sentence, type CautionRule } from './cautionRule';
import { countMends } from './distanceMends';

/** A distance that lies between two counts, where none was asked: that is where pairs get into trouble. */
export const between: CautionRule = {
  code: 'between',
  find: context =>
    allReadings(context).flatMap(({ leg, reading, plan, index }) => {
      if (reading.asked || !reading.call.startsWith('between')) return [];
      return [
        {
          code: 'between',
          level: 'warn',
          items: [leg.from, leg.to],
          place: { track: plan.id, part: index },
          text: `${sentence(readFromTo(context, leg))} is ${reading.call} for ${reading.horse}.`,
          mend: 'Move one of the two until one count is easy, or ask a count on purpose.',
        },
      ];
    }),
  mends: (context, caution) => {
    const leg = legOfCaution(context, caution);
    return leg ? countMends(context, leg) : [];
  },
};
