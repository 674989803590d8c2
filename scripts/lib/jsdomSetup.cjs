/** What jsdom lacks of a browser, for tests of components and hooks; nothing where a test runs in Node itself. */
if (typeof window !== 'undefined') {
  const { TextDecoder, TextEncoder } = require('node:util');
  const { webcrypto } = require('node:crypto');
  const lacking = {
    TextDecoder,
    TextEncoder,
    structuredClone: value => require('node:v8').deserialize(require('node:v8').serialize(value)),
  };
  for (const [name, value] of Object.entries(lacking)) globalThis[name] ??= value;
  if (!globalThis.crypto?.randomUUID) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
  AbortSignal.timeout ??= () => new AbortController().signal;
  window.matchMedia ??= () => ({
    matches: false,
    addEventListener() {},
    removeEventListener() {},
    addListener() {},
    removeListener() {},
  });
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
  Element.prototype.scrollIntoView ??= () => {};
  globalThis.IS_REACT_ACT_ENVIRONMENT = true;
}
