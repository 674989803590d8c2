/** Something with a few of its functions replaced; all others are called on the thing itself, which may have private parts. */
export function overlaid<Thing extends object>(thing: Thing, own: Partial<Thing>): Thing {
  return new Proxy(thing, {
    get(target, key) {
      if (key in own) return own[key as keyof Thing];
      const value: unknown = Reflect.get(target, key, target);
      return typeof value === 'function' ? (value.bind(target) as unknown) : value;
    },
  });
}
