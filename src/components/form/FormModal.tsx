'use client';

import { useSaveId } from '@/components/sync/useSaveId';
import type { FormSent } from '@/files/formOutcome';
import type { FormOutcome } from '@/files/formOutcome';
import { Modal } from '@/components/Modal/Modal';
import { Alert, Button, Group, Stack } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { useState, type ReactNode } from 'react';
import { Problem } from './Problem';

type FormModalProps<Values extends Record<string, unknown>> = {
  title: string;
  opened: boolean;
  onClose: () => void;
  form: UseFormReturnType<Values>;
  /**
   * Sends what was typed; called only with values the page itself found good. `seen`: what the change touches was looked at.
   */
  onSend: (values: Values, seen: boolean, sent: FormSent) => Promise<FormOutcome>;
  /** What is changed, as it was when the form was opened; none where something is added. */
  changes?: unknown;
  sendLabel: string;
  children: ReactNode;
};

/** A form over the page. Faults are shown at their fields, and what was typed stays until it is saved or dropped. */
export function FormModal<Values extends Record<string, unknown>>(props: FormModalProps<Values>) {
  const { title, opened, onClose, form, onSend, changes, sendLabel, children } = props;
  const [before] = useState(() => (changes === undefined ? null : JSON.stringify(changes)));
  const nameSave = useSaveId();
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  /** What it would touch, and the values of which that was said: other values are asked about again. */
  const [touched, setTouched] = useState<{ words: readonly string[]; values: string } | null>(null);

  const send = async (values: Values) => {
    setSending(true);
    setProblem(null);
    try {
      const text = JSON.stringify(values);
      const outcome = await onSend(values, touched?.values === text, { opened: before, saveId: nameSave(values) });
      if (outcome.ok) return onClose();
      setTouched(outcome.touches ? { words: outcome.touches, values: text } : null);
      form.setErrors(outcome.fields);
      setProblem(outcome.problem);
    } catch {
      setProblem('The server did not answer, so nothing was saved. What you typed is still here: try again.');
    } finally {
      setSending(false);
    }
  };

  return (
    <Modal opened={opened} onClose={onClose} title={title}>
      {/* The transformed values stay in the page: the server parses what was typed by itself. */}
      <form noValidate onSubmit={form.onSubmit(() => send(form.getValues()))}>
        <Stack gap="sm">
          {children}
          <Problem>{problem}</Problem>
          {touched && (
            <Alert color="slate" role="status" title="This touches more">
              <ul>
                {touched.words.map(sentence => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </ul>
            </Alert>
          )}
          <Group justify="flex-end">
            <Button variant="default" onClick={onClose}>
              Cancel
            </Button>
            <Button type="submit" loading={sending}>
              {touched ? 'Save it all the same' : sendLabel}
            </Button>
          </Group>
        </Stack>
      </form>
    </Modal>
  );
}
