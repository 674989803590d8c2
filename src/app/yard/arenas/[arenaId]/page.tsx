import { sayLengths } from '@/core';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { findArena, type ArenaBoundary } from '@/data/queries/arenas';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { ArenaMarksBoard } from './_components/ArenaMarksBoard';

export const metadata: Metadata = { title: 'Arena' };

const ROUND_IT: Record<ArenaBoundary, string> = { walls: 'walls', fence: 'a fence', open: 'open sand' };

export default async function ArenaPage({ params }: { params: Promise<{ arenaId: string }> }) {
  const { arenaId } = await params;
  const { db, yard, unit } = await yardContext(may.instruct);
  const arena = await findArena(db, yard.id, arenaId);
  if (!arena) notFound();
  return (
    <>
      <PageHead
        title={arena.name}
        sub={`${sayLengths(`${arena.widthM} × ${arena.lengthM} m`, unit)}, ${arena.letters === 'none' ? 'no letters' : 'with letters'}, ${ROUND_IT[arena.boundary]}. Mark where one comes in, which way home lies, how the ground falls, and the places that are bad.`}
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <ArenaMarksBoard arena={arena} />
    </>
  );
}
