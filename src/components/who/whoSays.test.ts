import { chooseWho, whoSays } from './whoSays';

/** A device's own store, as a browser has it. */
class Store {
  private readonly kept = new Map<string, string>();
  getItem = (key: string) => this.kept.get(key) ?? null;
  setItem = (key: string, value: string) => void this.kept.set(key, value);
  removeItem = (key: string) => void this.kept.delete(key);
}

/** The module as another visit loads it. */
function visit(): { whoSays: typeof whoSays; chooseWho: typeof chooseWho } {
  let loaded: { whoSays: typeof whoSays; chooseWho: typeof chooseWho } | undefined;
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    loaded = require('./whoSays') as NonNullable<typeof loaded>;
  });
  return loaded!;
}

const withStore = (store: unknown) =>
  Object.defineProperty(globalThis, 'localStorage', { value: store, configurable: true });
afterEach(() => withStore(undefined));

test('a device is called by the name that was chosen on it, else by its own, the same at every visit', () => {
  withStore(new Store());
  const first = visit();
  const device = first.whoSays();
  expect(device).toMatch(/^device [0-9a-f]{4}$/);
  expect(first.whoSays()).toBe(device);
  expect(visit().whoSays()).toBe(device);
  first.chooseWho('Mira');
  expect(first.whoSays()).toBe('Mira');
  expect(visit().whoSays()).toBe('Mira');
  first.chooseWho(null);
  expect(visit().whoSays()).toBe(device);
});

test('a device without a store, or with one that is forbidden, is the same as long as the page', () => {
  const forbidden = {
    getItem: () => {
      throw new Error('forbidden');
    },
  };
  for (const store of [undefined, forbidden]) {
    withStore(store);
    const page = visit();
    expect(page.whoSays()).toBe(page.whoSays());
    page.chooseWho('Mira');
    expect(page.whoSays()).toBe('Mira');
  }
});
