/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { alive } from '@/components/testing/alive';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { AgainAndGroups } from './AgainAndGroups';

const [repeat, inGroups, refresh] = [jest.fn(), jest.fn(), jest.fn()];
jest.mock('../../seriesActions', () => ({
  repeatLessonAction: (...sent: unknown[]) => repeat(...sent),
  rideInGroupsAction: (...sent: unknown[]) => inGroups(...sent),
}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const pair = (id: string, strideM: number | null) => ({ id, name: id, strideM });
const PAIRS = [pair('Moth', 2.6), pair('Quill', 3.6), pair('Tansy', 2.7), pair('Barley', 3.5)];
const open = async (changes: object = {}) => {
  renderInRoan(<AgainAndGroups lessonId="lesson" pairs={PAIRS as never} minutes={45} isPlanned {...changes} />);
  fireEvent.click(screen.getByRole('button', { name: 'Series and groups' }));
  await screen.findByRole('heading', { name: 'Every week' });
  await alive();
};
const groupOf = (name: string) => screen.getByRole<HTMLInputElement>('combobox', { name: `Group of ${name}` }).value;
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => [repeat, inGroups, refresh].forEach(one => one.mockReset()));

test('the same lesson is planned for some weeks', async () => {
  repeat.mockResolvedValue({ ok: true });
  await open();
  fireEvent.change(screen.getByRole('textbox', { name: 'Weeks' }), { target: { value: '5' } });
  press('Plan 5 weeks');
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(repeat.mock.calls[0]![0]).toEqual({ lessonId: 'lesson', weeks: 5 });
  await waitFor(() => expect(screen.queryByRole('heading', { name: 'Every week' })).toBeNull());
});

test('without an answer it is asked for again under the same name, so that it is planned once', async () => {
  repeat.mockRejectedValueOnce(new Error('gone')).mockResolvedValueOnce({ ok: true });
  await open();
  press('Plan 8 weeks');
  expect((await screen.findByRole('alert')).textContent).toContain('nothing was planned');
  await waitFor(() => expect(screen.getByRole('button', { name: 'Plan 8 weeks' }).dataset.loading).toBeUndefined());
  press('Plan 8 weeks');
  await waitFor(() => expect(refresh).toHaveBeenCalled());
  expect(repeat.mock.calls[1]![1]).toBe(repeat.mock.calls[0]![1]);
});

test('horses of like strides are put together, and a hand can put them otherwise', async () => {
  inGroups.mockResolvedValue({ ok: true });
  await open();
  expect(groupOf('Moth')).toBe(groupOf('Tansy'));
  expect(groupOf('Quill')).toBe(groupOf('Barley'));
  expect(groupOf('Moth')).not.toBe(groupOf('Quill'));
  const ofTansy = screen.getByRole('combobox', { name: 'Group of Tansy' });
  fireEvent.click(ofTansy);
  const other = groupOf('Quill');
  const list = document.getElementById(ofTansy.getAttribute('aria-controls')!)!;
  fireEvent.click(await within(list).findByRole('option', { name: other, hidden: true }));
  expect(groupOf('Tansy')).toBe(other);
  press('Ride in 2 groups');
  await waitFor(() => expect(inGroups).toHaveBeenCalled());
  const { groups, eachMin } = inGroups.mock.calls[0]![0] as { groups: string[][]; eachMin: number };
  expect(groups.map(ids => [...ids].sort()).sort((a, b) => a.length - b.length)).toEqual([
    ['Moth'],
    ['Barley', 'Quill', 'Tansy'],
  ]);
  expect(eachMin).toBe(45);
});

test('more groups are dealt anew', async () => {
  await open();
  fireEvent.change(screen.getByRole('textbox', { name: 'Groups' }), { target: { value: '4' } });
  expect(new Set(PAIRS.map(({ id }) => groupOf(id))).size).toBe(4);
  expect(screen.getByRole('button', { name: 'Ride in 4 groups' })).toBeTruthy();
});

test.each([
  ['ridden already', { isPlanned: false }],
  ['of one pair', { pairs: PAIRS.slice(0, 1) }],
])('a lesson that is %s is not ridden in groups', async (_, changes) => {
  await open(changes);
  expect(screen.queryByRole('heading', { name: /In groups/ })).toBeNull();
});
