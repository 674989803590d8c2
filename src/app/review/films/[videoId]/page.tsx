import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { sizeWords } from '@/components/sizeWords';
import { askedLayout, riddenGround } from '@/core';
import { passPlace } from '@/data/queries/passes';
import { findVersion } from '@/data/queries/layoutVersions';
import { filmNotes, findFilm } from '@/data/queries/videos';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { FilmBoard } from './_components/FilmBoard';

export const metadata: Metadata = { title: 'Film' };

export default async function FilmPage({ params }: { params: Promise<{ videoId: string }> }) {
  const { videoId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const film = await findFilm(db, yard.id, videoId);
  if (!film) notFound();
  const pass = film.passId === null ? null : await passPlace(db, yard.id, film.passId);
  const version = pass && (await findVersion(db, yard.id, pass.layoutVersionId));
  const asked = version && pass.question ? askedLayout(version.layout, pass.question) : null;
  const legs = asked ? riddenGround(asked, asked, version!.layout).legs.map(({ from, to }) => `${from} to ${to}`) : [];
  return (
    <>
      <PageHead
        title={film.fileName}
        sub={film.removedAt === null ? sizeWords(film.sizeBytes) : 'Removed; its notes and counts are kept.'}
        actions={
          <LinkButton href={pass ? `/review/${pass.pairId}/films` : '/review'} variant="default">
            {pass ? 'All films of the pair' : 'To the review'}
          </LinkButton>
        }
      />
      <FilmBoard
        videoId={film.id}
        isThere={film.removedAt === null}
        legs={legs}
        isTest={film.testId !== null}
        firstNotes={await filmNotes(db, yard.id, film.id)}
      />
    </>
  );
}
