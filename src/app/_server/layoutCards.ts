import 'server-only';
import { createHash } from 'node:crypto';
import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import {
  exerciseLabel,
  figureWords,
  isRidden,
  plainWords,
  reckonLayout,
  resolvePlan,
  type Layout as CoreLayout,
  type ReckonedTrack,
  type ResolvedPlan,
} from '@/core';
import type { Horse } from '@/data/queries/horses';
import type { Layout } from '@/data/queries/layout';
import { planGround } from '@/data/queries/planGround';
import { remembered } from '@/data/remembered';
import { toldApart } from './toldApart';
import { yardTime } from './yardTime';

type CardsOf = {
  place: 'plan' | 'set';
  timeZone: string;
  /** When each layout was ridden last, by its id. */
  lastRidden?: ReadonlyMap<string, number>;
};

/** What a list of layouts shows of each. Two of one name are told apart by when they were changed. */
export function layoutCards(
  layouts: Layout[],
  horses: Horse[],
  { place, timeZone, lastRidden }: CardsOf,
): LayoutCard[] {
  const at = (ms: number, format: string) => yardTime(ms, timeZone, format);
  const drawn = drawnWith(horses);
  const names = toldApart(layouts, ({ updatedAt }) => at(updatedAt.getTime(), 'D MMM YYYY, HH:mm'));
  return layouts.map(layout => {
    const { id, arena, tags, archived, updatedAt } = layout;
    const name = names.get(id)!;
    const { resolved, tracks } = drawn(layout);
    const riddenMs = lastRidden?.get(id);
    const changed = `Changed ${at(updatedAt.getTime(), 'D MMM YYYY')}`;
    const dates = riddenMs === undefined ? changed : `${changed}, ridden ${at(riddenMs, 'D MMM YYYY')}`;
    const months = [updatedAt.getTime(), riddenMs].flatMap(ms => (ms === undefined ? [] : at(ms, 'MMMM YYYY')));
    return {
      ...{ id, href: `/${place}/${id}`, name, arena, tags, archived, dates },
      ...{ items: resolved.layout.items, tracks },
      line: `${contents(resolved.layout)} · ${arena.name}`,
      text: plainWords([name, arena.name, ...tags, ...months, ...insideWords(resolved)].join(' ')),
    };
  });
}

type Drawn = { resolved: ResolvedPlan; tracks: ReckonedTrack[] };

/** What was reckoned for a list before, by layout, with what it was reckoned from. The one shown longest ago goes first. */
const drawnBefore = remembered<{ from: string; drawn: Drawn }>(500);

/** Reckons layouts for these horses, each once for as long as it, its arena and the horses stay as they are. */
function drawnWith(horses: Horse[]): (layout: Layout) => Drawn {
  const horsesNow = createHash('sha256').update(JSON.stringify(horses)).digest('base64');
  return layout => {
    const { id, revision, updatedAt, name, arena } = layout;
    const from = JSON.stringify([revision, updatedAt, name, arena, horsesNow]);
    const before = drawnBefore.recall(id);
    const drawn = before?.from === from ? before.drawn : draw(layout, horses);
    drawnBefore.hold(id, { from, drawn });
    return drawn;
  };
}

function draw({ name, plan, arena }: Layout, horses: Horse[]): Drawn {
  const resolved = resolvePlan(plan, planGround(name, arena, horses, null));
  return { resolved, tracks: reckonLayout(resolved.layout) };
}

/** What a layout has inside, for whoever looks for it: its exercises, figures and gaits, what was named, and every horse. */
function insideWords({ layout, exercises }: ResolvedPlan): string[] {
  const figures = layout.tracks.flatMap(track => (track.kind === 'figures' ? track.figures : []));
  const named = [...layout.items, ...layout.tracks].flatMap(({ name }) => name ?? []);
  return [
    ...exercises.flatMap(({ placed, guidance }) => [
      exerciseLabel(exercises, placed.id),
      guidance.title,
      ...guidance.purposes,
    ]),
    ...figures.map(figureWords),
    ...figures.flatMap(({ gait, parts }) => [
      gait ?? '',
      ...parts.flatMap(part => [part.gait ?? '', part.sideways ?? '']),
    ]),
    ...layout.tracks.map(({ gait }) => gait),
    ...layout.items.flatMap(item => (item.kind === 'fence' ? item.form : item.kind)),
    ...named,
    ...layout.horses.map(({ name }) => name),
    layout.horses.length === 0 ? 'any horse' : '',
  ];
}

/** What lies there and for whom, in a line. */
export function contents({ items, tracks, horses }: CoreLayout): string {
  const count = (of: number, one: string, many: string) => (of === 0 ? [] : [`${of} ${of === 1 ? one : many}`]);
  const fences = items.filter(({ kind }) => kind === 'fence').length;
  const poles = items.filter(({ kind }) => kind === 'pole').length;
  const others = items.filter(item => !isRidden(item)).length;
  const figures = tracks.reduce((sum, track) => sum + (track.kind === 'figures' ? track.figures.length : 0), 0);
  const parts = [
    ...count(fences, 'fence', 'fences'),
    ...count(poles, 'pole', 'poles'),
    ...count(figures, 'figure', 'figures'),
    ...count(others, 'other piece', 'other pieces'),
  ];
  const names = horses.map(({ name }) => name);
  const group = names.length > 3 ? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more` : names.join(', ');
  return `${parts.join(', ') || 'empty sand'} for ${group || 'any horse'}`;
}
