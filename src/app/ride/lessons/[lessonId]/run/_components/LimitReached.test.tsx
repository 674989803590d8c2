/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { LimitReached } from './LimitReached';

afterEach(cleanup);

const show = (lessonId: string, ...warnings: string[]) => (
  <LimitReached lessonId={lessonId} pairId="p" horse="Quill" warnings={warnings} />
);

test('a limit is said once, though its numbers rise; another one is said by itself', () => {
  const view = render(show('a', '24 efforts today: 24 are the limit.'));
  expect(screen.getByRole('alert').textContent).toContain('Take care of Quill');
  fireEvent.click(screen.getByRole('button', { name: 'Seen' }));
  expect(screen.queryByRole('alert')).toBeNull();
  view.rerender(show('a', '26 efforts today: 24 are the limit.'));
  expect(screen.queryByRole('alert')).toBeNull();
  view.rerender(show('a', '26 efforts today: 24 are the limit.', 'No walk for 12 minutes.'));
  expect(screen.getByRole('alert').textContent).toContain('No walk');
  expect(screen.getByRole('alert').textContent).not.toContain('efforts');
});

test('a storage that is forbidden keeps it for the page, and another lesson says it again', () => {
  const forbidden = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('forbidden');
  });
  const view = render(show('b', 'No walk for 12 minutes.'));
  act(() => fireEvent.click(screen.getByRole('button', { name: 'Seen' })));
  expect(screen.queryByRole('alert')).toBeNull();
  view.rerender(show('c', 'No walk for 12 minutes.'));
  expect(screen.getByRole('alert')).toBeTruthy();
  forbidden.mockRestore();
});
