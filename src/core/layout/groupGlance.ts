import { nearestToEven } from '../stride/offEven';
import type { StrideWord } from '../stride/strideWord';
import type { ReckonedItemTrack } from './reckonedTrack';
import type { HorseReading } from './reckonedLeg';

/** How a leg rides for a horse: by the word of the asked count or of the nearest one; `between` and `cannot` are words of their own. */
export type GlanceWord = StrideWord | 'between' | 'cannot';

/** One horse over all legs of a track: a word for each (null: not rated), and the leg that rides worst. */
export type HorseGlance = { horseId: string; horse: string; words: (GlanceWord | null)[]; worst: number | null };

/** The worst first: what cannot be ridden, what is out of reach, what lies between two counts, and so on to what is easy. */
const RANK: Record<GlanceWord, number> = {
  cannot: 6,
  'too tight': 5,
  'too far': 5,
  between: 4,
  short: 3,
  long: 3,
  quiet: 1,
  forward: 1,
  easy: 0,
};

/** The word of a reading at a glance; null where the distance is not rated. */
export function glanceWord({ asked, call, options, cannot }: HorseReading): GlanceWord | null {
  if (cannot) return 'cannot';
  if (asked) return asked.word;
  if (call.startsWith('between')) return 'between';
  return nearestToEven(options)?.word ?? null;
}

/** Every horse of a group over the legs of a track, the one that the track suits least first. */
export function groupGlance({ legs }: Pick<ReckonedItemTrack, 'legs'>): HorseGlance[] {
  const horses = new Map<string, HorseGlance>();
  legs.forEach(({ readings }, leg) => {
    for (const reading of readings) {
      const { horseId, horse } = reading;
      const own = horses.get(horseId) ?? { horseId, horse, words: legs.map(() => null), worst: null };
      const word = glanceWord(reading);
      own.words[leg] = word;
      const before = own.worst === null ? null : own.words[own.worst]!;
      if (word !== null && (before === null || RANK[word] > RANK[before])) own.worst = leg;
      horses.set(horseId, own);
    }
  });
  const ranks = (one: HorseGlance) => one.words.map(word => (word === null ? 0 : RANK[word]));
  const worst = (one: HorseGlance) => Math.max(0, ...ranks(one));
  const sum = (one: HorseGlance) => ranks(one).reduce((total, rank) => total + rank, 0);
  return [...horses.values()].sort((a, b) => worst(b) - worst(a) || sum(b) - sum(a));
}
