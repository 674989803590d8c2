/** A device's store, in this test's own making: a map that may be full or forbidden. */
class Store {
  rows = new Map<string, string>();
  broken = false;
  private look() {
    if (this.broken) throw new DOMException('no', 'SecurityError');
  }
  getItem(key: string) {
    this.look();
    return this.rows.get(key) ?? null;
  }
  setItem(key: string, value: string) {
    this.look();
    this.rows.set(key, value);
    (this as Record<string, unknown>)[key] = value;
  }
  removeItem(key: string) {
    this.look();
    this.rows.delete(key);
    delete (this as Record<string, unknown>)[key];
  }
}

const device = new Store();
beforeEach(() => {
  for (const key of [...device.rows.keys()]) device.removeItem(key);
  device.broken = false;
  Object.assign(globalThis, { localStorage: device });
});

/** A tab of its own, with its own session. */
function openTab(session = new Store()) {
  let tab: typeof import('./drafts');
  jest.isolateModules(() => {
    Object.assign(globalThis, { sessionStorage: session });
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    tab = require('./drafts') as typeof import('./drafts');
    tab.tabId();
  });
  return { ...tab!, session };
}
const nobody = async () => false;

test('what a tab typed comes back in it after a reload', async () => {
  const before = openTab();
  expect(before.keepDraft('layout 1', { name: 'a' })).toBe(true);
  const reloaded = openTab(before.session);
  expect((await reloaded.draftLeft('layout 1', nobody))?.value).toEqual({ name: 'a' });
  expect(await reloaded.draftLeft('layout 2', nobody)).toBeNull();
});

test('two tabs do not write over each other, and neither takes what the other is typing', async () => {
  const [one, two] = [openTab(), openTab()];
  one.keepDraft('layout', 'mine');
  two.keepDraft('layout', 'yours');
  expect(
    one
      .draftsOf('layout')
      .map(({ value }) => value)
      .sort(),
  ).toEqual(['mine', 'yours']);
  one.keepDraft('lesson new', 'x');
  expect(
    one
      .allDrafts()
      .map(({ name }) => name)
      .sort(),
  ).toEqual(['layout', 'layout', 'lesson new']);
  one.dropDraft('lesson new');
  const three = openTab();
  expect(await three.draftLeft('layout', async () => true)).toBeNull();
  // Once they are closed the latest is brought back.
  expect(await three.draftLeft('layout', nobody)).not.toBeNull();
  one.dropDraft('layout');
  expect(three.draftsOf('layout').map(({ value }) => value)).toEqual(['yours']);
});

test('a tab that was copied takes a name of its own', async () => {
  const one = openTab();
  one.keepDraft('layout', 'mine');
  const copy = openTab(one.session);
  expect(copy.tabId()).toBe(one.tabId());
  expect(await copy.draftLeft('layout', async of => of === one.tabId())).toBeNull();
  expect(copy.tabId()).not.toBe(one.tabId());
});

test('a store that throws keeps nothing, says so, and breaks nothing', async () => {
  const tab = openTab();
  device.broken = true;
  expect(tab.keepDraft('layout', 'mine')).toBe(false);
  expect(() => tab.dropDraft('layout')).not.toThrow();
  expect(await tab.draftLeft('layout', nobody)).toBeNull();
});
