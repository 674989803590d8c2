/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { theme } from '../theme';
import { Modal } from './Modal';

function Page() {
  const [opened, setOpened] = useState(false);
  return (
    <MantineProvider theme={theme}>
      <button onClick={() => setOpened(true)}>Tags</button>
      {opened && (
        <Modal opened onClose={() => setOpened(false)} title="Tags of the bend" transitionProps={{ duration: 0 }}>
          <input aria-label="Tag" />
        </Modal>
      )}
    </MantineProvider>
  );
}

test('closed, it gives the focus back to the key that opened it; its own key has a name', async () => {
  render(<Page />);
  const key = screen.getByRole('button', { name: 'Tags' });
  key.focus();
  fireEvent.click(key);
  expect(await screen.findByRole('dialog', { name: 'Tags of the bend' })).toBeTruthy();
  screen.getByRole('textbox', { name: 'Tag' }).focus();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  await waitFor(() => expect(document.activeElement).toBe(key));
});
