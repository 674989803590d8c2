import type { Arena } from '../arena/arena';
import { placeWords } from '../arena/placeWords';
import { byChance } from './byChance';
import type { Claim } from './claims';
import type { SandPlace } from './sandMap';

/**
 * The places that stand out, in words: what to look at is the footing, the slope or the line where several pairs have
 * trouble, and the pair where it is one.
 * @param pairName - who a pair is
 */
export function placeClaims(places: readonly SandPlace[], arena: Arena, pairName: (pairId: string) => string): Claim[] {
  const looked = places.filter(({ visits }) => visits > 0).length;
  return places
    .filter(({ standsOut }) => standsOut)
    .sort((a, b) => a.p - b.p)
    .map(({ at, visits, troubles, expected, p, whose, pairId }) => {
      const where = placeWords(arena, at);
      const who = pairId === null ? 'one pair' : pairName(pairId);
      return {
        about: 'sand',
        text:
          whose === 'place'
            ? `More goes wrong ${where} than elsewhere, whoever rides: look at the footing, the slope and the line there, and at what stands there.`
            : `${who} has trouble ${where} more than elsewhere, and the others do not: look at how this pair comes to it.`,
        because: `${troubles} times in ${visits} rides over it, where ${expected.toFixed(1)} would be usual for these pairs; ${byChance(p)}. ${looked} places were looked at, which is allowed for.`,
        p,
      };
    });
}
