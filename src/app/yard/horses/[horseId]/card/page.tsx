import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { distanceCard, DISCLAIMER, GAITED_GAITS, M_PER_FT, profileStride, type School } from '@/core';
import { findHorse } from '@/data/queries/horses';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '../../../../_server/yardContext';
import { CardTables } from './_components/CardTables';
import { PrintButton } from '@/components/PrintButton/PrintButton';

export const metadata: Metadata = { title: 'Distance card' };

/** Distances that are often set (common practice, no source): by the yard in feet, by the metre on courses. */
const COMMON = {
  feet: [10, 18, 21, 24, 30, 33, 36, 42, 48, 54, 60, 66, 72].map(feet => feet * M_PER_FT),
  metres: [3.1, 5.5, 7, 7.5, 8, 10, 10.5, 11, 14, 14.5, 18, 18.5, 21.5],
};

type CardPageProps = { params: Promise<{ horseId: string }>; searchParams: Promise<{ school?: string | string[] }> };

/** One horse's distances on a page, to print and take along. */
export default async function CardPage({ params, searchParams }: CardPageProps) {
  const { horseId } = await params;
  const { db, yard, unit } = await yardContext(may.instruct);
  const horse = await findHorse(db, yard.id, horseId);
  if (!horse) notFound();
  const school: School = (await searchParams).school === 'two-metre' ? 'two-metre' : 'whole-stride';
  const other = school === 'two-metre' ? 'whole-stride' : 'two-metre';
  const stride = profileStride(horse, 'course-canter')!;
  const common = unit === 'ft' || unit === 'yd' ? COMMON.feet : COMMON.metres;
  return (
    <>
      <PageHead
        title={`Distances for ${horse.name}`}
        sub={
          school === 'two-metre'
            ? 'Between low fences, two metres to land and two to take off, more or less by height.'
            : 'Between low fences, half a stride to land and half to take off.'
        }
        actions={
          <>
            <LinkButton href={`/yard/horses/${horse.id}/card?school=${other}`} variant="default">
              {other === 'two-metre' ? 'In the two-metre school' : 'In the whole-stride school'}
            </LinkButton>
            <PrintButton />
          </>
        }
      />
      <CardTables card={distanceCard(stride, school, common)} stride={stride} poles={polesOf()} />
      <p>{DISCLAIMER}</p>
    </>
  );

  function polesOf() {
    // Of the gaits of its own those that are known: spread poles lie two steps apart, a stride.
    return (['walk-poles', 'trot-poles', 'canter-poles', ...GAITED_GAITS] as const).flatMap(entry => {
      const own = profileStride(horse!, entry);
      return own ? [{ entry, ...own }] : [];
    });
  }
}
