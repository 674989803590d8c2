/** @jest-environment node */
import { renderToString } from 'react-dom/server';
import { apart } from './apart';

const Picture = ({ title }: { title: string }) => <svg aria-label={title} />;

test('a server draws a part with the first page already', async () => {
  const Part = apart(async () => ({ default: Picture }));
  // As long as it takes until somebody asks for a page.
  await new Promise(resolve => setTimeout(resolve));
  expect(renderToString(<Part title="strides" />)).toContain('<svg aria-label="strides">');
});

test('a part that cannot be loaded leaves the server as it is', async () => {
  // It is asked for again later: nobody waits for that here.
  jest.useFakeTimers();
  const Part = apart<{ title: string }>(() => Promise.reject(new Error('gone')));
  await Promise.resolve();
  expect(renderToString(<Part title="strides" />)).not.toContain('svg');
});
