import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { walkersOf } from '@/app/_server/settingSetup';
import { may } from '../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { present } from '@/data/present';
import { arenaOf, listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { planHorse } from '@/data/queries/planGround';
import type { Metadata } from 'next';
import { SandWalk } from './_components/SandWalk';

export const metadata: Metadata = { title: 'What is on the sand?' };

export default async function SandPage() {
  const { db, yard } = await yardContext(may.instruct);
  const [arenas, horses, walkers] = await Promise.all([
    listArenas(db, yard.id),
    listHorses(db, yard.id),
    walkersOf(db, yard.id),
  ]);
  return (
    <>
      <PageHead
        title="What is on the sand?"
        sub="Walk the line that stands there, piece by piece: it becomes a layout, with what it is for each horse."
      />
      {present(arenas).length === 0 ? (
        <EmptyState title="No arena yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Add the arena in the yard first: how wide and long it is.
        </EmptyState>
      ) : (
        <SandWalk
          arenas={present(arenas).map(one => ({
            ...{ id: one.id, name: one.name, arena: arenaOf(one) },
          }))}
          horses={present(horses).map(horse => ({ id: horse.id, name: horse.name, horse: planHorse(horse) }))}
          walkers={walkers}
        />
      )}
    </>
  );
}
