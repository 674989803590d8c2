/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { draftsOf } from '@/components/sync/drafts';
import { FilmAnswer } from './FilmAnswer';

const answered = jest.fn();
jest.mock('../actions', () => ({ answerFilmAction: (...sent: unknown[]) => answered(...sent) as unknown }));

beforeAll(() => {
  // Mantine asks the browser what the user prefers; this one has no opinion.
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  Object.defineProperty(document, 'fonts', { value: { addEventListener() {}, removeEventListener() {} } });
});
beforeEach(() => {
  answered.mockReset();
  localStorage.clear();
});
afterEach(cleanup);

function shown(answer: string | null = null) {
  render(
    <MantineProvider env="test">
      <FilmAnswer videoId="f" rider="Wren" asks="Even?" first={{ answer, givenOn: answer && '1 May' }} />
    </MantineProvider>,
  );
}

const type = (words: string) =>
  fireEvent.change(screen.getByLabelText('What you say of it'), { target: { value: words } });
const press = (name: string) => act(async () => void fireEvent.click(screen.getByRole('button', { name })));
const said = () => screen.getByRole('status').textContent;

test('an answer is given over what was seen there, and leaves this device', async () => {
  answered.mockResolvedValue({ ok: true });
  shown();
  type(' Sit up. ');
  expect(draftsOf('answer f')).toHaveLength(1);
  await press('Give the answer');
  expect(answered).toHaveBeenCalledWith('f', ' Sit up. ', null);
  expect([said(), draftsOf('answer f')]).toEqual(['Given: Wren reads it now.', []]);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Give it anew' }).disabled).toBe(true);
});

test('what somebody else answered meanwhile is told; given anew, it is over that', async () => {
  const refused = { ok: false, fields: {}, problem: 'Somebody else answered.', now: 'Look up.' };
  answered.mockResolvedValueOnce(refused).mockResolvedValueOnce({ ok: true });
  shown();
  type('Sit up.');
  await press('Give the answer');
  expect(said()).toContain('“Look up.”');
  await press('Give it anew');
  expect(answered).toHaveBeenLastCalledWith('f', 'Sit up.', 'Look up.');
  expect(said()).toContain('Given');
});

test('without an answer of the server it stays on the device', async () => {
  answered.mockRejectedValue(new Error('no connection'));
  shown('Before.');
  expect(said()).toBe('Given on 1 May.');
  type('After.');
  await press('Give it anew');
  expect([said(), draftsOf('answer f').length]).toEqual(['The server does not answer: it is kept on this device.', 1]);
});
