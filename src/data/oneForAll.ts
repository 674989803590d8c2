const holder = globalThis as typeof globalThis & { roanOneForAll?: Map<string, unknown> };

/**
 * Something that there is once in a process. Routes, pages and the start are bundled apart, and each bundle has its own of every
 * module: what one of them knows the others do not, but for what lies here.
 */
export function oneForAll<Value>(name: string, make: () => Value): Value {
  const all = (holder.roanOneForAll ??= new Map());
  if (!all.has(name)) all.set(name, make());
  return all.get(name) as Value;
}
