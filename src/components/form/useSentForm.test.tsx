/** @jest-environment jsdom */
import type { FormOutcome } from '@/files/formOutcome';
import { act, renderHook } from '@testing-library/react';
import { useSentForm } from './useSentForm';

const refusal = (problem: string | null, fields: Record<string, string> = {}): FormOutcome => ({
  ...{ ok: false, fields, problem },
});

function formThat(send: () => Promise<FormOutcome>, clears?: 'passphrase') {
  const onSent = jest.fn();
  const initialValues = { name: '', passphrase: '' };
  const { result } = renderHook(() => useSentForm({ initialValues, send: jest.fn(send), onSent, clears }));
  act(() => result.current.form.setValues({ name: 'Maud', passphrase: 'seven teasels' }));
  const submit = () => act(async () => result.current.onSubmit());
  return { result, onSent, submit };
}

test('what was taken goes on, and stays as sending until the page does', async () => {
  const { result, onSent, submit } = formThat(async () => ({ ok: true }));
  await submit();
  expect(onSent).toHaveBeenCalledTimes(1);
  expect(result.current).toMatchObject({ sending: true, problem: null });
  act(() => result.current.sent());
  expect(result.current.sending).toBe(false);
});

test('what was refused is said, and what was typed stays, but for what is typed anew', async () => {
  const { result, onSent, submit } = formThat(async () => refusal('These do not go together.'), 'passphrase');
  await submit();
  expect(onSent).not.toHaveBeenCalled();
  expect(result.current).toMatchObject({ sending: false, problem: 'These do not go together.' });
  expect(result.current.form.getValues()).toEqual({ name: 'Maud', passphrase: '' });
});

test('a fault of a field is shown at it', async () => {
  const { result, submit } = formThat(async () => refusal(null, { name: 'Type a name.' }));
  await submit();
  expect(result.current.form.errors).toEqual({ name: 'Type a name.' });
  expect(result.current.problem).toBeNull();
});

test('a sentence is said once: at its field where it has one, else above the key', async () => {
  const short = 'A passphrase has at least 10 letters.';
  const atField = formThat(async () => refusal(short, { passphrase: short }));
  await atField.submit();
  expect(atField.result.current.form.errors).toEqual({ passphrase: short });
  expect(atField.result.current.problem).toBeNull();
  const elsewhere = formThat(async () => refusal(short, { code: short }));
  await elsewhere.submit();
  expect(elsewhere.result.current.problem).toBe(short);
});

test('without an answer everything that was typed is still there, and it can be sent again', async () => {
  let answers = 0;
  const { result, onSent, submit } = formThat(async () => {
    if ((answers += 1) === 1) throw new Error('offline');
    return { ok: true };
  });
  await submit();
  expect(result.current.problem).toBe('The server did not answer: try again.');
  expect(result.current.form.getValues()).toEqual({ name: 'Maud', passphrase: 'seven teasels' });
  await submit();
  expect(onSent).toHaveBeenCalledTimes(1);
  expect(result.current.problem).toBeNull();
});
