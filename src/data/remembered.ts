import { oneForAll } from './oneForAll';

/** What was read before, by name: the most that is held, and what was asked for longest ago goes first. */
export type Remembered<Value> = {
  recall: (name: string) => Value | undefined;
  hold: (name: string, value: Value) => void;
  forget: (name: string) => void;
  /**
   * What a yard has by each of some ids; those that are not held are read together, and held from then on. What `read` does not find
   * is missing in what comes back, and asked for again the next time. However little is held, all that was found comes back.
   */
  each: (
    yardId: string,
    ids: Iterable<string>,
    read: (missing: string[]) => Promise<Iterable<readonly [string, Value]>>,
  ) => Promise<Map<string, Value>>;
};

/** Forgets in every memory of this process. */
const forgets = oneForAll('memories', () => new Set<() => void>());

/** What was read before is of a store that is another one now: after a restore, the same names may name something else. */
export function forgetAll(): void {
  for (const forget of forgets) forget();
}

/** A memory for what does not change under its name, as long as Roan runs. @throws {RangeError} unless it may hold one at least */
export function remembered<Value>(most: number): Remembered<Value> {
  if (!(most >= 1)) throw new RangeError('A memory holds one thing at least.');
  const held = new Map<string, Value>();
  forgets.add(() => held.clear());
  const hold = (name: string, value: Value) => {
    held.delete(name);
    held.set(name, value);
    if (held.size > most) held.delete(held.keys().next().value!);
  };
  const recall = (name: string) => {
    const value = held.get(name);
    if (value !== undefined) hold(name, value);
    return value;
  };
  return {
    recall,
    hold,
    forget: name => void held.delete(name),
    each: async (yardId, ids, read) => {
      const nameOf = (id: string) => `${yardId} ${id}`;
      const found = new Map<string, Value>();
      const missing: string[] = [];
      for (const id of new Set(ids)) {
        const value = recall(nameOf(id));
        if (value === undefined) missing.push(id);
        else found.set(id, value);
      }
      if (missing.length === 0) return found;
      for (const [id, value] of await read(missing)) {
        hold(nameOf(id), value);
        found.set(id, value);
      }
      return found;
    },
  };
}
