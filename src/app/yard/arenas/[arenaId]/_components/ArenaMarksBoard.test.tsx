/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { NamedArena } from '@/data/queries/arenas';
import type { ArenaMarks } from '@/files/arenaMarks';
import { ArenaMarksBoard } from './ArenaMarksBoard';

const save = jest.fn();
jest.mock('../../../actions', () => ({ saveArenaMarksAction: (...sent: unknown[]) => save(...sent) }));

const MARKS = {
  ...{ entrance: null, homeFacingDeg: null, fall: null, patches: [], standing: [], ownLetters: [], outline: null },
  place: null,
} as unknown as ArenaMarks;
const arena = (marks: Partial<ArenaMarks> = {}) =>
  ({
    id: 'lower',
    name: 'Lower sand',
    widthM: 20,
    lengthM: 40,
    letters: 'none',
    marks: { ...MARKS, ...marks },
  }) as unknown as NamedArena;
const board = (marks: Partial<ArenaMarks> = {}, unit: 'm' | 'ft' = 'm') =>
  renderInRoan(<ArenaMarksBoard arena={arena(marks)} />, { unit });
const sent = () => (save.mock.calls.at(-1)![0] as { marks: ArenaMarks }).marks;
const tool = (name: string) => fireEvent.click(screen.getByText(name));
const atFarEnd = () => fireEvent.click(screen.getByRole('button', { name: /Or put it at the far end/ }));

beforeEach(() => {
  save.mockReset();
  save.mockResolvedValue({ ok: true });
});

test('each mark is kept as it is made, and said to be saved', async () => {
  board();
  atFarEnd();
  await waitFor(() => expect(save).toHaveBeenCalledTimes(1));
  expect(sent().patches).toMatchObject([{ at: { xM: 10, yM: 37 }, radiusM: 2 }]);
  expect(await screen.findByText('Saved')).toBeTruthy();
  tool('The entrance');
  atFarEnd();
  await waitFor(() => expect(sent().entrance).toEqual({ xM: 10, yM: 40 }));
  // What was marked before goes with it: nothing is lost by the second.
  expect(sent().patches).toHaveLength(1);
});

test('a mark is typed right, in the unit of the yard, and taken away', async () => {
  board({ entrance: { xM: 3, yM: 0 }, homeFacingDeg: 90 }, 'ft');
  expect(screen.getByText(/^Entrance 9 ft/)).toBeTruthy();
  const home = screen.getByLabelText('Home lies at, degrees from straight up');
  fireEvent.change(home, { target: { value: '400' } });
  fireEvent.blur(home);
  expect(screen.getByText('A direction: 0 to 359.')).toBeTruthy();
  fireEvent.change(home, { target: { value: '270' } });
  fireEvent.blur(home);
  await waitFor(() => expect(sent().homeFacingDeg).toBe(270));
  fireEvent.click(screen.getByRole('button', { name: 'Take away: the entrance' }));
  await waitFor(() => expect(sent().entrance).toBeNull());
});

test('what could not be kept says so and can be kept by a key: the marks of now, all of them', async () => {
  save.mockRejectedValueOnce(new Error('gone'));
  board();
  atFarEnd();
  const alert = await screen.findByRole('alert');
  expect(alert.textContent).toContain('the last mark is not kept yet');
  fireEvent.click(within(alert).getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  expect(sent().patches).toHaveLength(1);
});

test('a sand with nothing on it says so, and each tool says where to tap', () => {
  board();
  expect(screen.getByText('Nothing is marked yet.')).toBeTruthy();
  tool('The fall');
  expect(screen.getByText(/the way water would run/)).toBeTruthy();
  tool('A corner');
  expect(screen.queryByRole('button', { name: /Or put it at the far end/ })).toBeNull();
});
