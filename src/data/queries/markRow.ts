import type { PassMark } from '@/core';

/** A mark as its row holds it: what every mark has in columns, the rest as a document. */
export function markRow(mark: PassMark) {
  const { id, kind, ...document } = mark;
  const place = 'place' in mark ? mark.place : null;
  if (kind === 'footfall' || kind === 'hit' || kind === 'note')
    return {
      ...{ id, kind, place, document: null },
      fraction: mark.kind === 'footfall' ? mark.fraction : null,
      words: mark.kind === 'note' ? mark.words : null,
    };
  return { id, kind, place, fraction: null, words: null, document };
}
