/** @jest-environment jsdom */
import { act, useState, type ComponentType } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { apart, pageApart } from './apart';

type PictureProps = { title: string };
const Picture = ({ title }: PictureProps) => <svg aria-label={title} />;

function Page({ Part }: { Part: ComponentType<PictureProps> }) {
  const [taps, setTaps] = useState(0);
  return (
    <>
      <button onClick={() => setTaps(taps + 1)}>{taps} taps</button>
      <Part title="strides" />
    </>
  );
}

/** A page as a server sends it. */
const drawnByServer = () => renderToString(<Page Part={pageApart(Picture)} />);

test('drawn with its page, it stays as it is while the rest is alive already, until its script is there', async () => {
  let bring: (part: { default: typeof Picture }) => void = () => undefined;
  const load = () => new Promise<{ default: typeof Picture }>(resolve => (bring = resolve));
  const Part = apart(load);
  const root = document.createElement('div');
  document.body.replaceChildren(root);
  root.innerHTML = drawnByServer();
  const drawn = root.querySelector('svg');
  expect(drawn?.getAttribute('aria-label')).toBe('strides');
  await act(async () => void hydrateRoot(root, <Page Part={Part} />));
  // A tap changes the page about it.
  await act(async () => root.querySelector('button')!.click());
  expect(root.textContent).toBe('1 taps');
  expect(root.querySelector('svg')).toBe(drawn);
  await act(async () => bring({ default: Picture }));
  expect(root.querySelector('svg')).toBe(drawn);
});
