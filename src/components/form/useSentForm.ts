import type { FormOutcome } from '@/files/formOutcome';
import { useForm } from '@mantine/form';
import { useState } from 'react';

type SentForm<Values extends Record<string, unknown>, Extra extends object> = {
  initialValues: Values;
  /** Sends what was typed. */
  send: (values: Values) => Promise<FormOutcome<Extra>>;
  /** After it was taken; the form stays as sending until the page goes on. */
  onSent: (done: { ok: true } & Extra) => void;
  /** What is typed anew after it was refused: a passphrase. */
  clears?: keyof Values & string;
};

const NO_ANSWER = 'The server did not answer: try again.';

/** A form that is sent: what is typed, whether it is on its way, and what was wrong with it. What was typed stays until it was taken. */
export function useSentForm<Values extends Record<string, unknown>, Extra extends object = object>(
  props: SentForm<Values, Extra>,
) {
  const { initialValues, send, onSent, clears } = props;
  const form = useForm<Values>({ initialValues });
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const onSubmit = form.onSubmit(async values => {
    setSending(true);
    setProblem(null);
    const outcome = await send(values).catch(() => null);
    if (outcome?.ok) return onSent(outcome);
    setSending(false);
    if (clears !== undefined) form.resetField(clears);
    if (outcome === null) return setProblem(NO_ANSWER);
    form.setErrors(outcome.fields);
    // What is said at its field is not said again.
    const isAtField = Object.entries(outcome.fields).some(([key, words]) => key in values && words === outcome.problem);
    setProblem(isAtField ? null : outcome.problem);
  });
  /** Once it was taken and the page stays. */
  const sent = () => setSending(false);
  return { form, onSubmit, problem, sending, sent };
}
