/**
 * Which lessons of a series were moved: those that do not lie where most of them do.
 * @param slots - of each, its weekday and time in any notation: "Tue 18:00"
 */
export function seriesMoved(slots: readonly string[]): boolean[] {
  const times = new Map<string, number>();
  for (const slot of slots) times.set(slot, (times.get(slot) ?? 0) + 1);
  const most = Math.max(0, ...times.values());
  const usual = slots.find(slot => times.get(slot) === most);
  return slots.map(slot => slot !== usual);
}
