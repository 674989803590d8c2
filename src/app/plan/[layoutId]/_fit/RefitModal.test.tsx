/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { refitLayout, USUAL_LIMITS } from '@/core';
import { LINE, shows } from '../_state/testShown';
import type { PlanControls } from '../_state/usePlanEditor';
import RefitModal from './RefitModal';
import type { AskRefit } from './refit.worker';

const [push, post] = [jest.fn(), jest.fn()];
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('@/components/sync/post', () => ({ postJson: (...sent: unknown[]) => post(...sent) }));
jest.mock('@/components/worker/useAnswer', () => ({
  useAnswer: () => ({ answer: works.answer, ask: (asked: unknown) => void works.asked.push(asked as never) }),
}));
const works = { asked: [] as AskRefit[], answer: { kind: 'still' } as object };

const controls = () =>
  ({
    shown: shows()(LINE),
    present: { name: 'A line of three', plan: LINE },
    limits: USUAL_LIMITS,
  }) as unknown as PlanControls;
const WIDER = { id: 'field', name: 'The field', arena: { widthM: 40, lengthM: 70, letters: 'none' as const } };
const SMALL = { id: 'hall', name: 'The hall', arena: { widthM: 15, lengthM: 30, letters: 'none' as const } };

function open() {
  const onClose = jest.fn();
  const shown = renderInRoan(<RefitModal controls={controls()} arenas={[WIDER, SMALL]} onClose={onClose} />);
  const again = () => shown.rerender(<RefitModal controls={controls()} arenas={[WIDER, SMALL]} onClose={onClose} />);
  return { onClose, again };
}
const goTo = async (name: string) => {
  fireEvent.click(await screen.findByRole('combobox', { name: 'Arena' }));
  fireEvent.click(await screen.findByRole('option', { name, hidden: true }));
};
/** What the worker would say, of the same core. */
const done = () => {
  const { layout, arena, ...wish } = works.asked.at(-1)!;
  works.answer = { kind: 'done', said: refitLayout(layout, arena, wish) };
};

beforeEach(() => {
  [push, post].forEach(one => one.mockReset());
  works.asked = [];
  works.answer = { kind: 'still' };
});

test('a layout is looked at on other sand before it is copied there', async () => {
  post.mockResolvedValue({ kind: 'ok', body: { id: 'copy' } });
  const { again } = open();
  expect(screen.queryByRole('button', { name: 'Make the copy there' })).toBeNull();
  await goTo('The field');
  expect(works.asked[0]!.arena).toEqual(WIDER.arena);
  done();
  again();
  expect(screen.getByText(/2 of 2 distances are kept/)).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('Name of the copy').value).toBe('A line of three, The field');
  fireEvent.click(screen.getByRole('button', { name: 'Make the copy there' }));
  await waitFor(() => expect(push).toHaveBeenCalledWith('/plan/copy'));
  type Sent = { arenaId: string; name: string; plan: { items: { id: string }[] } };
  const [address, sent] = post.mock.calls[0]! as [string, Sent];
  expect([address, sent.arenaId, sent.name]).toEqual(['/api/layouts', 'field', 'A line of three, The field']);
  expect(sent.plan.items.map(({ id }) => id)).toEqual(LINE.items.map(({ id }) => id));
});

test('without an answer nothing is copied, and the same copy is sent again', async () => {
  post
    .mockResolvedValueOnce({ kind: 'no-answer' })
    .mockResolvedValueOnce({ kind: 'refused', problem: 'No such arena.' });
  const { again } = open();
  await goTo('The field');
  done();
  again();
  const make = () => fireEvent.click(screen.getByRole('button', { name: 'Make the copy there' }));
  make();
  expect((await screen.findByRole('alert')).textContent).toContain('nothing was copied');
  make();
  await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('No such arena.'));
  const [first, second] = post.mock.calls.map(([, sent]) => (sent as { saveId: string }).saveId);
  expect(first).toBe(second);
  expect(push).not.toHaveBeenCalled();
});

test('it says while it looks, and what to do where it cannot', async () => {
  const { again } = open();
  works.answer = { kind: 'running' };
  again();
  expect(screen.getByText('Looking where it goes …')).toBeTruthy();
  works.answer = { kind: 'failed' };
  again();
  expect(screen.getByRole('alert').textContent).toContain('Load the page again');
});
