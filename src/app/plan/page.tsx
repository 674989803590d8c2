import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { present } from '@/data/present';
import { listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import { lastRiddenByLayout } from '@/data/queries/lastRidden';
import type { Metadata } from 'next';
import { layoutCards } from '../_server/layoutCards';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { LayoutList } from './_components/LayoutList';
import { NewLayout } from './_components/NewLayout';
import { TakeIn } from './_components/TakeIn';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanListPage() {
  const { db, yard } = await yardContext(may.instruct);
  const [layouts, horses, arenas] = await Promise.all([
    listLayouts(db, yard.id),
    listHorses(db, yard.id),
    listArenas(db, yard.id),
  ]);
  const lastRidden = await lastRiddenByLayout(db, yard.id);
  const choices = { arenas: present(arenas), horses: present(horses) };
  const ready = choices.horses.length > 0 && choices.arenas.length > 0;
  return (
    <>
      <PageHead
        title="Plan"
        sub="Layouts, to scale, reckoned from the horses’ own strides."
        actions={
          ready &&
          layouts.length > 0 && (
            <>
              <TakeIn />
              <NewLayout {...choices} />
            </>
          )
        }
      />
      {!ready && (
        <EmptyState title="First an arena and a horse" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          A layout lies on an arena and is reckoned for horses. Add one of each in the yard, then come back.
        </EmptyState>
      )}
      {ready && layouts.length === 0 && (
        <EmptyState
          title="No layouts yet"
          action={
            <>
              <NewLayout {...choices} /> <TakeIn />
            </>
          }
        >
          Begin with empty sand: choose who rides, and take an exercise from the shelf. Roan spaces it by their own
          strides.
        </EmptyState>
      )}
      {layouts.length > 0 && (
        <LayoutList cards={layoutCards(layouts, horses, { place: 'plan', timeZone: yard.timeZone, lastRidden })} />
      )}
    </>
  );
}
