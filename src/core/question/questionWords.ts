import { figureWords } from '../figures/figureWords';
import { layoutLabels } from '../layout/labels';
import type { Layout } from '../layout/layout';
import type { Question, TrackOrFigures } from './question';

/** What a question is called: by its name, else by what it goes over: "course", "spiral", "3, 1, 2". */
export function questionWords(layout: Layout, { name, what }: Pick<Question, 'name' | 'what'>): string {
  if (name !== null) return name;
  if (what.kind !== 'made') return overWords(layout, what.kind === 'stage' ? what.over : what);
  const { short } = layoutLabels(layout);
  return what.through.map(({ item }) => short(item)).join(', ');
}

function overWords(layout: Layout, over: TrackOrFigures): string {
  const track = layout.tracks.find(({ id }) => id === over.trackId);
  if (over.kind === 'track' || track?.kind !== 'figures') return layoutLabels(layout).track(over.trackId);
  if (over.figureIds.length === track.figures.length && track.figures.length > 1)
    return layoutLabels(layout).track(track.id);
  return track.figures
    .filter(({ id }) => over.figureIds.includes(id))
    .map(figureWords)
    .join(', ');
}
