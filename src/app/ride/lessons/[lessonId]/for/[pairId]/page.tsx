import { lessonSheet } from '@/app/_server/lessonSheet';
import { may } from '../../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { findLesson } from '@/data/queries/lessons';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { mayReadPair } from '../../../../../_server/access/ownPair';
import { findPair } from '@/data/queries/pairs';
import { RiderLesson } from '../../../../_components/rider/RiderLesson';

export const metadata: Metadata = { title: 'For a rider' };

type RiderPageProps = { params: Promise<{ lessonId: string; pairId: string }> };

/** A rider's own page of a lesson, for that rider and for the instructor. */
export default async function RiderPage({ params }: RiderPageProps) {
  const { lessonId, pairId } = await params;
  const { db, yard, who } = await yardContext(may.read);
  const known = await findPair(db, yard.id, pairId);
  if (!known || !mayReadPair(who, known)) notFound();
  const lesson = await findLesson(db, yard.id, lessonId);
  const sheet = lesson && (await lessonSheet(db, yard, lesson));
  const pair = sheet?.pairs.find(({ id }) => id === pairId);
  if (!sheet || !pair) notFound();
  return <RiderLesson name={sheet.name} when={sheet.when} unit={sheet.unit} pair={pair} />;
}
