import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LayoutCards } from '@/components/LayoutCards/LayoutCards';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import type { Metadata } from 'next';
import { layoutCards } from '../_server/layoutCards';
import { present } from '@/data/present';
import { yardContext } from '../_server/yardContext';
import { NewLayout } from './_components/NewLayout';

export const metadata: Metadata = { title: 'Plan' };

export default async function PlanListPage() {
  const { db, yard, unit } = await yardContext();
  const [layouts, horses, arenas] = await Promise.all([
    listLayouts(db, yard.id),
    listHorses(db, yard.id),
    listArenas(db, yard.id),
  ]);
  const choices = { arenas: present(arenas), horses: present(horses) };
  const ready = choices.horses.length > 0 && choices.arenas.length > 0;
  return (
    <>
      <PageHead
        title="Plan"
        sub="Layouts, to scale, spaced by the horses’ own strides."
        actions={ready && layouts.length > 0 && <NewLayout {...choices} />}
      />
      {!ready && (
        <EmptyState title="First an arena and a horse" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          A layout lies on an arena and is spaced by a horse. Add one of each in the yard, then come back.
        </EmptyState>
      )}
      {ready && layouts.length === 0 && (
        <EmptyState title="No layouts yet" action={<NewLayout {...choices} />}>
          Begin with a row of poles: choose the horse, and Roan spaces them by its own step.
        </EmptyState>
      )}
      <LayoutCards cards={layoutCards(layouts, horses, unit, 'plan')} />
    </>
  );
}
