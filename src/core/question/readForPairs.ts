import type { ItemTrack, Layout, LayoutHorse } from '../layout/layout';
import { reckonItemTrack, distanceCaseOf } from '../layout/reckonLayout';
import { settingAt, layoutStride } from '../layout/layoutStrides';
import type { HorseReading } from '../layout/reckonedLeg';
import { groundForCountM } from '../stride/readDistance';
import { countName } from '../stride/callInWords';
import { askedLayout } from './askedLayout';
import { labelsAsBuilt } from './labelsAsBuilt';
import { questionOfPair, type AskedQuestion } from './pairAsk';

/** A pair as its horse is reckoned with. */
export type ReadPair = { id: string; horse: LayoutHorse };

/** What one leg of a question is for a pair: the words for it, and whether there is a count it can be ridden in. */
export type PairLeg = {
  /** What the ends of the leg are called. */
  from: string;
  to: string;
  groundM: number;
  asked: number | null;
  /** "6 asked: short, and meant to be"; else the call, "easy five". */
  words: string;
  usable: boolean;
  /** What would mend it; null where nothing is the matter. */
  mend: string | null;
};

/** A question read for one pair, leg by leg; null where the layout does not have what it goes over. */
export type PairReading = { pairId: string; legs: PairLeg[] | null };

/** Reads what is asked of each pair against its own horse: what no pair can ride is told, with what would mend it. */
export function readForPairs(layout: Layout, asked: AskedQuestion, pairs: readonly ReadPair[]): PairReading[] {
  return pairs.map(({ id, horse }) => ({ pairId: id, legs: readForPair(layout, asked, { id, horse }) }));
}

function readForPair(layout: Layout, asked: AskedQuestion, { id, horse }: ReadPair): PairLeg[] | null {
  const own = askedLayout({ ...layout, horses: [horse] }, questionOfPair(asked, id));
  const track = own?.tracks[0];
  if (!own || !track) return null;
  if (track.kind === 'figures') return [];
  const { inWords } = labelsAsBuilt(layout, own);
  return reckonItemTrack(own, track).legs.flatMap((leg, index) => {
    const reading = leg.readings[0];
    if (!reading) return [];
    const usable = isUsable(reading);
    return [
      {
        ...{ from: inWords(leg.from), to: inWords(leg.to), groundM: leg.groundM, asked: track.legs[index]!.asked },
        ...{ words: saidOfPair(reading), usable, mend: usable ? null : mendOf(own, track, index, reading, horse) },
      },
    ];
  });
}

/** What is said of a leg to a pair. A count that is asked is judged as it was asked: short may be meant. */
export function saidOfPair({ asked, call, zeroIs }: Pick<HorseReading, 'asked' | 'call' | 'zeroIs'>): string {
  if (!asked) return call;
  const counted = `${countName(asked.strides, zeroIs)} asked: ${asked.word}`;
  return asked.word === 'short' || asked.word === 'long' ? `${counted}, and meant to be` : counted;
}

/**
 * What cannot be ridden, in sentences: pair by pair, what is alike said once, with what would mend it; first of all what no
 * pair can ride.
 * @param nameOf - a pair by its id
 */
export function outOfReachWords(readings: readonly PairReading[], nameOf: (pairId: string) => string): string[] {
  const legsOf = ({ legs }: PairReading) => legs ?? [];
  const ofNobody = legsOf(readings[0] ?? { pairId: '', legs: null }).flatMap(({ from, to }, at) =>
    readings.length > 1 && readings.every(reading => legsOf(reading)[at]?.usable === false)
      ? [`No pair can ride it from ${from} to ${to}.`]
      : [],
  );
  const ofPairs = readings.flatMap(reading => {
    const alike = new Map<string, string[]>();
    for (const { from, to, words, mend, usable } of legsOf(reading)) {
      if (usable) continue;
      const said = `${words}. ${mend ?? ''}`.trim();
      alike.set(said, [...(alike.get(said) ?? []), `from ${from} to ${to}`]);
    }
    return [...alike].map(([said, places]) => `${nameOf(reading.pairId)}, ${inOneList(places)}: ${said}`);
  });
  return [...ofNobody, ...ofPairs];
}

function inOneList(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]!}`;
}

const OUT_OF_REACH: readonly string[] = ['too tight', 'too far'];

/** A leg that gives no count, such as a landing pole, is ridden as it comes. */
function isUsable({ asked, options, cannot }: HorseReading): boolean {
  if (cannot) return false;
  if (asked) return !OUT_OF_REACH.includes(asked.word);
  return options.length === 0 || options.some(({ word }) => !OUT_OF_REACH.includes(word));
}

/** Another count where one suits the horse, else another distance. */
function mendOf(layout: Layout, track: ItemTrack, leg: number, reading: HorseReading, horse: LayoutHorse): string {
  if (reading.cannot) {
    const { radiusM, leastM } = reading.cannot;
    return `It turns at ${radiusM.toFixed(1)} m, and ${horse.name} carries ${leastM.toFixed(1)} m at this gait: ride it wider or slower, or leave it out.`;
  }
  const usable = reading.options.filter(({ word }) => !OUT_OF_REACH.includes(word));
  const best = [...usable].sort((a, b) => Math.abs(Math.log(a.q)) - Math.abs(Math.log(b.q)))[0];
  if (reading.asked && best) return `Ask ${horse.name} for ${countName(best.strides, reading.zeroIs)}: ${best.word}.`;
  const stride = layoutStride(horse, track.gait, settingAt(track.gait, track.legs[leg]!));
  const strides = reading.asked?.strides ?? Math.max(0, Math.round(reading.evenCount));
  const groundM = stride && groundForCountM(strides, distanceCaseOf(layout, track, leg), stride.normalM);
  return groundM === null
    ? 'Leave it out, or ride it on another track.'
    : `${groundM.toFixed(2)} m would be even for ${horse.name} in ${countName(strides, reading.zeroIs)}; or leave it out.`;
}
