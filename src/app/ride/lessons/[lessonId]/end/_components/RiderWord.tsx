'use client';

import { draftLeft, dropDraft, keepDraft } from '@/components/sync/drafts';
import { useSaveId } from '@/components/sync/useSaveId';
import { Button, Textarea } from '@mantine/core';
import { useEffect, useRef, useState, useTransition } from 'react';
import { keepWordAction } from '../../../endActions';
import classes from '../End.module.css';

type RiderWordProps = {
  lessonId: string;
  pairId: string;
  rider: string;
  first: { words: string; revision: number };
};

/** After so long without a letter what is typed is kept. */
const PAUSE_MS = 900;

/** A word of the instructor's to a rider: kept by itself, and on this device until the server has it. */
export function RiderWord({ lessonId, pairId, rider, first }: RiderWordProps) {
  const [words, setWords] = useState(first.words);
  const [kept, setKept] = useState(first);
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const nameSave = useSaveId();
  const draft = `word ${lessonId} ${pairId}`;
  const latest = useRef(words);
  useEffect(() => {
    void draftLeft(draft).then(left => {
      if (typeof left?.value !== 'string' || left.value === first.words) return;
      latest.current = left.value;
      setWords(left.value);
      setSaid('Brought back what was typed here and not kept.');
    });
    // Once: what is typed afterwards is here already.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);
  const keep = (typed: string) =>
    begin(async () => {
      const sent = { lessonId, pairId, words: typed, revision: kept.revision };
      const answer = await keepWordAction(sent, nameSave(sent)).catch(() => null);
      if (answer?.ok) {
        setKept({ words: typed, revision: answer.revision });
        if (latest.current.trim() === typed.trim()) dropDraft(draft);
        return setSaid('Kept.');
      }
      setSaid(
        answer === null ? 'The server does not answer: it is kept on this device.' : (answer.problem ?? 'Not kept.'),
      );
      if (answer?.now) setKept(answer.now);
    });
  const isOpen = words !== kept.words;
  useEffect(() => {
    if (!isOpen) return;
    const timer = setTimeout(() => keep(words), PAUSE_MS);
    return () => clearTimeout(timer);
    // Only a letter begins the wait anew: what could not be kept waits for a press of the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [words]);
  return (
    <div>
      <Textarea
        label={`A word to ${rider}`}
        autosize
        minRows={2}
        maxLength={1000}
        value={words}
        onChange={event => {
          const typed = event.currentTarget.value;
          latest.current = typed;
          setWords(typed);
          setSaid(null);
          keepDraft(draft, typed);
        }}
      />
      <div role="status" className={classes.said}>
        {said ?? (isOpen ? '…' : '')}{' '}
        {isOpen && said !== null && (
          <Button size="compact-sm" variant="default" loading={busy} onClick={() => keep(words)}>
            Keep it
          </Button>
        )}
      </div>
    </div>
  );
}
