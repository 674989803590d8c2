/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { DaySheet } from './DaySheet';

const PARTS = [
  { name: 'Question', content: <p>What is asked</p> },
  { name: 'Pairs', content: <p>Who rides</p> },
];
const day = async (undo: { words: string; onUndo: () => void } | null = null) => {
  const onClose = jest.fn();
  renderInRoan(<DaySheet opened onClose={onClose} parts={PARTS} undo={undo} />);
  await screen.findByRole('dialog', { name: 'On the day' }, { timeout: 5000 });
  return onClose;
};

test('a part at a time is shown, the first one first', async () => {
  await day();
  expect(screen.getByRole('tabpanel', { name: 'Question' }).textContent).toBe('What is asked');
  fireEvent.click(screen.getByRole('tab', { name: 'Pairs' }));
  expect(screen.getByRole('tabpanel', { name: 'Pairs' }).textContent).toBe('Who rides');
  expect(screen.queryByText('What is asked')).toBeNull();
  expect(screen.getByRole('tab', { name: 'Pairs' }).getAttribute('aria-selected')).toBe('true');
});

test('the last change of the day is named, and taken back from here', async () => {
  const onUndo = jest.fn();
  await day({ words: 'the order of pairs', onUndo });
  fireEvent.click(screen.getByRole('button', { name: /^Undo/ }));
  expect(onUndo).toHaveBeenCalledTimes(1);
  expect(screen.getByRole('button', { name: /^Undo/ }).textContent).toContain('the order of pairs');
});

test('it is closed by its key', async () => {
  const onClose = await day();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(onClose).toHaveBeenCalled();
});
