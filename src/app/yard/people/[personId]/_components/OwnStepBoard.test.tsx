/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { Person } from '@/data/queries/people';
import { OwnStepBoard } from './OwnStepBoard';

const [addWalk, undoWalk, letCount] = [jest.fn(), jest.fn(), jest.fn()];
jest.mock('../actions', () => ({
  addWalkAction: (...sent: unknown[]) => addWalk(...sent),
  undoWalkAction: (...sent: unknown[]) => undoWalk(...sent),
  letWalksCountAction: (...sent: unknown[]) => letCount(...sent),
}));

const WALKED = {
  walks: [{ id: 'walk', lengthM: 20, steps: 22.5 }],
  walked: { stepM: 0.889, lowM: 0.87, highM: 0.91, walks: 1 },
  stepLengthM: 0.889,
};
const person = (changes: object = {}) =>
  ({
    id: 'ines',
    name: 'Ines',
    walks: [],
    walked: null,
    typedStepM: null,
    stepLengthM: null,
    ...changes,
  }) as unknown as Person;
const board = (changes: object = {}, unit: 'm' | 'ft' = 'm') =>
  renderInRoan(<OwnStepBoard person={person(changes)} days={{ walk: '3 November' }} />, { unit });
const steps = () => screen.getByLabelText<HTMLInputElement>('Steps, to the half');
const keep = (typed: string) => {
  fireEvent.change(steps(), { target: { value: typed } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep this walk' }));
};

beforeEach(() => [addWalk, undoWalk, letCount].forEach(one => one.mockReset()));

test('a walk is sent as it was typed, and the field is ready for the next', async () => {
  addWalk.mockResolvedValue({ ok: true });
  board();
  keep('22½');
  await waitFor(() => expect(addWalk).toHaveBeenCalledTimes(1));
  expect([addWalk.mock.calls[0]![0], addWalk.mock.calls[0]![2]]).toEqual(['ines', { length: '20 m', steps: '22½' }]);
  expect(steps().value).toBe('');
});

test('what is no number of steps is said at once and not sent', async () => {
  board();
  keep('many');
  expect(await screen.findByText(/Type the steps/)).toBeTruthy();
  expect(addWalk).not.toHaveBeenCalled();
});

test('a walk that could not be kept comes back, unless something else was typed meanwhile', async () => {
  addWalk.mockRejectedValueOnce(new Error('gone'));
  board();
  keep('23');
  expect((await screen.findByRole('alert')).textContent).toContain('did not answer');
  expect(steps().value).toBe('23');
  let refuse: (answer: object) => void = () => {};
  addWalk.mockReturnValueOnce(new Promise(resolve => (refuse = resolve)));
  keep('24');
  await waitFor(() => expect(addWalk).toHaveBeenCalledTimes(2));
  fireEvent.change(steps(), { target: { value: '30' } });
  refuse({ ok: false, problem: 'The disk is full.', fields: {} });
  await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('The disk is full.'));
  expect(steps().value).toBe('30');
});

test('a walk is taken back, and can be brought back', async () => {
  undoWalk.mockResolvedValue({ ok: true });
  board(WALKED);
  fireEvent.click(screen.getByRole('button', { name: 'Take back the walk of 22.5 steps' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Bring the walk back' }));
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Bring the walk back' })).toBeNull());
  expect(undoWalk.mock.calls).toEqual([
    ['walk', true],
    ['walk', false],
  ]);
});

test('any distance is said in these steps, and what is none is not reckoned', () => {
  board(WALKED);
  const any = screen.getByLabelText('Any distance in these steps');
  // 8.89 m are ten steps of 88.9 cm.
  fireEvent.change(any, { target: { value: '8.89 m' } });
  expect(screen.getByText(/10 steps/)).toBeTruthy();
  fireEvent.change(any, { target: { value: 'far' } });
  expect(screen.queryByText(/10 steps/)).toBeNull();
  expect(any.getAttribute('aria-invalid')).toBe('true');
});

test('a step that was typed in is held against the one that was walked', async () => {
  letCount.mockResolvedValue({ ok: true });
  board({ ...WALKED, typedStepM: 0.95, stepLengthM: 0.95 });
  // 18 m by steps of 95 cm are 18.95 steps; each of 88.9 cm, they end 1.16 m short.
  expect(screen.getByText(/over 18.00 m you would be 1\.1\d m short/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Let the walks count' }));
  await waitFor(() => expect(letCount).toHaveBeenCalledWith('ines'));
});

test('a yard that thinks in feet is asked in feet', () => {
  board({}, 'ft');
  expect(screen.getByLabelText<HTMLInputElement>('Taped length').value).toBe('60 ft');
});
