import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { findPerson } from '@/data/queries/people';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { yardTime } from '../../../_server/yardTime';
import { OwnStepBoard } from './_components/OwnStepBoard';

export const metadata: Metadata = { title: 'Own step' };

export default async function PersonPage({ params }: { params: Promise<{ personId: string }> }) {
  const { personId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const person = await findPerson(db, yard.id, personId);
  if (!person) notFound();
  return (
    <>
      <PageHead
        title={`${person.name}’s own step`}
        sub="Walk a taped length as you would in the arena, count, and do it again."
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <OwnStepBoard
        person={person}
        days={Object.fromEntries(
          person.walks.map(({ id, walkedAtMs }) => [id, yardTime(walkedAtMs, yard.timeZone, 'D MMM, HH:mm')]),
        )}
      />
    </>
  );
}
