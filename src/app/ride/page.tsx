import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import type { Metadata } from 'next';
import { layoutCards } from '../_server/layoutCards';
import { present } from '@/data/present';
import { yardContext } from '../_server/yardContext';
import { RideChoice } from './_components/RideChoice';

export const metadata: Metadata = { title: 'Ride' };

export default async function RidePage() {
  const { db, yard } = await yardContext();
  const [layouts, horses, pairs] = await Promise.all([
    listLayouts(db, yard.id),
    listHorses(db, yard.id),
    listPairs(db, yard.id),
  ]);
  const riding = present(pairs);
  const missing = present(layouts).length === 0 ? 'layout' : riding.length === 0 ? 'pair' : null;
  return (
    <>
      <PageHead title="Ride" sub="Record pass by pass how a pair rode a layout." />
      {missing === 'layout' && (
        <EmptyState title="Nothing to ride yet" action={<LinkButton href="/plan">To the plan</LinkButton>}>
          Plan a layout first; its passes are recorded here.
        </EmptyState>
      )}
      {missing === 'pair' && (
        <EmptyState title="No pairs yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together in the yard: records belong to the pair.
        </EmptyState>
      )}
      {missing === null && (
        <RideChoice
          layouts={layoutCards(present(layouts), horses, 'plan').map(({ id, name, line }) => ({ id, name, line }))}
          pairs={riding.map(({ id, riderName, horseName }) => ({ id, name: horseName, line: `with ${riderName}` }))}
        />
      )}
    </>
  );
}
