/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { KeptRow } from '@/components/sync/keptRow';
import { eventFields, timeTyped, typedTime, withField } from './eventFields';
import { WaitingRow } from './WaitingRow';

const [tryAgain, drop, mend] = [jest.fn(), jest.fn(), jest.fn()];
jest.mock('@/components/sync/deviceSync', () => ({ deviceSync: () => ({ tryAgain, drop, mend }) }));

const AT_MS = new Date('2026-11-03T17:20:30').getTime();
const EVENT = {
  ...{ type: 'mark', id: 'event', passId: 'pass', atMs: AT_MS, by: 'Ines' },
  mark: { id: 'mark', kind: 'strides', place: 2, count: 44, tapsMs: [0, 600] },
};
const row = (changes: Partial<KeptRow> = {}): KeptRow => ({
  ...{ seq: 3, key: 'row', order: 1, box: 'lesson:l', event: EVENT, refused: null, keptIn: 'device' },
  ...changes,
});
const show = (changes: Partial<KeptRow> = {}) =>
  renderInRoan(
    <ul>
      <WaitingRow row={row(changes)} />
    </ul>,
  );
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => [tryAgain, drop, mend].forEach(one => one.mockReset()));

test('what waits says when it was tapped and where it is kept', () => {
  show();
  expect(screen.getByText('kept on this device')).toBeTruthy();
  expect(screen.getByText(/3 Nov 2026, 17:20:30/)).toBeTruthy();
  expect(screen.queryAllByRole('button')).toEqual([]);
});

test('what is kept in the page alone says so', () => {
  show({ keptIn: 'page' });
  expect(screen.getByText('only in this page')).toBeTruthy();
});

test('what was refused says why, and is sent again', () => {
  show({ refused: 'So many strides are not between two fences.' });
  expect(screen.getByRole('status').textContent).toBe('Refused: So many strides are not between two fences.');
  press('Send it again');
  expect(tryAgain).toHaveBeenCalledWith('row');
});

test('it is dropped by two taps, not by one', () => {
  show({ refused: 'no' });
  press('Drop it');
  expect(drop).not.toHaveBeenCalled();
  press('Drop it for good');
  expect(drop).toHaveBeenCalledWith('row');
});

test('it is put right by hand: a number stays one, a time is a day and a time', () => {
  show({ refused: 'no' });
  press('Put it right');
  fireEvent.change(screen.getByLabelText('Strides'), { target: { value: '4' } });
  fireEvent.change(screen.getByLabelText('When'), { target: { value: '2026-11-03T17:21:00' } });
  press('Send it so');
  expect(mend).toHaveBeenCalledWith('row', {
    ...EVENT,
    atMs: new Date('2026-11-03T17:21:00').getTime(),
    mark: { ...EVENT.mark, count: 4 },
  });
});

test('it is copied out as it is', async () => {
  const writeText = jest.fn().mockResolvedValue(undefined);
  Object.assign(navigator, { clipboard: { writeText } });
  show({ refused: 'no' });
  press('Copy it out');
  await waitFor(() => expect(screen.getByRole('button', { name: 'Copied' })).toBeTruthy());
  expect(JSON.parse(writeText.mock.calls[0]![0] as string)).toEqual(EVENT);
});

describe('the fields of an event', () => {
  it('are its words, numbers and times, not what ties it to others, nor what was asked', () => {
    const fields = eventFields({ ...EVENT, question: { name: 'as drawn' }, list: [1] });
    expect(fields.map(({ path }) => path)).toEqual(['atMs', 'by', 'mark.place', 'mark.count']);
    expect(fields.map(({ isTime }) => isTime)).toEqual([true, false, false, false]);
  });

  it('keep what was there where what is typed is no number', () => {
    expect(withField(EVENT, 'mark.count', 'many')).toEqual(EVENT);
    expect(withField(EVENT, 'mark.count', ' ')).toEqual(EVENT);
    expect(withField(EVENT, 'by', 'Bas').by).toBe('Bas');
  });

  it('say a time as it was tapped, and none where there is none', () => {
    expect(typedTime(AT_MS)).toBe('2026-11-03T17:20:30');
    expect(timeTyped(typedTime(AT_MS))).toBe(String(AT_MS));
    expect([typedTime(Number.NaN), timeTyped('soon')]).toEqual(['', '']);
  });
});
