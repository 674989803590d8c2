/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { LinkList } from './LinkList';

const [share, revoke, refresh] = [jest.fn(), jest.fn(), jest.fn()];
jest.mock('../actions', () => ({
  shareAction: (...sent: unknown[]) => share(...sent),
  revokeShareAction: (...sent: unknown[]) => revoke(...sent),
}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const LINKS = [
  { id: 'one', kind: 'rider' as const, of: 'Ode', until: null, lastUsed: null },
  { id: 'two', kind: 'lesson' as const, of: 'Tuesday', until: '9 December', lastUsed: '2 December' },
];
const SUBJECTS = {
  rider: [{ value: 'ode', label: 'Ode' }],
  lesson: [{ value: 'tuesday', label: 'Tuesday' }],
  layout: [{ value: 'bend', label: 'The bend' }],
};
const list = (links = LINKS) => renderInRoan(<LinkList yardId="yard" links={links} subjects={SUBJECTS} />);
const pick = async (label: string, option: string) => {
  fireEvent.click(screen.getByRole('combobox', { name: label }));
  fireEvent.click(await screen.findByRole('option', { name: option, hidden: true }));
};
const make = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Make a link' });

beforeEach(() => [share, revoke, refresh].forEach(one => one.mockReset()));

test('a link is made of somebody, and shown this once', async () => {
  share.mockResolvedValue({ ok: true, link: { href: 'http://roan/s/abc', qr: '<svg></svg>' } });
  list();
  expect(make().disabled).toBe(true);
  await pick('Which', 'Ode');
  fireEvent.click(make());
  expect((await screen.findByTestId('link')).textContent).toBe('http://roan/s/abc');
  expect(share).toHaveBeenCalledWith({ kind: 'rider', subjectId: 'ode' });
  expect(refresh).toHaveBeenCalled();
});

test('the calendar is of the yard: nothing has to be chosen', async () => {
  share.mockResolvedValue({ ok: false, problem: 'Only instructors share.', fields: {} });
  list();
  await pick('What it shows', 'The calendar, as a feed');
  expect(screen.queryByRole('combobox', { name: 'Which' })).toBeNull();
  fireEvent.click(make());
  expect(await screen.findByText('Only instructors share.')).toBeTruthy();
  expect(share).toHaveBeenCalledWith({ kind: 'calendar', subjectId: 'yard' });
  expect(screen.queryByTestId('link')).toBeNull();
});

test('whom it shows is chosen anew with what it shows', async () => {
  list();
  await pick('Which', 'Ode');
  await pick('What it shows', 'A lesson');
  expect(make().disabled).toBe(true);
});

test('a link says until when it opens and when it was read, and is taken back', async () => {
  revoke.mockResolvedValueOnce({ ok: true }).mockRejectedValueOnce(new Error('gone'));
  list();
  expect(screen.getAllByRole('row').map(row => row.textContent)).toEqual([
    'ShowsUntilLast readWhat to do',
    'A rider’s page: Odeit is taken backnot yetTake back',
    'A lesson: Tuesday9 December2 DecemberTake back',
  ]);
  const back = () => fireEvent.click(screen.getByRole('button', { name: 'Take back A lesson: Tuesday' }));
  back();
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(revoke).toHaveBeenCalledWith('two');
  back();
  expect(await screen.findByText(/the links are as they were/)).toBeTruthy();
});

test('where there are no links there is no table', () => {
  list([]);
  expect(screen.queryByRole('table')).toBeNull();
});
