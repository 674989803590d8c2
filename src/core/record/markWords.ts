import { assertNever } from '../assertNever';
import { gaitWord } from '../layout/trackGait';
import { FOOTFALL_PLACES } from './footfall';
import type { TappedMark } from './passMark';
import { tempoOfTaps, tempoWords } from './tempo';
import { transitionWords } from './transitionWords';

const NEAR = 0.001;

/** Where a foot fell, in words where there is a word, else as a share of the gap. */
export function fractionWords(fraction: number): string {
  if (Math.abs(fraction - FOOTFALL_PLACES.third) < NEAR) return 'a third';
  if (Math.abs(fraction - FOOTFALL_PLACES.middle) < NEAR) return 'the middle';
  if (Math.abs(fraction - FOOTFALL_PLACES.threeQuarters) < NEAR) return 'three quarters';
  return `${Math.round(fraction * 100)} %`;
}

/**
 * A mark in a few words.
 * @param nameOf - what stands at a place of the pass's own track, from 1; on the flat, what its figure, or a part of it, is called
 * @param nameOfItem - what an item is called
 */
export function markWords(
  mark: TappedMark,
  nameOf: (place: number, part?: number) => string = String,
  nameOfItem: (itemId: string) => string = String,
): string {
  switch (mark.kind) {
    case 'footfall':
      return `${fractionWords(mark.fraction)}${mark.place === null ? '' : `, gap ${mark.place}`}`;
    case 'hit':
      return `hit ${nameOf(mark.place)}`;
    case 'note':
      return mark.words.length > 24 ? `“${mark.words.slice(0, 23)}…”` : `“${mark.words}”`;
    case 'strides':
      return `${mark.count === 0 ? 'no stride' : mark.count} from ${nameOf(mark.place)}${tempoOf(mark.tapsMs)}`;
    case 'fence':
      return `${mark.outcome} at ${nameOf(mark.place)}`;
    case 'take-off':
      return `${mark.where} take-off at ${nameOf(mark.place)}`;
    case 'landing':
      return `landed ${mark.where} at ${nameOf(mark.place)}`;
    case 'lead':
      return mark.lead === 'cross-canter'
        ? `cross-canter after ${nameOf(mark.place)}`
        : `${mark.lead} lead after ${nameOf(mark.place)}`;
    case 'aim':
      return `aim off ${mark.off} at ${nameOf(mark.place)}`;
    case 'fault':
      return mark.place === null ? mark.fault : `${mark.fault} at ${nameOf(mark.place)}`;
    case 'depart':
      return mark.trotSteps ? `depart: ${mark.how}, ${mark.trotSteps} trot steps` : `depart: ${mark.how}`;
    case 'transition':
      return transitionWords(mark);
    case 'gait': {
      const gait = gaitWord(mark.ridden);
      if (mark.fromM !== undefined) return `${gait} from ${Math.round(mark.fromM)} m on`;
      return mark.from === undefined ? `ridden in ${gait}` : `${gait} from ${nameOf(mark.from)} on`;
    }
    case 'head':
      return mark.height === 'as wanted' ? 'head as wanted' : `head ${mark.height}`;
    case 'figure':
      return `${mark.point} ${mark.kept ? 'kept' : 'lost'} in ${nameOf(mark.place, mark.part)}`;
    case 'slip':
      return `off the ${mark.from} in ${nameOf(mark.place, mark.part)}`;
    case 'quality':
      return `quality ${mark.value} of 5`;
    case 'spot':
      return 'a spot on the sand';
    case 'rider':
      return `rider: ${mark.what}`;
    case 'void':
      return 'does not count';
    case 'line':
      return `only from ${nameOf(mark.from)} to ${nameOf(mark.to)}`;
    case 'track':
      return mark.missed.length === 0
        ? 'track recorded'
        : `track recorded, without ${mark.missed.map(nameOfItem).join(', ')}`;
    default:
      return assertNever(mark);
  }
}

/** The same in the room of a key: "⅓", "½", "¾", "42 %". */
export function fractionShort(fraction: number): string {
  const words = fractionWords(fraction);
  const glyphs: Record<string, string> = { 'a third': '⅓', 'the middle': '½', 'three quarters': '¾' };
  return glyphs[words] ?? words;
}

function tempoOf(tapsMs: readonly number[] | undefined): string {
  const tempo = tapsMs && tempoOfTaps(tapsMs);
  return tempo ? `, ${tempoWords(tempo)}` : '';
}
