import { gaitsOfHorse } from '@/app/_server/gaitsOfHorse';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { sizeWords } from '@/components/sizeWords';
import { askedLayout, dayInWords, dayNumber, riddenGround } from '@/core';
import type { RoanDatabase } from '@/data/database';
import { stillsOf } from '@/data/queries/filmStills';
import { findHorse } from '@/data/queries/horses';
import { findVersion } from '@/data/queries/layoutVersions';
import { findPair, type Pair } from '@/data/queries/pairs';
import { passPlace } from '@/data/queries/passes';
import { filmHorse, filmMarks, findFilm, type Film } from '@/data/queries/videos';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { yardTime } from '../../../_server/yardTime';
import type { CountedFilm } from './_components/CountOfFilm';
import { FilmBoard } from './_components/FilmBoard';

export const metadata: Metadata = { title: 'Film' };

export default async function FilmPage({ params }: { params: Promise<{ videoId: string }> }) {
  const { videoId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const film = await findFilm(db, yard.id, videoId);
  if (!film) notFound();
  const pass = film.passId === null ? null : await passPlace(db, yard.id, film.passId);
  const pairId = pass?.pairId ?? film.pairId;
  const pair = pairId === null ? null : await findPair(db, yard.id, pairId);
  const horseId = await filmHorse(db, yard.id, film);
  const horse = horseId === null ? null : await findHorse(db, yard.id, horseId);
  const given = film.answeredAt && yardTime(film.answeredAt.getTime(), yard.timeZone, 'D MMMM, HH:mm');
  const size = film.removedAt === null ? sizeWords(film.sizeBytes) : 'Removed; what was seen in it is kept.';
  return (
    <>
      <PageHead
        title={pair && film.day !== null ? `${pair.horseName} with ${pair.riderName}` : film.fileName}
        sub={film.day === null ? size : `${dayInWords(dayNumber(film.day))}, with no lesson. ${film.fileName}, ${size}`}
        actions={
          <LinkButton href={pair ? `/review/${pair.id}/films` : '/review'} variant="default">
            {pair ? 'All films of the pair' : 'To the review'}
          </LinkButton>
        }
      />
      <FilmBoard
        videoId={film.id}
        isThere={film.removedAt === null}
        lengthS={film.lengthS}
        gaits={gaitsOfHorse(horse?.type ?? null)}
        counted={film.testId === null ? pass && (await legsOf(db, yard.id, pass)) : { into: 'test' }}
        answered={answeredOf(film, pair, given)}
        firstMarks={await filmMarks(db, yard.id, film.id)}
        firstStills={await stillsOf(db, yard.id, film.id)}
      />
    </>
  );
}

/** The legs of a pass that strides are counted into. */
async function legsOf(
  db: RoanDatabase,
  yardId: string,
  { layoutVersionId, question }: NonNullable<Awaited<ReturnType<typeof passPlace>>>,
): Promise<CountedFilm> {
  const version = await findVersion(db, yardId, layoutVersionId);
  const asked = version && question ? askedLayout(version.layout, question) : null;
  const legs = asked ? riddenGround(asked, asked, version!.layout).legs : [];
  return { into: 'pass', legs: legs.map(({ from, to }) => `${from} to ${to}`) };
}

function answeredOf({ day, asks, answer }: Film, pair: Pair | null, givenOn: string | null) {
  if (day === null || !pair) return null;
  return { rider: pair.riderName, asks, answer, givenOn };
}
