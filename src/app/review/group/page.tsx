import { PictureCard } from '@/components/pictures/PictureCard';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { nowMs } from '@/components/nowMs';
import {
  balanceWords,
  groupReview,
  profileStride,
  turnClaim,
  turnReview,
  USUAL_RULES,
  type StrideEntryKey,
} from '@/core';
import { present } from '@/data/present';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { yardRules } from '@/data/queries/settings';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { may } from '../../_server/access/rules';
import { yardContext, yardSay } from '../../_server/yardContext';
import { lastDays, yardClock } from '../../_server/yardTime';
import { ENTRY_LABELS } from '../../yard/entryLabels';
import { RideBalance } from '@/components/pictures/RideBalance';
import { metres } from '@/components/pictures/metres';
import { ReadyRows } from '@/components/pictures/ReadyRows';
import { RideBoard } from '@/components/pictures/RideBoard';
import { ShareStrips, type ShareStrip } from '@/components/pictures/ShareStrips';
import { goesBy } from '../pairStrides';
import { rideRows } from './rideRows';
import { readyForNext } from '../readyForNext';
import { reviewWords } from '../reviewWords';

import classes from '../_components/Pictures.module.css';

export const metadata: Metadata = { title: 'The group' };

/** What has been done lately is looked at over four weeks. */
const BALANCE_DAYS = 28;
/** What a spacing is shared in. */
const SHARED: readonly StrideEntryKey[] = ['course-canter', 'canter-poles', 'trot-poles', 'walk-poles'];

export default async function GroupPage() {
  await connection();
  const { db, yard, unit } = await yardContext(may.instruct);
  const [pairs, horses, rules, passes] = await Promise.all([
    listPairs(db, yard.id),
    listHorses(db, yard.id),
    yardRules(db, yard.id),
    reviewPasses(db, yard.id, 'all', yardClock(yard.timeZone)),
  ]);
  const riding = present(pairs).filter(({ id }) => passes.some(({ pairId }) => pairId === id));
  const ridingHorses = horses.filter(({ id }) => riding.some(({ horseId }) => horseId === id));
  const horseName = (id: string) => horses.find(horse => horse.id === id)?.name ?? '';
  const board = await rideRows(db, yard.id, ridingHorses);
  const sinceMs = lastDays(nowMs(), BALANCE_DAYS, yard.timeZone)[0]!;
  const strideOf = riding.map(({ id, horseId }) => {
    const horse = horses.find(one => one.id === horseId);
    return {
      id,
      strideM: horse
        ? goesBy(
            horse,
            passes.filter(pass => pass.pairId === id),
          )
        : () => null,
    };
  });
  const { sharing, balance } = groupReview(
    strideOf,
    passes.filter(({ riddenAtMs }) => riddenAtMs >= sinceMs),
  );
  const say = await yardSay(yard.id);
  const strips = SHARED.flatMap((entry): ShareStrip[] => {
    const strides = strideOf.flatMap(({ id, strideM }) => {
      const own = strideM(entry);
      return own === null ? [] : [{ id, name: pairs.find(pair => pair.id === id)?.horseName ?? '', strideM: own }];
    });
    const groups = sharing
      .filter(one => one.entry === entry)
      .map(({ pairIds, leastM, mostM }) => ({ ids: pairIds, leastM, mostM }));
    return strides.length < 2 ? [] : [{ key: entry, words: say(ENTRY_LABELS[entry]), strides, groups }];
  });
  const turns = turnReview(
    passes,
    pairId => pairs.find(({ id }) => id === pairId)?.horseId ?? '',
    (horseId, entry) => {
      const horse = horses.find(({ id }) => id === horseId);
      return (horse && profileStride(horse, entry)?.normalM) ?? null;
    },
    rules.leanDeg ?? USUAL_RULES.leanDeg!,
  );
  const turnSaid = turns && turnClaim(turns);
  const words = reviewWords('', unit);
  const nameOf = (id: string) => pairs.find(pair => pair.id === id)?.horseName ?? '';
  const ready = await readyForNext(
    db,
    yard.id,
    riding.map(({ id }) => id),
    rules.gate,
  );
  return (
    <>
      <PageHead
        title="The group"
        sub="Who could share a spacing, who has earned the next stage, and who has had how much of what."
        actions={
          <LinkButton href="/review" variant="default">
            All of the review
          </LinkButton>
        }
      />
      {riding.length === 0 && (
        <EmptyState title="Nothing ridden yet" action={<LinkButton href="/ride">To the ride</LinkButton>}>
          Once pairs have ridden they are looked at together here.
        </EmptyState>
      )}
      <div className={classes.pictures}>
        {board.length > 0 && (
          <PictureCard
            title="Who could ride what together"
            sub="Each layout as it lies, in the counts of each horse: the word is that of its hardest leg. Together: those who are at ease in the same counts."
            fileName="together"
            isWide
            table={{
              columns: ['layout', 'way', 'horse', 'counts', 'hardest leg'],
              rows: board.flatMap(({ layout, track, cells }) =>
                cells.map(({ horseId, counts, word }) => [
                  ...[layout, track, horseName(horseId), counts.join(' '), word ?? 'cannot'],
                ]),
              ),
            }}
            actions={
              <LinkButton href="/ride/next" size="xs">
                What next for a group
              </LinkButton>
            }
          >
            <RideBoard rows={board} horses={ridingHorses.map(({ id, name }) => ({ id, name }))} />
          </PictureCard>
        )}
        {riding.length > 0 && (
          <PictureCard
            title="Who could share a spacing"
            sub="Each horse at its stride, by the record where it says enough, else by the profile; a band about those whose middle is easy for each: within 3 % either way."
            fileName="sharing"
            table={{
              columns: ['for', 'pairs', 'shortest m', 'longest m'],
              rows: sharing.map(({ entry, pairIds, leastM, mostM }) => [
                ...[ENTRY_LABELS[entry], pairIds.map(nameOf).join(', '), metres(leastM), metres(mostM)],
              ]),
            }}
          >
            {sharing.length === 0 && <p>No two strides are so alike: give each its own spacing, or use a fan.</p>}
            <ShareStrips
              strips={strips}
              format={words.format}
              label={sharing
                .map(({ entry, pairIds }) => `${say(ENTRY_LABELS[entry])}: ${pairIds.map(nameOf).join(', ')}`)
                .join('; ')}
            />
          </PictureCard>
        )}
        {ready.length > 0 && (
          <PictureCard
            title="Who is ready for the next stage"
            sub={`By the yard’s rule, from the last lesson of each: ${rules.gate.cleanEachRein} clean on ${rules.gate.bothReins ? 'both reins' : 'the rein ridden'}.`}
            fileName="ready"
            table={{
              columns: ['pair', 'lesson', 'stage', 'ready', 'why'],
              rows: ready.map(({ pairId, lesson, stage, gate }) => [
                ...[nameOf(pairId), lesson, stage, gate.ready ? 'yes' : 'not yet', gate.reason],
              ]),
            }}
          >
            <ReadyRows
              rows={ready.map(({ pairId, stage, gate }) => ({
                ...{ key: pairId, name: nameOf(pairId), stage: say(stage), ready: gate.ready },
                reason: say(gate.reason.replace(/^Not yet\. /, '')),
              }))}
            />
          </PictureCard>
        )}
        {riding.length > 0 && (
          <PictureCard
            title="Of what, how much, in four weeks"
            sub="Passes over fences, over poles and on the flat; triangles: the share of the left rein and the right."
            fileName="balance"
            table={{
              columns: [
                'pair',
                'passes',
                'over fences',
                'over poles',
                'on the flat',
                'left rein',
                'right rein',
                'efforts',
                'last ridden',
                'stands out',
              ],
              rows: balance.map(one => [
                ...[nameOf(one.pairId), one.passes, one.jumping, one.poles, one.flat, one.byRein.left],
                ...[one.byRein.right, one.efforts, one.lastDay, balanceWords(one).join('; ')],
              ]),
            }}
          >
            <RideBalance
              pairs={balance.map(one => ({ ...one, name: nameOf(one.pairId), told: balanceWords(one) }))}
              label="Passes of each pair in four weeks"
            />
          </PictureCard>
        )}
        {turns && (
          <PictureCard
            title="What a tight turn costs"
            sub="Counts on turns that are tight for the speed, against each horse’s own stride on straights."
            fileName="turns"
            table={{
              columns: ['times the rule', 'low', 'high', 'counts', 'passes', 'horses', 'lean that says so, degrees'],
              rows: [
                [
                  ...[turns.times, turns.low, turns.high].map(times => Number(times.toFixed(2))),
                  ...[turns.counts, turns.passes, turns.horses, turns.leanDeg ?? ''],
                ],
              ],
            }}
          >
            <p>
              {turnSaid
                ? turnSaid.text
                : `As much as the rule says, as far as the record can tell: ${turns.times.toFixed(1)} times as much, ${turns.low.toFixed(1)} to ${turns.high.toFixed(1)}.`}
            </p>
            {turnSaid && <p>{turnSaid.because}</p>}
            {turnSaid && (
              <LinkButton href="/yard/rules" variant="default">
                How this yard teaches
              </LinkButton>
            )}
          </PictureCard>
        )}
      </div>
    </>
  );
}
