'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { FAILURE_POLICIES, SEATS, STOP_RULES, stopRule } from '@/core';
import { whoSays } from '@/components/who/whoSays';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { changeStageAction } from '../../../actions';
import type { RunStage } from '../runStage';
import { Keys } from '@/app/ride/_components/Keys';
import classes from './RunLesson.module.css';

type StageTodayProps = { lessonId: string; stage: RunStage };

/** What of a stage is changed on the day: what to think of, the seat, what happens after a failure, when it is enough. */
export function StageToday({ lessonId, stage }: StageTodayProps) {
  const say = useSay();
  const router = useRouter();
  const { act, busy, problem } = useAct('The server does not answer: the stage is as it was.');
  const [focus, setFocus] = useState(() => say(stage.focus));
  const change = (changes: Partial<Pick<RunStage, 'focus' | 'seat' | 'policy' | 'stop'>>) =>
    act(
      () => changeStageAction(lessonId, stage.id, changes, whoSays()),
      () => router.refresh(),
    );
  return (
    <section className={classes.part} aria-label="This stage today">
      <h2>This stage today</h2>
      <h2>After a failure</h2>
      <Keys
        label="After a failure"
        value={stage.policy}
        disabled={busy}
        options={FAILURE_POLICIES.map(value => ({ value, label: value }))}
        onChoose={policy => change({ policy })}
      />
      <h2>When it is enough</h2>
      <Keys
        label="When it is enough"
        value={stage.stop.when}
        disabled={busy}
        options={STOP_RULES.map(value => ({ value, label: value }))}
        onChoose={when => change({ stop: stopRule(when, stage.minutes) })}
      />
      <h2>Seat</h2>
      <Keys
        label="Seat"
        value={stage.seat}
        disabled={busy}
        options={SEATS.map(value => ({ value, label: value }))}
        onChoose={seat => change({ seat })}
      />
      <h2>One thing to think of</h2>
      <form
        className={classes.note}
        onSubmit={event => {
          event.preventDefault();
          change({ focus: focus.trim() });
        }}
      >
        <input
          aria-label="One thing to think of"
          maxLength={160}
          value={focus}
          onChange={event => setFocus(event.currentTarget.value)}
        />
        <button type="submit" className={classes.key} disabled={busy || focus.trim() === stage.focus}>
          Change it
        </button>
      </form>
      {problem && <p role="alert">{problem}</p>}
    </section>
  );
}
