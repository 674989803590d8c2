import { ChartCard } from '@/components/Chart/ChartCard';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { askedToShow, layoutReview, type AskedToShow } from '@/core';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import { versionsRidden } from '@/data/queries/passes';
import { reviewPasses } from '@/data/queries/reviewPasses';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { yardClock } from '../../../_server/yardTime';
import { LegBoardPicture } from '../../_charts/LegBoardPicture';
import { SettingShares } from '../../_charts/SettingShares';
import { goesBy } from '../../pairStrides';
import { reviewWords } from '../../reviewWords';

import { legBoards, type LegBoard } from './legBoards';
import classes from '../../_components/PairCharts.module.css';

export const metadata: Metadata = { title: 'A layout compared' };

export default async function LayoutReviewPage({ params }: { params: Promise<{ layoutId: string }> }) {
  const { layoutId } = await params;
  const { db, yard, unit } = await yardContext(may.instruct);
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) notFound();
  const clock = yardClock(yard.timeZone);
  const [passes, pairs, horses] = await Promise.all([
    reviewPasses(db, yard.id, { layoutId }, clock),
    listPairs(db, yard.id),
    listHorses(db, yard.id),
  ]);
  const riding = [...new Set(passes.map(({ pairId }) => pairId))];
  const all = await reviewPasses(db, yard.id, { pairIds: riding }, clock);
  const { settings, beforeAfter } = layoutReview(passes);
  const words = reviewWords('', unit);
  const nameOf = (id: string) => pairs.find(pair => pair.id === id)?.horseName ?? '';
  const metres = (lengthM: number) => Number(lengthM.toFixed(3));
  const boards = legBoards(passes, pairs, pairId => {
    const horse = horses.find(({ id }) => id === pairs.find(pair => pair.id === pairId)?.horseId);
    return horse
      ? goesBy(
          horse,
          all.filter(pass => pass.pairId === pairId),
        )
      : () => null;
  });
  const versions = await versionsRidden(
    db,
    yard.id,
    boards.map(({ pass }) => pass.layoutVersionId),
  );
  const showOf = ({ pass }: LegBoard) => {
    const ridden = versions.get(pass.layoutVersionId)?.layout;
    return ridden ? askedToShow(ridden, pass.question, null) : null;
  };
  const next = boards.flatMap(({ legs, rows }) =>
    rows.flatMap(({ pairId, cells }) =>
      cells.flatMap((cell, index) => (cell ? [{ pairId, ...legs[index]!, ...cell }] : [])),
    ),
  );
  return (
    <>
      <PageHead
        title={layout.name}
        sub={`${passes.length} passes; who rode it, how it was set, and what to set next`}
        actions={
          <>
            <LinkButton href={`/plan/${layoutId}`} variant="default">
              To the plan
            </LinkButton>
            <LinkButton href="/review" variant="default">
              All of the review
            </LinkButton>
          </>
        }
      />
      {settings.length === 0 && (
        <EmptyState title="Nobody rode it yet" action={<LinkButton href="/ride">To the ride</LinkButton>}>
          Once pairs have ridden this layout they are compared here.
        </EmptyState>
      )}
      <div className={classes.charts}>
        {settings.length > 0 && (
          <ChartCard
            title="Clean passes, pair by pair and setting by setting"
            sub="A bar for each: as long as its share of clean passes, with how sure that is as a stroke."
            fileName={`${layout.name}-settings`}
            table={{
              columns: [
                'pair',
                'question',
                'first ridden',
                'last ridden',
                'clean',
                'of',
                'mean mark',
                'strides',
                'grounds m',
              ],
              rows: settings.map(({ pairId, question, firstDay, lastDay, clean, quality, counts, groundsM }) => [
                ...[nameOf(pairId), question, firstDay, lastDay, clean.hits, clean.of],
                ...[quality === null ? null : Number(quality.toFixed(2)), counts.map(count => count ?? '–').join(' ')],
                groundsM.map(metres).join(' '),
              ]),
            }}
          >
            <SettingShares
              settings={settings.map(one => ({
                ...{ key: `${one.pairId} ${one.layoutVersionId} ${one.key}`, clean: one.clean },
                name: `${nameOf(one.pairId)}, ${one.question}${one.groundsM.length === 1 ? `, ${words.format(one.groundsM[0]!)}` : ''}`,
              }))}
              label={`Clean passes over ${layout.name}`}
            />
          </ChartCard>
        )}
        {beforeAfter.length > 0 && (
          <ChartCard
            title="The first day and the last"
            fileName={`${layout.name}-before-after`}
            table={{
              columns: ['pair', 'question', 'first day', 'clean', 'of', 'last day', 'clean', 'of'],
              rows: beforeAfter.map(({ pairId, question, firstDay, lastDay, first, last }) => [
                ...[nameOf(pairId), question, firstDay, first.hits, first.of, lastDay, last.hits, last.of],
              ]),
            }}
          >
            <ul>
              {beforeAfter.map(({ pairId, question, key, firstDay, lastDay, first, last }) => (
                <li key={`${pairId} ${key}`}>
                  <strong>{nameOf(pairId)}</strong>, {question}: {first.hits} of {first.of} clean on{' '}
                  {words.dayName(firstDay)}, {last.hits} of {last.of} on {words.dayName(lastDay)}
                </li>
              ))}
            </ul>
          </ChartCard>
        )}
        {next.length > 0 && (
          <ChartCard
            title="Which distance suits which horse, and what to set next"
            sub="Discs are the counts that were ridden, the full one what the leg is meant for (its triangle). Beneath: what to set next for this pair, by its record, else its profile; 10 cm at most at a time."
            fileName={`${layout.name}-next`}
            table={{
              columns: ['pair', 'leg', 'lies at m', 'count', 'suits m', 'next m', 'why'],
              rows: next.map(({ pairId, from, to, liesM, count, suitsM, groundM, reason }) => [
                ...[nameOf(pairId), `${from} to ${to}`, metres(liesM), count, metres(suitsM), metres(groundM), reason],
              ]),
            }}
          >
            {boards.map(board => (
              <BoardOf key={board.key} {...{ board, nameOf }} show={showOf(board)} format={words.format} />
            ))}
          </ChartCard>
        )}
      </div>
    </>
  );
}

type BoardOfProps = {
  board: LegBoard;
  show: AskedToShow | null;
  nameOf: (pairId: string) => string;
  format: (lengthM: number) => string;
};

/** A question drawn as it was ridden last, and under it each pair on each of its legs. */
function BoardOf({ board, show, nameOf, format }: BoardOfProps) {
  return (
    <section aria-label={board.words}>
      <h3>{board.words}</h3>
      {show && <AskedShown show={show} />}
      <LegBoardPicture {...{ board, nameOf, format }} />
    </section>
  );
}
