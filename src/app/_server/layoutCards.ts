import 'server-only';
import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { isRidden, reckonLayout, resolvePlan, type Layout as CoreLayout } from '@/core';
import type { Horse } from '@/data/queries/horses';
import type { Layout } from '@/data/queries/layouts';
import { planGround } from '@/data/queries/planGround';

/** What a list of layouts shows of each. */
export function layoutCards(layouts: Layout[], horses: Horse[], place: 'plan' | 'set'): LayoutCard[] {
  return layouts.map(({ id, name, arena, plan, tags, archived }) => {
    const { layout } = resolvePlan(plan, planGround(name, arena, horses, null));
    const line = `${contents(layout)} · ${arena.name}`;
    const tracks = reckonLayout(layout);
    return { id, href: `/${place}/${id}`, name, arena, items: layout.items, tracks, line, tags, archived };
  });
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
  return `${parts.join(', ') || 'empty sand'}${group ? ` for ${group}` : ''}`;
}
