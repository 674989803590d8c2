'use client';

import { useThread } from '@/components/Shell/thread';
import { Alert, Button, Title } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { beginRideAction } from '../actions';
import classes from './RideChoice.module.css';

type Choice = { id: string; name: string; line: string };

type RideChoiceProps = { layouts: Choice[]; pairs: Choice[] };

/** Which pair, over which layout: two taps, then ride. What one was working on is chosen already. */
export function RideChoice({ layouts, pairs }: RideChoiceProps) {
  const router = useRouter();
  const { thread } = useThread();
  const known = (choices: Choice[], id: string | undefined) => choices.find(choice => choice.id === id)?.id ?? null;
  const [layoutId, setLayoutId] = useState(known(layouts, thread.layout?.id) ?? layouts[0]?.id ?? null);
  const [pairId, setPairId] = useState(known(pairs, thread.pair?.id));
  const [problem, setProblem] = useState<string | null>(null);
  const [starting, setStarting] = useState(false);

  const begin = async () => {
    setStarting(true);
    setProblem(null);
    try {
      const outcome = await beginRideAction({ layoutId: layoutId ?? '', pairId: pairId ?? '' });
      if (outcome.ok) return router.push(outcome.href);
      setProblem(outcome.problem);
    } catch {
      setProblem('The server does not answer. Try again.');
    }
    setStarting(false);
  };

  return (
    <div className={classes.choice}>
      <Choices title="Who rides?" choices={pairs} chosenId={pairId} onChoose={setPairId} />
      <Choices title="Over which layout?" choices={layouts} chosenId={layoutId} onChoose={setLayoutId} />
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
        </Alert>
      )}
      <Button size="xl" onClick={begin} loading={starting}>
        Ride
      </Button>
    </div>
  );
}

type ChoicesProps = { title: string; choices: Choice[]; chosenId: string | null; onChoose: (id: string) => void };

function Choices({ title, choices, chosenId, onChoose }: ChoicesProps) {
  return (
    <div role="radiogroup" aria-label={title}>
      <Title order={2} size="h4" mb="xs">
        {title}
      </Title>
      <div className={classes.options}>
        {choices.map(({ id, name, line }) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={id === chosenId}
            className={classes.option}
            onClick={() => onChoose(id)}
          >
            <strong>{name}</strong>
            <span>{line}</span>
          </button>
        ))}
      </div>
    </div>
  );
}
