'use client';

import { Card } from '@/components/Card/Card';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { Horse } from '@/data/queries/horses';
import type { StrideTest, TestMoment } from '@/data/queries/strideTests';
import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useTransition } from 'react';
import { ENTRY_LABELS } from '../../../entryLabels';
import { comparableTest, testSentences } from '../../../testWords';
import { withdrawTestAction } from '../test/actions';
import classes from '../page.module.css';

type TestListProps = { horse: Horse; tests: (StrideTest & { day: string })[] };

const MOMENT_WORDS: Record<TestMoment, string> = {
  before: ', before schooling',
  after: ', after schooling',
  apart: '',
};

/** The stride tests in words, the newest first, each with what it gave the profile. */
export function TestList({ horse, tests }: TestListProps) {
  return (
    <Card label="Stride tests" title="Stride tests">
      {tests.length === 0 && (
        <EmptyState
          title="No stride test yet"
          action={<LinkButton href={`/yard/horses/${horse.id}/test`}>Test the stride</LinkButton>}
        >
          Sixty feet, two cones at each end, and a count: after that every spacing is this horse’s own.
        </EmptyState>
      )}
      <ul className={classes.list}>
        {[...tests].reverse().map(test => (
          <TestItem
            key={test.id}
            horse={horse}
            test={test}
            before={comparableTest(tests.slice(0, tests.indexOf(test)), test)}
          />
        ))}
      </ul>
    </Card>
  );
}

type Dated = StrideTest & { day: string };

/** A test of the same day is told by when in it that was. */
const saidBefore = (before: Dated, test: Dated): Dated =>
  before.day === test.day && before.moment !== 'apart'
    ? { ...before, day: `${before.moment} schooling that day` }
    : before;

const worded = (test: Dated) => ({ ...test, quality: test });

function TestItem({ horse, test, before }: { horse: Horse; test: Dated; before: Dated | null }) {
  const { format, formatChange, say } = useLengths();
  const [pending, startTransition] = useTransition();
  const undo = () =>
    startTransition(async () => {
      const outcome = await withdrawTestAction(test.id).catch(() => null);
      notifications.show({
        message: outcome?.ok
          ? 'The profile is as it was before this test. The test stays.'
          : (outcome?.problem ?? 'The server did not answer; nothing was changed.'),
      });
    });
  const quality = (['rhythm', 'roundness', 'balance'] as const).flatMap(key =>
    test[key] === null ? [] : [`${key} ${test[key]}`],
  );
  return (
    <li>
      <strong>
        {say(ENTRY_LABELS[test.entry])}, {test.day}
        {MOMENT_WORDS[test.moment]}
      </strong>
      {test.riderName && <span className={classes.quiet}> ridden by {test.riderName}</span>}
      {testSentences(worded(test), before && worded(saidBefore(before, test)), horse, format, formatChange).map(
        sentence => (
          <p key={sentence}>{sentence}</p>
        ),
      )}
      {quality.length > 0 && <p className={classes.quiet}>Of 5: {quality.join(', ')}.</p>}
      {test.note !== '' && <p className={classes.quiet}>“{test.note}”</p>}
      {test.rangeId && (
        <Button size="compact-sm" variant="light" loading={pending} onClick={undo}>
          Take it out of the profile
        </Button>
      )}
    </li>
  );
}
