/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { ListBoard } from './ListBoard';

const list = jest.fn();
jest.mock('../actions', () => ({ listAction: (...sent: unknown[]) => list(...sent) }));

const HORSES = 'name,height\nTeasel,148\n';
const PREVIEW = {
  kind: 'preview',
  header: ['name', 'height'],
  rows: [['Teasel', '148']],
  changes: { added: 1, changed: 0, left: 2 },
};
const key = (name: RegExp | string) => screen.getByRole<HTMLButtonElement>('button', { name });
const text = () => screen.getByLabelText<HTMLTextAreaElement>('Or paste it');
const paste = (value: string) => fireEvent.change(text(), { target: { value } });

beforeEach(() => list.mockReset());

test('a list is looked at before it can be taken in', async () => {
  list
    .mockResolvedValueOnce(PREVIEW)
    .mockResolvedValueOnce({ kind: 'kept', changes: { added: 1, changed: 0, left: 2 } });
  renderInRoan(<ListBoard />);
  expect([key('Look at it').disabled, key('Take it in').disabled]).toEqual([true, true]);
  paste(HORSES);
  expect(key('Take it in').disabled).toBe(true);
  fireEvent.click(key('Look at it'));
  expect(await screen.findByText('This would be taken in: 1 added, 0 changed, 2 there already.')).toBeTruthy();
  expect(screen.getByRole('cell', { name: 'Teasel' })).toBeTruthy();
  fireEvent.click(key('Take it in'));
  expect(await screen.findByText('Taken in: 1 added, 0 changed, 2 there already.')).toBeTruthy();
  expect(list.mock.calls.map(([sent]) => sent)).toEqual([
    { list: 'horses', text: HORSES, keep: false },
    { list: 'horses', text: HORSES, keep: true },
  ]);
  // It is in: the same is not taken in twice.
  expect(text().value).toBe('');
  expect(key('Take it in').disabled).toBe(true);
});

test('what was changed after it was looked at is looked at again', async () => {
  list.mockResolvedValue(PREVIEW);
  renderInRoan(<ListBoard />);
  paste(HORSES);
  fireEvent.click(key('Look at it'));
  await waitFor(() => expect(key('Take it in').disabled).toBe(false));
  paste(`${HORSES}Moth,120\n`);
  expect(key('Take it in').disabled).toBe(true);
});

test('each wrong row is named, and what was pasted stays', async () => {
  list.mockResolvedValue({
    kind: 'refused',
    faults: [
      { line: 2, column: 'height', reason: '“tall” is no height.' },
      { line: 0, column: null, reason: 'A column is missing.' },
    ],
  });
  renderInRoan(<ListBoard />);
  paste(HORSES);
  fireEvent.click(key('Look at it'));
  expect(await screen.findByText('Line 2, height: “tall” is no height.')).toBeTruthy();
  expect(screen.getByText('A column is missing.')).toBeTruthy();
  expect(text().value).toBe(HORSES);
});

test('where the server does not answer nothing is lost, and it can be asked again', async () => {
  list.mockRejectedValueOnce(new Error('gone')).mockResolvedValueOnce(PREVIEW);
  renderInRoan(<ListBoard />);
  paste(HORSES);
  fireEvent.click(key('Look at it'));
  expect(await screen.findByText(/did not answer; nothing was changed/)).toBeTruthy();
  await waitFor(() => expect(key('Look at it').dataset.loading).toBeUndefined());
  fireEvent.click(key('Look at it'));
  expect(await screen.findByText(/This would be taken in/)).toBeTruthy();
});

test('another list has other columns and another file, and nothing of the one before', () => {
  renderInRoan(<ListBoard />);
  paste(HORSES);
  fireEvent.click(screen.getByText('Kit'));
  expect(text().value).toBe('');
  expect(screen.getByRole('link', { name: 'Keep the yard’s kit as CSV' }).getAttribute('href')).toBe(
    '/api/yard/kit.csv',
  );
});

test('a file is looked at as it is chosen', async () => {
  list.mockResolvedValue(PREVIEW);
  const { container } = renderInRoan(<ListBoard />);
  const file = Object.assign(new File([HORSES], 'horses.csv'), { text: async () => HORSES });
  fireEvent.change(container.querySelector('input[type=file]')!, { target: { files: [file] } });
  expect(await screen.findByText(/This would be taken in/)).toBeTruthy();
  expect(text().value).toBe(HORSES);
});
