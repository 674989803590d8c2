/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { LayoutCard } from '@/components/LayoutCards/LayoutCards';
import { LayoutList } from './LayoutList';

const [archive, duplicate, show, refresh, push] = [jest.fn(), jest.fn(), jest.fn(), jest.fn(), jest.fn()];
jest.mock('../../yard/actions', () => ({ archiveAction: (...sent: unknown[]) => archive(...sent) }));
jest.mock('../actions', () => ({ duplicateLayoutAction: (...sent: unknown[]) => duplicate(...sent) }));
jest.mock('@mantine/notifications', () => ({ notifications: { show: (said: unknown) => show(said) } }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh, push }) }));
jest.mock('next/dynamic', () => () => {
  const TagForm = ({ card }: { card: { name: string } }) => <p>Tags of {card.name}</p>;
  return TagForm;
});
jest.mock('@/components/Sand/CroppedSand', () => ({ CroppedSand: () => null }));

const card = (name: string, changes: Partial<LayoutCard> = {}): LayoutCard => ({
  ...{ id: name, href: `/plan/${name}`, name, items: [], tracks: [], line: '', dates: '', tags: [], archived: false },
  ...{ arena: { name: 'Lower sand', widthM: 20, lengthM: 40, letters: 'none' as const }, text: name },
  ...changes,
});
const CARDS = [
  card('Bend', { tags: ['poles'], text: 'bend canter quill' }),
  card('Spiral', { tags: ['flat'], text: 'spiral trot moth' }),
  card('Old line', { archived: true, text: 'old line quill' }),
];
const list = (gaitWords: 'english' | 'western' = 'english') =>
  renderInRoan(<LayoutList cards={CARDS} />, { gaitWords });
const names = () => screen.queryAllByRole('link').map(one => one.textContent);
const search = (words: string) =>
  fireEvent.change(screen.getByLabelText('Search the layouts'), { target: { value: words } });
const choose = async (of: string, item: string) => {
  fireEvent.click(screen.getByRole('button', { name: `More. What to do with ${of}` }));
  fireEvent.click(await screen.findByRole('menuitem', { name: item }));
  await waitFor(() => expect(screen.queryByRole('menuitem')).toBeNull());
};

beforeEach(() => [archive, duplicate, show, refresh, push].forEach(one => one.mockReset()));

test('layouts are found by any of their words; archived ones only where they are asked for', () => {
  list();
  expect(names()).toEqual([expect.stringContaining('Bend'), expect.stringContaining('Spiral')]);
  search('quill');
  expect(names()).toEqual([expect.stringContaining('Bend')]);
  fireEvent.click(screen.getByLabelText('Archived ones too'));
  expect(names()).toEqual([expect.stringContaining('Bend'), expect.stringContaining('Old line')]);
  search('oxer');
  expect(screen.getByText('No layout is like that. Take a word or a tag away.')).toBeTruthy();
});

test('a western yard finds what it lopes as well as what it canters', () => {
  list('western');
  search('lope');
  expect(names()).toEqual([expect.stringContaining('Bend')]);
  search('canter');
  expect(names()).toEqual([expect.stringContaining('Bend')]);
});

test('a tag is pressed and let go', () => {
  list();
  fireEvent.click(screen.getByRole('button', { name: 'flat' }));
  expect(names()).toEqual([expect.stringContaining('Spiral')]);
  expect(screen.getByRole('button', { name: 'flat' }).getAttribute('aria-pressed')).toBe('true');
  fireEvent.click(screen.getByRole('button', { name: 'flat' }));
  expect(names()).toHaveLength(2);
});

test('a layout is copied, and what was done is said', async () => {
  duplicate.mockResolvedValue({ ok: true });
  list();
  await choose('Bend', 'Copy');
  await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
  expect(duplicate).toHaveBeenCalledWith('Bend');
  expect(show).toHaveBeenCalledWith({ message: 'There are two of Bend now.' });
});

test('one is archived; what is refused, or not answered, is said and changes nothing', async () => {
  archive
    .mockResolvedValueOnce({ ok: true })
    .mockResolvedValueOnce({ ok: false, problem: 'Another did so.' })
    .mockRejectedValueOnce(new Error('gone'));
  list();
  await choose('Bend', 'Archive');
  await waitFor(() => expect(show).toHaveBeenCalledWith({ message: 'Bend is archived. All records stay.' }));
  expect(archive).toHaveBeenCalledWith({ kind: 'layout', id: 'Bend', archived: true });
  await choose('Bend', 'Archive');
  await waitFor(() => expect(show).toHaveBeenLastCalledWith({ message: 'Another did so.', color: 'chestnut' }));
  await choose('Bend', 'Archive');
  await waitFor(() =>
    expect(show).toHaveBeenLastCalledWith({
      ...{ message: 'The server did not answer; nothing was changed.', color: 'chestnut' },
    }),
  );
  expect(refresh).toHaveBeenCalledTimes(1);
});

test('its tags are changed, its versions looked at, its file kept', async () => {
  list();
  await choose('Spiral', 'Tags');
  expect(screen.getByText('Tags of Spiral')).toBeTruthy();
  await choose('Spiral', 'Versions');
  expect(push).toHaveBeenCalledWith('/plan/Spiral/versions');
  fireEvent.click(screen.getByRole('button', { name: 'More. What to do with Spiral' }));
  const file = await screen.findByRole('menuitem', { name: 'Save as a layout file' });
  expect(file.getAttribute('href')).toBe('/api/layouts/Spiral/file');
});
