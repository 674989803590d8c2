import { arenaFault, howMany, type Arena } from '@/core';
import { figureFromPaper, figureId } from './figurePaper';
import type { LayoutOnPaper, TrackOnPaper } from './layoutOnPaper';

/** What the parts say of each other: ids, legs, circles, and the arena. */
export function tiesFault(paper: LayoutOnPaper): string | null {
  const arena = arenaFault(paper.arena);
  if (arena) return `arena.${arena.field}: ${arena.reason}`;
  return (
    repeatedId('items', paper.items) ??
    cornersFault(paper) ??
    repeatedId('tracks', paper.tracks) ??
    horsesFault(paper) ??
    tracksFault(paper)
  );
}

function repeatedId(where: string, list: { id: string }[]): string | null {
  const seen = new Set<string>();
  for (const [index, { id }] of list.entries()) {
    if (seen.has(id)) return `${where}.${index}.id: “${id}” is there twice.`;
    seen.add(id);
  }
  return null;
}

/** A horse is known by its id, or, without one, by its name. */
function horsesFault({ horses }: LayoutOnPaper): string | null {
  const seen = new Set<string>();
  for (const [index, { id, name }] of horses.entries()) {
    const known = id ?? name;
    if (seen.has(known)) return `horses.${index}.${id === undefined ? 'name' : 'id'}: “${known}” is there twice.`;
    seen.add(known);
  }
  return null;
}

function cornersFault({ items }: LayoutOnPaper): string | null {
  for (const [index, item] of items.entries())
    if (item.kind === 'fence' && item.corner && item.form !== 'corner')
      return `items.${index}.corner: “${item.id}” is no corner.`;
  return null;
}

/** A track goes over items, or is a figure, or a session of figures: one of the three. */
function trackKindFault({ through, legs, course, figure, figures }: TrackOnPaper): string | null {
  const kinds = [through, figure, figures].filter(part => part !== undefined).length;
  if (kinds !== 1) return 'a track has either “through”, “figure” or “figures”.';
  if (!through && (legs || course)) return 'legs and course belong to a track through items.';
  return null;
}

function tracksFault({ tracks, items, arena }: LayoutOnPaper): string | null {
  const kinds = new Map(items.map(item => [item.id, item.kind]));
  for (const [t, track] of tracks.entries()) {
    const fault = trackFault(track, arena);
    if (fault) return `tracks.${t}${fault.startsWith(':') ? '' : '.'}${fault}`;
    for (const [i, { item }] of (track.through ?? []).entries()) {
      const kind = kinds.get(item);
      const where = `tracks.${t}.through.${i}.item`;
      if (!kind) return `${where}: there is no item “${item}”.`;
      if (kind !== 'pole' && kind !== 'fence') return `${where}: “${item}” is a ${kind} and is not ridden over.`;
    }
  }
  return null;
}

/** What is wrong with a track by itself, as it goes on behind the track's own path; null where nothing is. */
export function trackFault(track: TrackOnPaper, arena: Arena): string | null {
  const kindFault = trackKindFault(track);
  if (kindFault) return `: ${kindFault}`;
  return figuresFault(track, arena) ?? legsFault(track);
}

function legsFault({ legs, through }: TrackOnPaper): string | null {
  if (!through) return null;
  if (legs && legs.length !== through.length - 1)
    return `legs: ${howMany(through.length, 'item wants', 'items want')} ${howMany(through.length - 1, 'leg')}, and ${howMany(legs.length, 'is', 'are')} given.`;
  for (let i = 0; i + 1 < through.length; i += 1) {
    const circle = through[i]!.item === through[i + 1]!.item && through[i]!.reversed === through[i + 1]!.reversed;
    const leg = legs?.[i];
    if (circle && !leg?.rein) return `legs.${i}.rein: a circle back to the same item needs a rein.`;
    if (!circle && (leg?.rein || leg?.radiusM !== undefined))
      return `legs.${i}: rein and radiusM belong to a circle back to the same item.`;
  }
  return null;
}

function figuresFault({ figure, figures }: TrackOnPaper, arena: Arena): string | null {
  const list = figure ? [figure] : (figures ?? []);
  for (const [index, paper] of list.entries()) {
    const read = figureFromPaper(paper, arena, index);
    if (typeof read === 'string') return `${figure ? 'figure' : `figures.${index}`}.${read}`;
  }
  return repeatedId(
    'figures',
    list.map(({ id }, index) => ({ id: id ?? figureId(index) })),
  );
}
