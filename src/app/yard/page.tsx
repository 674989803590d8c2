import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listKit } from '@/data/queries/kit';
import { listPairs } from '@/data/queries/pairs';
import { listPeople } from '@/data/queries/people';
import type { Metadata } from 'next';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { YardBoard } from './_components/YardBoard';
import { horseFigures } from './yardFigures';

export const metadata: Metadata = { title: 'Yard' };

export default async function YardPage() {
  const { db, yard } = await yardContext(may.instruct);
  const [horses, people, pairs, arenas, kit] = await Promise.all([
    listHorses(db, yard.id),
    listPeople(db, yard.id),
    listPairs(db, yard.id),
    listArenas(db, yard.id),
    listKit(db, yard.id),
  ]);
  return (
    <>
      <PageHead
        title="Yard"
        sub="Who rides what, where, and with which stride."
        actions={
          <>
            <LinkButton href="/yard/rules" variant="default">
              How we teach
            </LinkButton>
            <LinkButton href="/yard/access" variant="default">
              Who may come in
            </LinkButton>
            <LinkButton href="/yards" variant="default">
              Yards
            </LinkButton>
            <LinkButton href="/yard/archive" variant="default">
              All data
            </LinkButton>
            <LinkButton href="/yard/files" variant="default">
              Lists in and out
            </LinkButton>
          </>
        }
      />
      <YardBoard horses={horses.map(horseFigures)} people={people} pairs={pairs} arenas={arenas} kit={kit} />
    </>
  );
}
