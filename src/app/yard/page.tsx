import { PageHead } from '@/components/PageHead/PageHead';
import { listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { listPeople } from '@/data/queries/people';
import type { Metadata } from 'next';
import { yardContext } from '../_server/yardContext';
import { YardBoard } from './_components/YardBoard';
import { horseFigures } from './yardFigures';

export const metadata: Metadata = { title: 'Yard' };

export default async function YardPage() {
  const { db, yard } = await yardContext();
  const [horses, people, pairs, arenas] = await Promise.all([
    listHorses(db, yard.id),
    listPeople(db, yard.id),
    listPairs(db, yard.id),
    listArenas(db, yard.id),
  ]);
  return (
    <>
      <PageHead title="Yard" sub="Who rides what, where, and with which stride." />
      <YardBoard horses={horses.map(horseFigures)} people={people} pairs={pairs} arenas={arenas} />
    </>
  );
}
