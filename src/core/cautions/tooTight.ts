import { allReadings, legOfCaution, type CautionRule } from './cautionRule';
import { countMends } from './distanceMends';
import { outOfReach } from './reach';

/** A count that was asked, or the only one there is, that the horse cannot shorten to. */
export const tooTight: CautionRule = {
  code: 'too-tight',
  find: context => allReadings(context).flatMap(reading => outOfReach(context, reading, 'too tight')),
  mends: (context, caution) => {
    const leg = legOfCaution(context, caution);
    return leg ? countMends(context, leg) : [];
  },
};
