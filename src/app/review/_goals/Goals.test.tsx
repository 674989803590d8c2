/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { GoalProgress } from '@/core';
import { NO_GOAL } from '@/files/goalTyped';
import { Goals, type ShownGoal } from './Goals';

const change = jest.fn();
jest.mock('./actions', () => ({ changeGoalAction: (...sent: unknown[]) => change(...sent) }));
jest.mock('./GoalBar', () => ({ GoalBar: () => null }));
jest.mock('./PlanWeeks', () => ({ PlanWeeks: ({ words }: { words: string }) => <p>Weeks to {words}</p> }));
jest.mock('next/dynamic', () => () => {
  const GoalForm = ({ goalId }: { goalId: string | null }) => <p>Form of {goalId ?? 'a new one'}</p>;
  return GoalForm;
});
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => {}, push: () => {} }) }));

const goal = (changes: Partial<ShownGoal> = {}): ShownGoal => ({
  ...{ id: 'goal', words: 'Canter poles in both reins', by: 'by 24 December', reachedOn: null },
  progress: { state: 'on the way', words: '3 of 5 passes within 20 cm.' } as GoalProgress,
  typed: { ...NO_GOAL, measure: 'stage' },
  ...changes,
});
const goals = (all: readonly ShownGoal[], maySet = true) =>
  renderInRoan(
    <Goals
      pairId="quill-ode"
      goals={all}
      exercises={[]}
      arenas={[{ id: 'lower', name: 'Lower sand' }]}
      startsAt="2026-12-01T10:00"
      maySet={maySet}
    />,
    { unit: 'ft', gaitWords: 'western' },
  );
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const isThere = (name: string) => screen.queryByRole('button', { name }) !== null;

beforeEach(() => change.mockReset());

test('a goal says how far it is, in the unit of the yard', () => {
  goals([goal()]);
  expect(screen.getByText('on the way')).toBeTruthy();
  expect(screen.getByText('by 24 December')).toBeTruthy();
  expect(screen.getByText(/within 8 in/)).toBeTruthy();
});

test('it is reached, and opened again', async () => {
  change.mockResolvedValue({ ok: true });
  const { rerender } = goals([goal()]);
  press('It is reached');
  await waitFor(() => expect(change).toHaveBeenCalledWith({ goalId: 'goal', to: 'reached' }));
  rerender(
    <Goals
      {...{ pairId: 'quill-ode', exercises: [], arenas: [], startsAt: '', maySet: true }}
      goals={[goal({ reachedOn: '3 December' })]}
    />,
  );
  expect(screen.getByText('reached on 3 December')).toBeTruthy();
  expect(isThere('Plan the weeks to it')).toBe(false);
  await waitFor(() =>
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Open it again' }).disabled).toBe(false),
  );
  press('Open it again');
  await waitFor(() => expect(change).toHaveBeenLastCalledWith({ goalId: 'goal', to: 'open' }));
});

test('one that was taken away is named and can be restored', async () => {
  change.mockResolvedValue({ ok: true });
  goals([goal()]);
  press('Take it away');
  expect((await screen.findByRole('status')).textContent).toContain('“Canter poles in both reins” is taken away.');
  await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Restore' }).disabled).toBe(false));
  press('Restore');
  await waitFor(() => expect(screen.queryByRole('status')).toBeNull());
  expect(change).toHaveBeenLastCalledWith({ goalId: 'goal', to: 'there' });
});

test('what the server refuses is said, and nothing is taken away', async () => {
  change
    .mockResolvedValueOnce({ ok: false, problem: 'Another changed this goal.' })
    .mockRejectedValueOnce(new Error('gone'));
  goals([goal()]);
  press('Take it away');
  expect((await screen.findByRole('alert')).textContent).toBe('Another changed this goal.');
  expect(screen.queryByRole('status')).toBeNull();
  await waitFor(() =>
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take it away' }).disabled).toBe(false),
  );
  press('Take it away');
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('the goal is as it was'));
});

test('a goal is changed in a form, a new one set in an empty one, the weeks to a stage planned', () => {
  goals([goal()]);
  press('Change');
  expect(screen.getByText('Form of goal')).toBeTruthy();
  press('Set a goal');
  expect(screen.getByText('Form of a new one')).toBeTruthy();
  press('Plan the weeks to it');
  expect(screen.getByText('Weeks to Canter poles in both reins')).toBeTruthy();
});

test('weeks are planned to a stage only', () => {
  goals([goal({ typed: NO_GOAL })]);
  expect(isThere('Plan the weeks to it')).toBe(NO_GOAL.measure === 'stage');
});

test('who may not set goals reads them; where there are none, nothing is said', () => {
  const { unmount } = goals([goal()], false);
  expect(screen.getByText('Canter poles in both reins')).toBeTruthy();
  expect(screen.queryAllByRole('button')).toEqual([]);
  unmount();
  goals([], false);
  expect(screen.queryByRole('heading')).toBeNull();
});
