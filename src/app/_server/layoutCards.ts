import 'server-only';
import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { formatReading, placeRow, type LengthUnit } from '@/core';
import type { Horse } from '@/data/queries/horses';
import type { Layout } from '@/data/queries/layouts';

/** What a list of layouts shows of each. */
export function layoutCards(layouts: Layout[], horses: Horse[], unit: LengthUnit, place: 'plan' | 'set'): LayoutCard[] {
  return layouts.map(({ id, name, arena, plan }) => {
    const row = plan.rows[0]!;
    const horse = horses.find(candidate => candidate.id === row.horseId);
    const placed = horse ? placeRow(arena, row, horse) : null;
    const count = `${row.raised.length} ${row.gait} ${row.raised.length === 1 ? 'pole' : 'poles'}`;
    const spacing = placed && horse ? `${formatReading(placed.spacing.spacingM, unit)} for ${horse.name}` : 'no horse';
    return { id, href: `/${place}/${id}`, name, arena, placed, line: `${count}, ${spacing} · ${arena.name}` };
  });
}
