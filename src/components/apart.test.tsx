/** @jest-environment jsdom */
import { act, useState } from 'react';
import { createRoot } from 'react-dom/client';
import { apart } from './apart';

const Picture = ({ title }: { title: string }) => <svg aria-label={title} />;

function Page({ Part }: { Part: React.ComponentType<{ title: string }> }) {
  const [taps, setTaps] = useState(0);
  return (
    <>
      <button onClick={() => setTaps(taps + 1)}>{taps} taps</button>
      <Part title={`after ${taps}`} />
    </>
  );
}

test('the rest of the page is alive before the part is there, and the part has what is so by then', async () => {
  let bring: (part: { default: typeof Picture }) => void = () => undefined;
  const Part = apart(() => new Promise<{ default: typeof Picture }>(resolve => (bring = resolve)));
  const root = document.createElement('div');
  await act(async () => createRoot(root).render(<Page Part={Part} />));
  document.body.replaceChildren(root);
  await act(async () => root.querySelector('button')!.click());
  expect(root.textContent).toBe('1 taps');
  expect(root.querySelector('svg')).toBeNull();
  await act(async () => bring({ default: Picture }));
  expect(root.querySelector('svg')?.getAttribute('aria-label')).toBe('after 1');
});
