import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LayoutCards } from '@/components/LayoutCards/LayoutCards';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { ForInstructors } from '@/components/who/mayPlan';
import { PageHead } from '@/components/PageHead/PageHead';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import { present } from '@/data/present';
import type { Metadata } from 'next';
import { layoutCards } from '../_server/layoutCards';
import { isInstructor } from '../_server/access/isInstructor';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';

export const metadata: Metadata = { title: 'Set' };

export default async function SetListPage() {
  const { db, yard, who } = await yardContext(may.help);
  const [layouts, horses] = await Promise.all([listLayouts(db, yard.id), listHorses(db, yard.id)]);
  return (
    <>
      <PageHead
        title="Set"
        sub="Which layout goes onto the sand?"
        actions={isInstructor(who) && <LinkButton href="/set/sand">What is on the sand?</LinkButton>}
      />
      {present(layouts).length === 0 && (
        <EmptyState
          title="Nothing to set yet"
          action={
            <ForInstructors>
              <LinkButton href="/plan">To the plan</LinkButton>
            </ForInstructors>
          }
        >
          Plan a layout first. Here it becomes a sheet: from piece to piece as it is ridden, in your own steps too.
        </EmptyState>
      )}
      <LayoutCards cards={layoutCards(present(layouts), horses, { place: 'set', timeZone: yard.timeZone })} />
    </>
  );
}
