'use client';

import { Table } from '@/components/Table/Table';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { Alert, Button, Text, Title } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { trySpacingAction } from '../actions';
import type { RowReview } from '../reviewFigures';
import { suggestionWords } from '../suggestionWords';
import { apart } from '@/components/apart';
import classes from './RowReviewCard.module.css';

const FootfallLanes = apart(() => import('./FootfallLanes').then(m => ({ default: m.FootfallLanes })));

/** Lanes are drawn for the passes of late. */
const SHOWN_PASSES = 12;

type RowReviewCardProps = { pairId: string; horseName: string; review: RowReview };

/** One row at one spacing as this pair rode it: what to try next, the picture, and the numbers under it. */
export function RowReviewCard({ pairId, horseName, review }: RowReviewCardProps) {
  const { format, formatChange, say } = useLengths();
  const { gait, spacingM, ridden, passes, suggestion, keptHitting } = review;
  const words =
    gait === null || spacingM === null
      ? null
      : suggestionWords(suggestion, {
          ...{ horseName, gait, spacingM, format },
          formatBy: changeM => formatChange(changeM).slice(1),
          day: review.lastDay,
        });
  const changes = suggestion.kind === 'close' || suggestion.kind === 'open';
  return (
    <section
      aria-label={spacingM === null ? review.layoutName : `${review.layoutName} at ${format(spacingM)}`}
      className={classes.card}
    >
      <Title order={2} size="h4">
        {review.layoutName}: {say(review.questionWords)}
      </Title>
      <Text size="sm" c="dimmed">
        {spacingM === null
          ? review.poles === 0
            ? 'On the flat'
            : `Over ${review.poles}`
          : say(`${review.poles} ${gait} poles, ${format(spacingM)} apart`)}
        {review.setFor && `, set for ${review.setFor}`} · {ridden} {ridden === 1 ? 'pass' : 'passes'}
      </Text>
      <div className={classes.suggestion}>
        <div>
          {words && (
            <>
              <strong>{say(words.headline)}</strong>
              <p>{say(words.reason)}</p>
            </>
          )}
          {keptHitting.map(({ pole, times }) => (
            <p key={pole}>
              {spacingM === null ? 'Number' : 'Pole'} {pole} was hit in {times} passes on {review.lastDay}. A pole that
              a horse keeps hitting comes down or out; ask whether it comes too fast, too slow, or is not picking its
              feet up.
            </p>
          ))}
        </div>
        {changes && (
          <TryIt pairId={pairId} review={review} label={`Set the row to ${format(suggestion.nextSpacingM)}`} />
        )}
      </div>
      {spacingM !== null && (
        <>
          <FootfallLanes
            passes={passes.slice(-SHOWN_PASSES)}
            label={`Where ${horseName}’s foot fell, pass by pass: the table below has the numbers`}
          />
          <Text size="sm" c="dimmed">
            A point to the left: left rein; to the right: right rein; both at the mean of the pass. Rings: one gap each.
          </Text>
        </>
      )}
      {passes.length > SHOWN_PASSES ? (
        <details>
          <summary>
            {ridden > passes.length ? `The latest ${passes.length} of ${ridden}` : `All ${ridden}`} passes in numbers
          </summary>
          <PassTable review={review} />
        </details>
      ) : (
        <PassTable review={review} />
      )}
    </section>
  );
}

function TryIt({ pairId, review, label }: { pairId: string; review: RowReview; label: string }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const send = async () => {
    setSending(true);
    setProblem(null);
    try {
      const outcome = await trySpacingAction(pairId, review.versionId, review.key);
      if (outcome.ok) return router.push(outcome.href);
      setProblem(outcome.problem);
    } catch {
      setProblem('The server does not answer, so nothing was changed. Try again.');
    }
    setSending(false);
  };
  return (
    <div>
      <Button onClick={send} loading={sending}>
        {label}
      </Button>
      {problem && (
        <Alert color="chestnut" role="alert" mt="xs">
          {problem}
        </Alert>
      )}
    </div>
  );
}

function PassTable({ review }: { review: RowReview }) {
  return (
    <Table leastPx={520} isClose>
      <thead>
        <tr>
          <th>Pass</th>
          <th>When</th>
          <th>Rein</th>
          <th>Mean footfall</th>
          <th>Gap by gap</th>
          <th>Hit</th>
          <th>Note</th>
        </tr>
      </thead>
      <tbody>
        {review.passes.map(pass => (
          <tr key={pass.id}>
            <td>{pass.number}</td>
            <td>{pass.when}</td>
            <td>
              {pass.rein ?? 'changes'}
              {pass.otherWay && ', other way'}
            </td>
            <td>{pass.meanFraction === null ? '' : pass.meanFraction.toFixed(2)}</td>
            <td>
              {pass.footfalls
                .filter(({ gap }) => gap !== null)
                .map(({ fraction }) => fraction.toFixed(2))
                .join('  ')}
            </td>
            <td>{pass.hit.join(', ')}</td>
            <td>{pass.notes.join(' · ')}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
