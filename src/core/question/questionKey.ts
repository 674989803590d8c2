import type { Item } from '../items/item';
import type { Layout } from '../layout/layout';
import type { Question } from './question';

/**
 * What tells one question from another: the same for the same stops built alike, in the same gait and with the same counts
 * asked, whatever it is called, whichever lesson asks it, and wherever the pieces stand. Passes of one key may be compared.
 * @param asked - the layout as the question asks it
 */
export function questionKey(asked: Pick<Layout, 'items' | 'tracks'>): string {
  const track = asked.tracks[0];
  if (!track) return '';
  if (track.kind === 'figures')
    return JSON.stringify([track.gait, track.figures.map(({ id, figure, gait }) => [id, figure.kind, gait])]);
  const built = track.through.map(({ item: id, reversed }) => [
    id,
    reversed,
    builtOf(asked.items.find(item => item.id === id)),
  ]);
  const counts = track.legs.map(leg => leg.asked);
  return JSON.stringify([track.gait, built, counts.some(count => count !== null) ? counts : []]);
}

function builtOf(item: Item | undefined): unknown {
  if (item?.kind === 'fence') return [item.form, Math.round(item.heightM * 100)];
  if (item?.kind !== 'pole') return null;
  return [Math.round(item.raised.leftM * 100), Math.round(item.raised.rightM * 100)];
}

/** What tells the tracks of questions apart: stops and figures of one key have the same places. */
export function trackKey({ what, state }: Pick<Question, 'what' | 'state'>): string {
  if (what.kind === 'made') return JSON.stringify([what.through, [...state.out].sort()]);
  return JSON.stringify([what.kind === 'stage' ? what.over : what, [...state.out].sort()]);
}
