import { Said } from '@/components/Lengths/LengthsProvider';
import { PictureCard } from '@/components/pictures/PictureCard';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { askedToShow, type AskedToShow, howMany, layoutReview } from '@/core';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { reviewPasses } from '@/data/queries/reviewPasses';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext, yardGaitWords } from '../../../_server/yardContext';
import { yardClock } from '../../../_server/yardTime';
import { Halves } from '@/components/pictures/Halves';
import { LegBoardPicture } from '@/components/pictures/LegBoardPicture';
import { SettingShares } from '@/components/pictures/SettingShares';
import { metres } from '@/components/pictures/metres';
import { goesBy } from '../../pairStrides';
import { reviewWords } from '../../reviewWords';

import { countsByPair } from './countsByPair';
import { legBoards, type LegBoard } from './legBoards';
import classes from '../../_components/Pictures.module.css';

export const metadata: Metadata = { title: 'A layout compared' };

/** So many at most are drawn; the numbers have all. */
const MOST_SEEN = 10;

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
  const mostRidden = [...settings].sort((a, b) => b.clean.of - a.clean.of).slice(0, MOST_SEEN);
  const words = reviewWords('', unit, await yardGaitWords(yard.id));
  const nameOf = (id: string) => pairs.find(pair => pair.id === id)?.horseName ?? '';
  const boards = legBoards(passes, pairs, pairId => {
    const horse = horses.find(({ id }) => id === pairs.find(pair => pair.id === pairId)?.horseId);
    return horse
      ? goesBy(
          horse,
          all.filter(pass => pass.pairId === pairId),
        )
      : () => null;
  });
  const versions = await versionsById(
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
        sub={`${howMany(passes.length, 'pass', 'passes')}; who rode it, how it was set, and what to set next`}
        actions={
          <>
            <LinkButton href={`/plan/${layoutId}`} variant="default">
              To the plan
            </LinkButton>
            <LinkButton href={`/review/compare?aLayout=${layoutId}&bLayout=${layoutId}`} variant="default">
              Compare two settings
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
      <div className={classes.pictures}>
        {next.length > 0 && (
          <PictureCard
            title="Which distance suits which horse, and what to set next"
            isWide
            sub="Discs are the counts that were ridden, the full one what the leg is meant for. Beneath: what to set next for this pair, by its record, else its profile; 10 cm at most at a time."
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
          </PictureCard>
        )}
        {settings.length > 0 && (
          <PictureCard
            title="Clean passes, pair by pair and setting by setting"
            sub={`A bar for each: as long as its share of clean passes, with how sure that is as a stroke.${settings.length > MOST_SEEN ? ` Those ridden most; the numbers have all ${settings.length}.` : ''}`}
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
              settings={mostRidden.map(one => ({
                ...{ key: `${one.pairId} ${one.layoutVersionId} ${one.key}`, clean: one.clean },
                name: `${nameOf(one.pairId)}, ${words.say(one.question)}${one.groundsM.length === 1 ? `, ${words.format(one.groundsM[0]!)}` : ''}`,
              }))}
              label={`Clean passes over ${layout.name}`}
            />
          </PictureCard>
        )}
        {beforeAfter.length > 0 && (
          <PictureCard
            title="The first day and the last"
            sub="How many passes were clean on either: as far out as it went well."
            fileName={`${layout.name}-before-after`}
            table={{
              columns: ['pair', 'question', 'first day', 'clean', 'of', 'last day', 'clean', 'of'],
              rows: beforeAfter.map(({ pairId, question, firstDay, lastDay, first, last }) => [
                ...[nameOf(pairId), question, firstDay, first.hits, first.of, lastDay, last.hits, last.of],
              ]),
            }}
          >
            <Halves
              names={{ left: 'first day', right: 'last day' }}
              measures={beforeAfter.slice(0, MOST_SEEN).map(({ pairId, question, first, last }) => ({
                ...{ measure: `${nameOf(pairId)}, ${words.say(question)}`, left: first, right: last },
              }))}
              label={`The first day over ${layout.name} and the last, pair by pair`}
            />
          </PictureCard>
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
      <h3>
        <Said>{board.words}</Said>
      </h3>
      <div className={classes.beside}>
        {show && (
          <div className={classes.drawing}>
            <AskedShown show={show} atLegs={countsByPair(board, nameOf)} />
          </div>
        )}
        <LegBoardPicture {...{ board, nameOf, format }} />
      </div>
    </section>
  );
}
