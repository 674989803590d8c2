/** @jest-environment jsdom */
import { act, lazy, startTransition, useState, type ComponentType } from 'react';
import { createRoot, hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { pageApart } from './apart';

type PadProps = { horse: string };
function Pad({ horse }: PadProps) {
  const [strides, setStrides] = useState(0);
  return (
    <button id="key" onClick={() => setStrides(strides + 1)}>
      {`${horse} ${strides}`}
    </button>
  );
}

/** What is there whether the pad's script is there or not. */
function Around({ Page }: { Page: ComponentType<PadProps> }) {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <nav onClick={() => setOpened(true)}>{opened ? 'opened' : 'closed'}</nav>
      <Page horse="Wren" />
    </>
  );
}

/** A page whose script comes when it is brought. */
function pageToCome() {
  let bring: () => void = () => undefined;
  const script = new Promise<{ default: typeof Pad }>(resolve => (bring = () => resolve({ default: Pad })));
  const Page = pageApart(lazy(() => script));
  return { Page, bring: () => act(async () => bring()) };
}

const drawn = () => {
  const Page = pageApart(Pad);
  return renderToString(<Around Page={Page} />);
};
let root: HTMLElement;
beforeEach(() => {
  root = document.createElement('div');
  document.body.replaceChildren(root);
});
const click = (name: string) => act(async () => root.querySelector<HTMLElement>(name)!.click());

test('a server sends it in its place, with nothing that is put there later', () => {
  expect(drawn()).not.toMatch(/<template|hidden/);
  expect(drawn()).toMatch(/<nav>closed<\/nav>.*Wren 0<\/button>/);
});

test('what stands round it is alive without its script; with it the very keys that were drawn are', async () => {
  root.innerHTML = drawn();
  const key = root.querySelector('#key');
  const { Page, bring } = pageToCome();
  const faults: unknown[] = [];
  await act(
    async () => void hydrateRoot(root, <Around Page={Page} />, { onRecoverableError: one => faults.push(one) }),
  );
  await click('nav');
  expect(root.textContent).toBe('openedWren 0');
  expect(root.querySelector('#key')).toBe(key);
  await bring();
  await click('#key');
  expect(root.textContent).toBe('openedWren 1');
  expect(root.querySelector('#key')).toBe(key);
  expect(faults).toEqual([]);
});

test('whoever comes from another page sees that one until this is there', async () => {
  const { Page, bring } = pageToCome();
  function Pages() {
    const [isThere, setThere] = useState(false);
    if (isThere) return <Page horse="Wren" />;
    return <a onClick={() => startTransition(() => setThere(true))}>the list of lessons</a>;
  }
  await act(async () => createRoot(root).render(<Pages />));
  await click('a');
  expect(root.textContent).toBe('the list of lessons');
  await bring();
  expect(root.textContent).toBe('Wren 0');
});

test('told other things later, and named anew as a server does each time, it keeps what was done in it', async () => {
  const { Page, bring } = pageToCome();
  const [first, again] = [1, 2].map(() => lazy(async () => ({ default: Page })));
  function Told() {
    const [horse, setHorse] = useState('Wren');
    const Named = horse === 'Wren' ? first! : again!;
    return (
      <>
        <nav onClick={() => startTransition(() => setHorse('Sorrel'))}>other</nav>
        <Named horse={horse} />
      </>
    );
  }
  const Server = pageApart(Pad);
  root.innerHTML = renderToString(
    <>
      <nav>other</nav>
      <Server horse="Wren" />
    </>,
  );
  await act(async () => void hydrateRoot(root, <Told />));
  await bring();
  const key = root.querySelector('#key');
  await click('#key');
  await click('nav');
  expect(root.textContent).toBe('otherSorrel 1');
  expect(root.querySelector('#key')).toBe(key);
});
