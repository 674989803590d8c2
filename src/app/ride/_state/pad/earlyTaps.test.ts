/** @jest-environment jsdom */
import { EARLY_TAPS, takeEarlyTaps, tapAgain, tapAtMs } from './earlyTaps';

const page = window as Window & { roanEarly?: { name: string; atMs: number }[] | null };

test('a tap from before the page was alive is tapped again, at its own time, once', async () => {
  // As the page runs it, before any of its own scripts.
  window.eval(EARLY_TAPS);
  document.body.innerHTML = '<button data-early="stride"><b>tap</b></button><button>other</button>';
  // jsdom's own clicks are not those of a hand: what a hand would have left is put there.
  document.querySelector('b')!.click();
  expect(page.roanEarly).toEqual([]);
  page.roanEarly = [
    { name: 'stride', atMs: 1000 },
    { name: 'gone', atMs: 1300 },
    { name: 'stride', atMs: 1600 },
  ];
  const seen: number[] = [];
  document.querySelector('button')!.addEventListener('click', () => seen.push(tapAtMs()));
  await tapAgain(takeEarlyTaps());
  expect(seen).toEqual([1000, 1600]);
  expect(takeEarlyTaps()).toEqual([]);
  expect(tapAtMs()).toBeGreaterThan(1e12);
});

/** The page's first script, and a hand that it hears: jsdom's own events are not those of a hand. */
function hand() {
  const heard = new Map<string, (event: object) => void>();
  const there = { roanEarly: [] as { name: string }[] | null, addEventListener: heard.set.bind(heard) };
  new Function('window', EARLY_TAPS)(there);
  /** @returns whether anybody else hears of it */
  const does = (what: string, target: Element) => {
    const stopImmediatePropagation = jest.fn();
    heard.get(what)!({ isTrusted: true, target, stopImmediatePropagation });
    return stopImmediatePropagation.mock.calls.length === 0;
  };
  return { there, does };
}

test('a key shows how many taps of a hand it heard, until they are taken', () => {
  const { there, does } = hand();
  document.body.innerHTML =
    '<div data-early-taps><button data-early="stride"><b>tap</b></button><button data-early="done">done</button><button>other</button></div>';
  const [key, done, other] = document.querySelectorAll('button');
  [key!.firstElementChild!, key!, other!].forEach(target => does('click', target));
  expect([key!.dataset.heard, done!.dataset.heard, other!.dataset.heard]).toEqual(['2', undefined, undefined]);
  expect(there.roanEarly!.map(({ name }) => name)).toEqual(['stride', 'stride']);
  takeEarlyTaps();
  expect(key!.dataset.heard).toBeUndefined();
});

test('a press is seen before the thumb is lifted, and was none where the page was scrolled by it', () => {
  const { there, does } = hand();
  document.body.innerHTML = '<div data-early-taps><button data-early="stride">tap</button></div>';
  const key = document.querySelector('button')!;
  does('pointerdown', key);
  expect(key.dataset.heard).toBe('1');
  does('pointercancel', key);
  expect(key.dataset.heard).toBeUndefined();
  ['pointerdown', 'pointerup', 'click', 'pointerdown'].forEach(what => does(what, key));
  expect(key.dataset.heard).toBe('2');
  does('pointercancel', key);
  expect([key.dataset.heard, there.roanEarly!.length]).toEqual(['1', 1]);
});

test('nobody else hears a tap while it is kept: what is on other pages and other keys does, and all once it was taken', () => {
  const { there, does } = hand();
  document.body.innerHTML =
    '<div data-early-taps><button data-early="stride">tap</button><a href="#">away</a></div><button data-early="stride">of a record</button>';
  const [key, ofRecord] = document.querySelectorAll('button');
  for (const what of ['pointerdown', 'touchstart', 'pointerup', 'touchend', 'mousedown', 'mouseup', 'click']) {
    expect(does(what, key!)).toBe(false);
    expect(does(what, document.querySelector('a')!)).toBe(true);
    expect(does(what, ofRecord!)).toBe(true);
  }
  there.roanEarly = null;
  expect(does('click', key!)).toBe(true);
});
