/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { fireEvent, render, screen } from '@testing-library/react';
import type { ComponentProps } from 'react';
import { PadFoot } from './PadFoot';

jest.mock('@/components/sync/Delivery', () => ({ Delivery: () => null }));
jest.mock('@/components/sync/SyncStarter', () => ({ SyncStarter: () => null }));

type FootProps = ComponentProps<typeof PadFoot>;

function foot(changes: Partial<FootProps> = {}) {
  const on = { onUndo: jest.fn(), onRedo: jest.fn(), onBreak: jest.fn(), onDone: jest.fn() };
  const then = { horse: 'Larkspur', onDone: jest.fn() };
  const waits = { unsent: 0, refused: 0 } as FootProps['waits'];
  render(
    <MantineProvider>
      <PadFoot
        {...{ ready: true, waits, run: null, undo: null, redo: null, marked: null, canRide: true, then }}
        {...on}
        {...changes}
      />
    </MantineProvider>,
  );
  return { ...on, then };
}

const key = (name: RegExp) => screen.getByRole('button', { name });

test('a pass ends by one key, and by another the next pair rides too', () => {
  const { onDone, then } = foot();
  fireEvent.click(key(/^Clean pass/));
  expect([onDone.mock.calls.length, then.onDone.mock.calls.length]).toEqual([1, 0]);
  fireEvent.click(key(/^Clean, next Larkspur$/));
  expect([onDone.mock.calls.length, then.onDone.mock.calls.length]).toEqual([1, 1]);
});

test('what was marked is counted on the keys; who rides alone has no next', () => {
  foot({ marked: 2, then: null });
  expect(key(/^Pass done/).textContent).toContain('2 marked');
  expect(screen.queryByRole('button', { name: /next/ })).toBeNull();
});

test('a redo takes the room of the next pair', () => {
  foot({ redo: 'the rub at 2' });
  expect(key(/^Redo/).textContent).toContain('the rub at 2');
  expect(screen.queryByRole('button', { name: /next/ })).toBeNull();
});

test('before the record is there nothing is done, and where nothing can be ridden nothing can be pressed', () => {
  const { onDone, then } = foot({ ready: false });
  fireEvent.click(key(/^Clean pass/));
  fireEvent.click(key(/next Larkspur/));
  expect([onDone.mock.calls.length, then.onDone.mock.calls.length]).toEqual([0, 0]);
  expect((key(/^Undo/) as HTMLButtonElement).disabled).toBe(true);
});

test('an undo says what it takes back, or how many strides were tapped', () => {
  const { onUndo } = foot({ undo: 'the rub at 2' });
  expect(key(/^Undo/).textContent).toContain('the rub at 2');
  fireEvent.click(key(/^Undo/));
  expect(onUndo).toHaveBeenCalledTimes(1);
});

test('strides that are being tapped are undone one by one', () => {
  foot({ run: { step: 0, tapsMs: [1, 2, 3] } as NonNullable<FootProps['run']>, canRide: false });
  expect(key(/^Undo/).textContent).toContain('stride 3');
  expect((key(/^Pass done/) as HTMLButtonElement).disabled).toBe(true);
  expect((key(/^Done, next/) as HTMLButtonElement).disabled).toBe(true);
});
