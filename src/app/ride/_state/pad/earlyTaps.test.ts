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

test('a key shows how many taps of a hand it heard, until they are taken', () => {
  // A hand's click, as the page's first script hears it.
  const heard: ((event: object) => void)[] = [];
  const asPage = {
    addEventListener: (_: string, hear: (event: object) => void) => heard.push(hear),
    querySelectorAll: () => [],
  };
  const there = { roanEarly: [] as unknown[] };
  new Function('window', 'document', EARLY_TAPS)(there, asPage);
  document.body.innerHTML = '<button data-early="stride"><b>tap</b></button><button>other</button>';
  const [key, other] = document.querySelectorAll('button');
  const tap = (target: Element) => heard[0]!({ isTrusted: true, target });
  [key!.firstElementChild!, key!, other!].forEach(tap);
  expect([key!.dataset.heard, other!.dataset.heard]).toEqual(['2', undefined]);
  expect(there.roanEarly).toHaveLength(2);
  takeEarlyTaps();
  expect(key!.dataset.heard).toBeUndefined();
});
