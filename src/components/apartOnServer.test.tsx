/** @jest-environment node */
import { renderToReadableStream, renderToString } from 'react-dom/server';
import { apart } from './apart';

const Picture = ({ title }: { title: string }) => <svg aria-label={title} />;

test('a server draws a part with the first page already', async () => {
  const Part = apart(async () => ({ default: Picture }));
  // As long as it takes until somebody asks for a page.
  await new Promise(resolve => setTimeout(resolve));
  expect(renderToString(<Part title="strides" />)).toContain('<svg aria-label="strides">');
});

test('a part that cannot be loaded is told in its place, and the page is sent', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick', 'performance'] });
  const Part = apart<{ title: string }>(() => Promise.reject(new Error('gone')));
  const sent = renderToReadableStream(
    <p>
      horses <Part title="strides" />
    </p>,
  );
  await jest.advanceTimersByTimeAsync(5000);
  const html = await new Response(await sent).text();
  expect(html).toContain('<p>horses');
  expect(html).toContain('could not be fetched');
  expect(html).not.toContain('svg');
});
