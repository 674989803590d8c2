'use client';

import { useAct } from '@/components/form/useAct';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { GoalProgress } from '@/core';
import { NO_GOAL, type GoalTyped } from '@/files/goalTyped';
import { Button } from '@mantine/core';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { changeGoalAction } from './actions';
import { GoalBar } from './GoalBar';
import type { ExerciseChoice } from './GoalFormModal';
import classes from './Goals.module.css';
import { PlanWeeks } from './PlanWeeks';

const GoalFormModal = dynamic(() => import('./GoalFormModal').then(({ GoalFormModal: Form }) => Form), { ssr: false });

/** A goal as a page shows it. */
export type ShownGoal = {
  id: string;
  words: string;
  /** "by 24 December", where there is a day. */
  by: string | null;
  /** "3 December", where it is reached. */
  reachedOn: string | null;
  progress: GoalProgress;
  typed: GoalTyped;
};

type GoalsProps = {
  pairId: string;
  goals: readonly ShownGoal[];
  exercises: readonly ExerciseChoice[];
  /** The sands that the weeks to a goal may be ridden on, and when they could begin. */
  arenas: readonly { id: string; name: string }[];
  startsAt: string;
  /** Whether who looks may set them. */
  maySet: boolean;
};

const STATES: Record<GoalProgress['state'], string> = {
  unmeasured: 'yours to say',
  'too little': 'too little yet',
  'on the way': 'on the way',
  'looks reached': 'looks reached',
  reached: 'as good as reached',
};

type Open = { goalId: string | null; first: GoalTyped };

/** What a pair works towards, and how far it is. */
export function Goals({ pairId, goals, exercises, arenas, startsAt, maySet }: GoalsProps) {
  const say = useSay();
  const [unrolled, setUnrolled] = useState<ShownGoal | null>(null);
  const [form, setForm] = useState<Open | null>(null);
  const [removed, setRemoved] = useState<{ id: string; words: string } | null>(null);
  const { act, busy, problem } = useAct('The server does not answer: the goal is as it was.');
  const change = (goal: ShownGoal | { id: string; words: string }, to: string) =>
    act(
      () => changeGoalAction({ goalId: goal.id, to }),
      () => setRemoved(to === 'taken away' ? { id: goal.id, words: goal.words } : null),
    );
  if (!maySet && goals.length === 0) return null;
  return (
    <section aria-label="Goals" className={classes.goals}>
      <h2>Goals</h2>
      {goals.length === 0 && <p>None yet. What is a goal goes first in what is suggested.</p>}
      <ul>
        {goals.map(goal => (
          <li key={goal.id} data-reached={goal.reachedOn !== null || undefined}>
            <div className={classes.words}>
              <strong>{goal.words}</strong>
              {goal.by && <span className={classes.quiet}>{goal.by}</span>}
              <span>{goal.reachedOn ? `reached on ${goal.reachedOn}` : STATES[goal.progress.state]}</span>
            </div>
            <GoalBar progress={goal.progress} />
            <p className={classes.quiet}>{say(goal.progress.words)}</p>
            {maySet && (
              <div className={classes.keys}>
                <Button
                  size="compact-md"
                  mih={44}
                  disabled={busy}
                  variant={goal.progress.state === 'reached' && !goal.reachedOn ? 'filled' : 'default'}
                  onClick={() => change(goal, goal.reachedOn ? 'open' : 'reached')}
                >
                  {goal.reachedOn ? 'Open it again' : 'It is reached'}
                </Button>
                {goal.typed.measure === 'stage' && !goal.reachedOn && arenas.length > 0 && (
                  <Button size="compact-md" mih={44} variant="default" onClick={() => setUnrolled(goal)}>
                    Plan the weeks to it
                  </Button>
                )}
                <Button
                  size="compact-md"
                  mih={44}
                  variant="default"
                  onClick={() => setForm({ goalId: goal.id, first: goal.typed })}
                >
                  Change
                </Button>
                <Button
                  size="compact-md"
                  mih={44}
                  variant="default"
                  disabled={busy}
                  onClick={() => change(goal, 'taken away')}
                >
                  Take it away
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {problem && <p role="alert">{problem}</p>}
      {removed && (
        <p role="status">
          “{removed.words}” is taken away.{' '}
          <Button size="compact-sm" variant="default" disabled={busy} onClick={() => change(removed, 'there')}>
            Restore
          </Button>
        </p>
      )}
      {maySet && (
        <div className={classes.keys}>
          <Button mih={44} variant="default" onClick={() => setForm({ goalId: null, first: NO_GOAL })}>
            Set a goal
          </Button>
          <LinkButton href={`/ride/next?pair=${pairId}`}>What next for this pair</LinkButton>
        </div>
      )}
      {unrolled && (
        <PlanWeeks
          goalId={unrolled.id}
          words={unrolled.words}
          {...{ arenas, startsAt }}
          onClose={() => setUnrolled(null)}
        />
      )}
      {form && (
        <GoalFormModal
          key={form.goalId ?? 'new'}
          opened
          {...{ pairId, exercises, ...form }}
          onClose={() => setForm(null)}
        />
      )}
    </section>
  );
}
