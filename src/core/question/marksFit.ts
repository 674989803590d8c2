import type { PassMark } from '../record/passMark';
import type { Layout } from '../layout/layout';
import { transitionsAsked } from '../figures/transitionsAsked';
import { askedLayout } from './askedLayout';
import type { Question } from './question';

/**
 * Whether everything that was marked in a pass has a place in what it is said to have been: stops, legs or figures. A question
 * that goes over something else of the layout has none for what was marked farther along.
 */
export function marksFit(layout: Layout, question: Question, marks: readonly PassMark[]): boolean {
  const track = askedLayout(layout, question)?.tracks[0];
  if (!track) return false;
  const stops = track.kind === 'items' ? track.through.length : 0;
  const figures = track.kind === 'figures' ? track.figures.length : 0;
  const changes = track.kind === 'figures' ? transitionsAsked(layout.arena, track).length : 0;
  return marks.every(mark => {
    if (mark.kind === 'line') return mark.to <= stops;
    if (mark.kind === 'transition') return mark.place <= changes;
    if (mark.kind === 'gait') return (mark.from ?? 0) <= stops && (mark.fromM === undefined || figures > 0);
    if (!('place' in mark) || mark.place === null) return true;
    if (mark.kind === 'figure' || mark.kind === 'slip') return mark.place <= figures;
    if (mark.kind === 'fault' && stops === 0) return true;
    return mark.place <= (mark.kind === 'strides' || mark.kind === 'footfall' ? stops - 1 : stops);
  });
}
