'use client';

import { Card } from '@/components/Card/Card';
import { draftLeft, dropDraft, keepDraft } from '@/components/sync/drafts';
import { Button, Textarea } from '@mantine/core';
import { useEffect, useState, useTransition } from 'react';
import { answerFilmAction } from '../actions';

type FilmAnswerProps = {
  videoId: string;
  rider: string;
  /** What the rider asks; null where nothing is asked. */
  asks: string | null;
  /** What was answered; null where nothing is yet. */
  first: { answer: string | null; givenOn: string | null };
};

/** The answer to whoever rode: on this device while it is typed, and theirs to read once it is given. */
export function FilmAnswer({ videoId, rider, asks, first }: FilmAnswerProps) {
  const [typed, setTyped] = useState(first.answer ?? '');
  const [given, setGiven] = useState(first.answer);
  const [said, setSaid] = useState<string | null>(first.givenOn === null ? null : `Given on ${first.givenOn}.`);
  const [busy, begin] = useTransition();
  const draft = `answer ${videoId}`;
  useEffect(() => {
    void draftLeft(draft).then(left => {
      if (typeof left?.value === 'string' && left.value !== first.answer) setTyped(left.value);
    });
    // Once: what is typed afterwards is here already.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);
  const give = () =>
    begin(async () => {
      const answer = await answerFilmAction(videoId, typed, given).catch(() => null);
      if (answer?.ok) {
        dropDraft(draft);
        setGiven(typed.trim());
        return setSaid(`Given: ${rider} reads it now.`);
      }
      if (answer?.now !== undefined && answer.now !== given) {
        setGiven(answer.now);
        return setSaid(`Somebody else answered meanwhile: “${answer.now}”. Given anew, yours stands in its place.`);
      }
      setSaid(answer === null ? 'The server does not answer: it is kept on this device.' : answer.problem);
    });
  return (
    <Card label="The answer" title={`The answer to ${rider}`}>
      {asks !== null && (
        <p>
          {rider} asks: “{asks}”
        </p>
      )}
      <Textarea
        label="What you say of it"
        description="With it goes what is marked and the pictures that you keep."
        autosize
        minRows={3}
        maxLength={2000}
        value={typed}
        onChange={event => {
          setTyped(event.currentTarget.value);
          setSaid(null);
          keepDraft(draft, event.currentTarget.value);
        }}
      />
      <Button mt="sm" mih={44} loading={busy} disabled={typed.trim() === '' || typed.trim() === given} onClick={give}>
        {given === null ? 'Give the answer' : 'Give it anew'}
      </Button>
      <p role="status">{said}</p>
    </Card>
  );
}
