'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { useSaveId } from '@/components/sync/useSaveId';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { firstLayoutAction } from '../actions';
import { FIRST_HORSES, FIRST_LAYOUTS, FIRST_SANDS } from '../firstChoices';
import classes from './Today.module.css';

const NO_ANSWER = 'The server does not answer: nothing was made. Try again.';

/** An empty yard's three questions: the last answer lays poles out, ready to be set. */
export function FirstSteps() {
  const router = useRouter();
  const [horses, setHorses] = useState<readonly string[]>([]);
  const [sand, setSand] = useState<string | null>(null);
  const { act, busy, problem } = useAct(NO_ANSWER);
  const nameSave = useSaveId();
  const make = (layout: string) => {
    const sent = { horses, sand, layout };
    act(
      () => firstLayoutAction(sent, nameSave(sent)),
      ({ layoutId }) => router.push(`/set/${layoutId}`),
    );
  };
  return (
    <div className={classes.first}>
      <Question
        number={1}
        words="Which horses?"
        options={FIRST_HORSES}
        chosen={horses}
        onChoose={key => setHorses(horses.includes(key) ? horses.filter(one => one !== key) : [...horses, key])}
      />
      <Question
        number={2}
        words="Which sand?"
        options={FIRST_SANDS}
        chosen={sand === null ? [] : [sand]}
        onChoose={setSand}
      />
      <Question
        number={3}
        words="What first?"
        options={FIRST_LAYOUTS}
        chosen={[]}
        onChoose={make}
        disabled={busy || horses.length === 0 || sand === null}
      />
      {busy && <p role="status">It is laid out for these horses …</p>}
      {problem && !busy && <p role="alert">{problem}</p>}
      <p>Names, sizes and strides are put right in the yard whenever you like.</p>
    </div>
  );
}

type QuestionProps = {
  number: number;
  words: string;
  options: readonly { key: string; label: string }[];
  chosen: readonly string[];
  onChoose: (key: string) => void;
  disabled?: boolean;
};

function Question({ number, words, options, chosen, onChoose, disabled = false }: QuestionProps) {
  const say = useSay();
  return (
    <section className={classes.question} aria-label={words}>
      <h2>
        <span aria-hidden="true">{number}</span> {words}
      </h2>
      <div role="group" aria-label={words} className={classes.keys}>
        {options.map(({ key, label }) => (
          <button
            key={key}
            type="button"
            className={classes.key}
            aria-pressed={chosen.includes(key)}
            disabled={disabled}
            onClick={() => onChoose(key)}
          >
            {say(label)}
          </button>
        ))}
      </div>
    </section>
  );
}
