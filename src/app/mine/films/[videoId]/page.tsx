import { mayReadPair } from '@/app/_server/access/ownPair';
import { may } from '@/app/_server/access/rules';
import { riderFilm } from '@/app/_server/riderFilm';
import { yardContext } from '@/app/_server/yardContext';
import { RiderFilmView } from '@/app/ride/_components/rider/RiderFilmView';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';

export const metadata: Metadata = { title: 'Film' };

/** A film without a lesson as whoever rode it reads it. */
export default async function MyFilmPage({ params }: { params: Promise<{ videoId: string }> }) {
  const { videoId } = await params;
  const { db, yard, who } = await yardContext(may.read);
  const film = await riderFilm(db, yard, videoId);
  if (!film || !mayReadPair(who, film)) notFound();
  return <RiderFilmView film={film} filmHref={`/api/videos/${film.id}`} />;
}
