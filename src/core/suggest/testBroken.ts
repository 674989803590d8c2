import { layoutCautions } from '../cautions/layoutCautions';
import { kitOfAll } from '../items/kit';
import { reckonLayout } from '../layout/reckonLayout';
import { askedLayout } from '../question/askedLayout';
import type { SuggestMaterial } from './suggestFrom';
import type { Suggestion } from './suggestLessons';

/** What a suggestion breaks, by the test’s own count of it. */
export function broken({ series, next, minutes }: Suggestion, yard: SuggestMaterial): string[] {
  const faults: string[] = [];
  const horses = [...yard.ground.horses];
  for (const [pair, { earlier, jumpingDays }] of yard.pairs.entries()) {
    let efforts = 0;
    for (const { stage, eachRein, today } of series.stages) {
      if (stage > next[pair]!) continue;
      const asked = askedLayout({ ...series.resolved.layout, horses }, today)!;
      const track = asked.tracks[0]!;
      const fences = new Set(asked.items.filter(({ kind }) => kind === 'fence').map(({ id }) => id));
      // On each rein; what the exercises of the shelf jump is below 0.9 m.
      if (track.kind === 'items') efforts += 2 * eachRein * track.through.filter(({ item }) => fences.has(item)).length;
      for (const caution of layoutCautions(asked, reckonLayout(asked)))
        if (caution.level !== 'note') faults.push(caution.text);
    }
    if (efforts + earlier.lowEfforts >= 60) faults.push(`${efforts} efforts`);
    const week = new Set(jumpingDays.filter(day => yard.day - day < 7));
    if (efforts > 0 && week.size >= 2) faults.push('a third jumping day');
  }
  if (minutes > yard.minutes) faults.push('too long');
  const needed = kitOfAll(series.resolved.layout.items);
  for (const [piece, count] of Object.entries(yard.ground.kit ?? {}))
    if (needed[piece as keyof typeof needed] > count) faults.push(`too few ${piece}`);
  return faults;
}
