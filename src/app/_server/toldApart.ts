/**
 * Names of which no two are alike: what bears the name of another is told by when it was changed last.
 * @param when - the day and hour it was changed last, in words
 */
export function toldApart<Thing extends { id: string; name: string }>(
  things: readonly Thing[],
  when: (thing: Thing) => string,
): Map<string, string> {
  const alike = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
  return new Map(
    things.map(thing => {
      const isAlone = things.every(other => other.id === thing.id || !alike(other.name, thing.name));
      return [thing.id, isAlone ? thing.name : `${thing.name} (of ${when(thing)})`];
    }),
  );
}
