import { nowMs } from '@/components/nowMs';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { may } from '../_server/access/rules';
import { riderHome } from '../_server/riderHome';
import { yardContext } from '../_server/yardContext';
import { SendMine } from './_components/SendMine';
import { RiderHomeView } from '../ride/_components/rider/RiderHomeView';

export const metadata: Metadata = { title: 'Mine' };

/** What belongs to the rider who is signed in; others begin elsewhere. */
export default async function MinePage() {
  const { db, yard, who } = await yardContext(may.choose);
  if (who.open || who.role === 'instructor') redirect('/yard');
  if (who.role === 'helper') redirect('/set');
  if (who.role === 'office') redirect('/office');
  const home = await riderHome(db, yard, who.id, nowMs());
  return (
    <RiderHomeView
      name={who.name}
      home={home}
      filmHref={({ id, isAlone }) => (isAlone ? `/mine/films/${id}` : `/api/videos/${id}`)}
      send={home.pairs.length > 0 && <SendMine pairs={home.pairs} today={home.today} />}
      hrefOf={({ lessonId, pairId }) => `/ride/lessons/${lessonId}/for/${pairId}`}
    />
  );
}
