import type { Shown } from '../_state/shown';

/** Items, legs, sessions and exercises by name: each is the very same object as long as nothing touches it. */
export type Parts = ReadonlyMap<string, unknown>;

export function partsOf({ resolved, tracks }: Shown): Parts {
  const items = resolved.layout.items.map(item => [`item ${item.id}`, item] as const);
  const ridden = tracks.flatMap<readonly [string, unknown]>(track =>
    track.kind === 'items'
      ? track.legs.map((leg, index) => [`leg ${index} of ${track.id}`, leg] as const)
      : [[`session ${track.id}`, track] as const],
  );
  const exercises = resolved.exercises.map(exercise => [`exercise ${exercise.placed.id}`, exercise] as const);
  return new Map<string, unknown>([...items, ...ridden, ...exercises]);
}

/** The names of what stands and lies otherwise on its way, a line for each; '' while all lies as it stands. */
export function movedNames(standing: Parts, live: Shown | null): string {
  if (!live) return '';
  const there = new Set(partsOf(live).values());
  return [...standing].flatMap(([name, part]) => (there.has(part) ? [] : [name])).join('\n');
}

/** Those parts themselves. */
export function partsNamed(standing: Parts, names: string): Set<unknown> {
  return new Set(names === '' ? [] : names.split('\n').map(name => standing.get(name)));
}
