/** @jest-environment jsdom */
import { MantineProvider } from '@mantine/core';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { CommitField, type Fault } from './CommitField';

beforeAll(() => {
  // Mantine asks the browser what the user prefers; this one has no opinion.
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
});

afterEach(cleanup);

function field(onCommit: (value: number) => Fault | Promise<Fault>, hideLabel = false) {
  render(
    <MantineProvider>
      <CommitField
        label="Strides"
        text="4"
        hideLabel={hideLabel}
        read={typed => (/^\d+$/.test(typed) ? { ok: true, value: Number(typed) } : { ok: false, reason: 'A number.' })}
        onCommit={onCommit}
      />
    </MantineProvider>,
  );
  const input = screen.getByLabelText<HTMLInputElement>('Strides');
  const type = (text: string) => {
    fireEvent.change(input, { target: { value: text } });
    fireEvent.keyDown(input, { key: 'Enter' });
  };
  return { input, type };
}

test('what is typed counts once it is left, and not before', () => {
  const kept: number[] = [];
  const { input } = field(value => {
    kept.push(value);
    return null;
  });
  fireEvent.change(input, { target: { value: '5' } });
  expect(kept).toEqual([]);
  fireEvent.blur(input);
  expect(kept).toEqual([5]);
  // Left untouched nothing is kept again.
  fireEvent.blur(input);
  expect(kept).toEqual([5]);
});

test('what cannot be read or cannot be stays in the field with its reason; Escape brings the old value back', () => {
  const { input, type } = field(() => 'No room for it.');
  type('many');
  expect(screen.getByText('A number.')).toBeDefined();
  type('9');
  expect(screen.getByText('No room for it.')).toBeDefined();
  expect(input.value).toBe('9');
  fireEvent.keyDown(input, { key: 'Escape' });
  expect(input.value).toBe('4');
  expect(screen.queryByText('No room for it.')).toBeNull();
});

test('a reason that comes later is shown when it comes', async () => {
  let answer: (fault: Fault) => void = () => undefined;
  const { input, type } = field(() => new Promise<Fault>(done => (answer = done)), true);
  type('9');
  expect(input.value).toBe('9');
  await act(async () => answer('It follows from the others.'));
  expect(screen.getByText('It follows from the others.')).toBeDefined();
  type('8');
  await act(async () => answer(null));
  expect(screen.queryByText('It follows from the others.')).toBeNull();
});
