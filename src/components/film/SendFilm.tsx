'use client';

import { SendProgress } from '@/components/upload/SendProgress';
import { useUpload } from '@/components/upload/useUpload';
import { Button, FileButton, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import classes from './SendFilm.module.css';

type SendFilmProps = {
  /** Who rides in it: chosen where there are several. */
  pairs: readonly { id: string; name: string }[];
  /** Today on the yard’s calendar. */
  today: string;
  /** Whether whoever sends it asks something about it. */
  asks: boolean;
  onSent: (filmId: string) => void;
};

/** Sends a film of a pair and a day, ridden without a lesson. */
export function SendFilm({ pairs, today, asks, onSent }: SendFilmProps) {
  const { step, send, stop } = useUpload();
  const [pairId, setPairId] = useState(pairs[0]?.id ?? '');
  const [day, setDay] = useState(today);
  const [words, setWords] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | null) => {
    if (!file) return;
    setProblem(null);
    const about = { pair: pairId, day, name: file.name, ...(words.trim() !== '' && { asks: words.trim() }) };
    const answer = await send(`/api/videos?${new URLSearchParams(about)}`, file);
    if (answer.kind === 'refused') return setProblem(answer.problem);
    if (answer.kind === 'stopped') return;
    setWords('');
    onSent(String(answer.body.id));
  };
  return (
    <div className={classes.send}>
      {pairs.length > 1 && (
        <Select
          label="Who rides"
          allowDeselect={false}
          data={pairs.map(({ id, name }) => ({ value: id, label: name }))}
          value={pairId}
          onChange={chosen => chosen && setPairId(chosen)}
        />
      )}
      <TextInput
        type="date"
        label="Ridden on"
        max={today}
        value={day}
        onChange={event => setDay(event.currentTarget.value)}
      />
      {asks && (
        <Textarea
          label="What you would like to know"
          autosize
          minRows={2}
          maxLength={500}
          value={words}
          onChange={event => setWords(event.currentTarget.value)}
        />
      )}
      <FileButton accept="video/*" onChange={file => void take(file)}>
        {props => (
          <Button mih={44} loading={step !== null} disabled={day === ''} {...props}>
            Choose the film and send it
          </Button>
        )}
      </FileButton>
      {step && <SendProgress step={step} onStop={stop} />}
      {problem && <p role="alert">{problem}</p>}
    </div>
  );
}
