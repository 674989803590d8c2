import { FOOTFALL_PLACES, type PassMark } from '@/core';

const NEAR = 0.001;

/** Where a foot fell, in words where there is a word, else as a share of the gap. */
export function fractionWords(fraction: number): string {
  if (Math.abs(fraction - FOOTFALL_PLACES.third) < NEAR) return 'a third';
  if (Math.abs(fraction - FOOTFALL_PLACES.middle) < NEAR) return 'the middle';
  if (Math.abs(fraction - FOOTFALL_PLACES.threeQuarters) < NEAR) return 'three quarters';
  return `${Math.round(fraction * 100)} %`;
}

/** A mark in a few words. */
export function markWords(mark: PassMark): string {
  switch (mark.kind) {
    case 'footfall':
      return `${fractionWords(mark.fraction)}${mark.place === null ? '' : `, gap ${mark.place}`}`;
    case 'hit':
      return `hit ${mark.place}`;
    case 'note':
      return mark.words.length > 24 ? `“${mark.words.slice(0, 23)}…”` : `“${mark.words}”`;
  }
}

/** The same in the room of a key: "⅓", "½", "¾", "42 %". */
export function fractionShort(fraction: number): string {
  const words = fractionWords(fraction);
  const glyphs: Record<string, string> = { 'a third': '⅓', 'the middle': '½', 'three quarters': '¾' };
  return glyphs[words] ?? words;
}
