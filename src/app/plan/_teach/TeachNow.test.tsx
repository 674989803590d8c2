/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import TeachNow from './TeachNow';

const [teach, newPair] = [jest.fn(), jest.fn()];
jest.mock('./teachActions', () => ({
  teachNowAction: (...sent: unknown[]) => teach(...sent),
  newPairAction: (...sent: unknown[]) => newPair(...sent),
}));
const router = { push: jest.fn(), refresh: jest.fn() };
jest.mock('next/navigation', () => ({ useRouter: () => router }));

const HORSES = [
  { id: 'quill', name: 'Quill' },
  { id: 'barley', name: 'Barley' },
];
const PAIRS = [
  { id: 'ode-quill', name: 'Quill with Ode', horseId: 'quill' },
  { id: 'bas-quill', name: 'Quill with Bas', horseId: 'quill' },
];

async function opened(groupIds = ['quill', 'barley']) {
  render(
    <MantineProvider>
      <TeachNow layoutId="bend" pairs={PAIRS} horses={HORSES} groupIds={groupIds} onClose={() => undefined} />
    </MantineProvider>,
  );
  await screen.findByRole('dialog', { name: 'Teach this now' });
}

describe('who is there', () => {
  beforeEach(() => [teach, newPair, router.push].forEach(one => one.mockReset()));

  it('is one pair for each horse of the layout, and a horse without one rides with its rider', async () => {
    teach.mockResolvedValue({ ok: true, lessonId: 'lesson' });
    await opened();
    expect(screen.getByText('Barley, the rider has no name yet')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Begin with 2 pairs' }));
    await waitFor(() => expect(router.push).toHaveBeenCalledWith('/ride/lessons/lesson/run'));
    expect(teach.mock.calls[0]![0]).toEqual({ layoutId: 'bend', pairIds: ['ode-quill'], horseIds: ['barley'] });
  });

  it('cannot be nobody', async () => {
    await opened(['quill']);
    fireEvent.click(screen.getByRole('checkbox', { name: 'Quill with Ode' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Begin with 0 pairs' }).disabled).toBe(true);
  });

  it('stays as ticked where the server does not answer', async () => {
    teach.mockRejectedValue(new Error('gone'));
    await opened(['quill']);
    fireEvent.click(screen.getByRole('button', { name: 'Begin with 1 pair' }));
    expect(await screen.findByText(/nothing was begun/)).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('checkbox', { name: 'Quill with Ode' }).checked).toBe(true);
  });

  it('may be somebody who was not expected: what is wrong with the name is said at it, and then the pair is ticked', async () => {
    newPair
      .mockResolvedValueOnce({ ok: false, problem: null, fields: { rider: 'Give the rider a name.' } })
      .mockResolvedValue({ ok: true, pairId: 'new' });
    teach.mockResolvedValue({ ok: true, lessonId: 'lesson' });
    await opened(['quill']);
    fireEvent.click(screen.getByRole('button', { name: 'Another pair' }));
    fireEvent.click(screen.getByRole('button', { name: 'Add this pair' }));
    expect(await screen.findByText('Give the rider a name.')).toBeTruthy();
    fireEvent.change(screen.getByRole('textbox', { name: 'Rider' }), { target: { value: 'Wren' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add this pair' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Begin with 2 pairs' }));
    await waitFor(() => expect(teach).toHaveBeenCalled());
    expect(teach.mock.calls[0]![0].pairIds).toEqual(['ode-quill', 'new']);
  });
});
