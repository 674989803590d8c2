/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { act } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { Choice } from './Choice';

const chosen = jest.fn();
const page = (
  <MantineProvider>
    <Choice
      aria-label="How it is shown"
      value="list"
      onChange={chosen}
      data={[
        { value: 'list', label: 'The list' },
        { value: 'one', label: 'One at a time' },
      ]}
    />
  </MantineProvider>
);

async function comeAlive(before: (inputs: HTMLInputElement[]) => void) {
  chosen.mockClear();
  const root = document.createElement('div');
  document.body.replaceChildren(root);
  root.innerHTML = renderToString(page);
  before([...root.querySelectorAll('input')]);
  await act(async () => void hydrateRoot(root, page));
}

test('what was chosen before the page is alive is chosen as it comes alive', async () => {
  await comeAlive(([, one]) => one!.click());
  expect(chosen.mock.calls).toEqual([['one']]);
});

test('a page that nobody touched chooses nothing', async () => {
  await comeAlive(() => undefined);
  expect(chosen).not.toHaveBeenCalled();
});
