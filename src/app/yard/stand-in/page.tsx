import { PageHead } from '@/components/PageHead/PageHead';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import type { Metadata } from 'next';
import { present } from '@/data/present';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { StandInForm } from './_components/StandInForm';

export const metadata: Metadata = { title: 'Stand-in for a sensor' };

export default async function StandInPage() {
  const { db, yard } = await yardContext(may.instruct);
  const [horses, layouts] = await Promise.all([listHorses(db, yard.id), listLayouts(db, yard.id)]);
  return (
    <>
      <PageHead
        title="Stand-in for a stride sensor"
        sub="Simulated: it plays a ride of a horse of yours, foot by foot, so that tests and records can be tried with no horse."
      />
      <StandInForm
        horses={present(horses).map(({ id, name }) => ({ id, name }))}
        layouts={layouts.map(({ id, name }) => ({ id, name }))}
      />
    </>
  );
}
