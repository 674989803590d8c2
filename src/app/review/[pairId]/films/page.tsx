import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { sizeWords } from '@/components/sizeWords';
import { nowMs } from '@/components/nowMs';
import { dayInWords, dayNumber, markWords } from '@/core';
import { findPair } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { reviewPasses } from '@/data/queries/reviewPasses';
import { listStrideTests } from '@/data/queries/strideTests';
import { filmsOfPair, listFilms } from '@/data/queries/videos';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext, yardSay } from '../../../_server/yardContext';
import { yardClock, yardTime } from '../../../_server/yardTime';
import { ENTRY_LABELS } from '../../../yard/entryLabels';
import { FilmList } from './_components/FilmList';
import { FilmsWithout } from './_components/FilmsWithout';

export const metadata: Metadata = { title: 'Films' };

/** Films are kept beside the passes of late: so many are listed. */
const SHOWN = 40;

export default async function FilmsPage({ params }: { params: Promise<{ pairId: string }> }) {
  const { pairId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const pair = await findPair(db, yard.id, pairId);
  if (!pair) notFound();
  const passes = (await reviewPasses(db, yard.id, { pairIds: [pairId] }, yardClock(yard.timeZone)))
    .slice(-SHOWN)
    .reverse();
  const tests = (await listStrideTests(db, yard.id, pair.horseId)).slice(0, SHOWN);
  const films = await listFilms(
    db,
    yard.id,
    passes.map(({ id }) => id),
    tests.map(({ id }) => id),
  );
  const versions = await versionsById(db, yard.id, [...new Set(passes.map(({ layoutVersionId }) => layoutVersionId))]);
  const filmsOf = (id: string) =>
    films
      .filter(({ passId, testId }) => passId === id || testId === id)
      .map(({ id: filmId, fileName, sizeBytes }) => ({ id: filmId, name: fileName, size: sizeWords(sizeBytes) }));
  const when = (atMs: number) => yardTime(atMs, yard.timeZone, 'D MMM YYYY, HH:mm');
  const say = await yardSay(yard.id);
  return (
    <>
      <PageHead
        title={`Films of ${pair.horseName} with ${pair.riderName}`}
        sub="From your own device into the data folder of this Roan, and nowhere else."
        actions={
          <LinkButton href={`/review/${pairId}`} variant="default">
            To the review
          </LinkButton>
        }
      />
      <FilmsWithout
        pairId={pairId}
        today={yardTime(nowMs(), yard.timeZone, 'YYYY-MM-DD')}
        films={(await filmsOfPair(db, yard.id, pairId)).map(({ id, day, fileName, sizeBytes, answeredAt, asks }) => ({
          ...{ id, line: `${dayInWords(dayNumber(day!))}: ${fileName} (${sizeWords(sizeBytes)})` },
          state: answeredAt ? 'answered' : asks === null ? 'not answered yet' : `waits for an answer: “${asks}”`,
        }))}
      />
      {tests.length > 0 && (
        <FilmList
          title="Stride tests"
          of="test"
          entries={tests.map(({ id, entry, testedAtMs }) => ({
            ...{ id, line: `${when(testedAtMs)}: ${say(ENTRY_LABELS[entry])}`, films: filmsOf(id) },
          }))}
        />
      )}
      {passes.length > 0 && (
        <FilmList
          title="Passes"
          of="pass"
          entries={passes.map(({ id, riddenAtMs, rein, layoutVersionId, marks, ground, questionWords }) => ({
            id,
            line: say(
              `${when(riddenAtMs)}: ${versions.get(layoutVersionId)?.name ?? ''}, ${questionWords}${rein === null ? '' : `, ${rein} rein`}. ${marks
                .slice(-4)
                .map(mark => markWords(mark, place => ground.stops[place - 1]?.name ?? String(place)))
                .join(', ')}`,
            ),
            films: filmsOf(id),
          }))}
        />
      )}
    </>
  );
}
