import { Card } from '@/components/Card/Card';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { tellsOffice } from '@/data/queries/officeSums';
import { listYards } from '@/data/queries/yards';
import { Stack } from '@mantine/core';
import type { Metadata } from 'next';
import { isInstructor } from '../_server/access/isInstructor';
import { may } from '../_server/access/rules';
import { yardsHere } from '../_server/access/whoIsThere';
import { yardContext } from '../_server/yardContext';
import { AnotherYard } from './_components/AnotherYard';
import { BeginSample } from './_components/BeginSample';
import { TellsOffice } from './_components/TellsOffice';
import { YardChoice, type YardHere } from './_components/YardChoice';
import { YardName } from './_components/YardName';

export const metadata: Metadata = { title: 'Yards' };

const AS: Record<string, string> = {
  instructor: 'as instructor',
  helper: 'as helper',
  rider: 'as rider',
  office: 'for the office',
};

/** The yards that this device is in, and which of them is shown. */
export default async function YardsPage() {
  const { db, yard, who } = await yardContext(may.choose);
  const here: YardHere[] = who.open
    ? (await listYards(db)).map(({ id, name }) => ({ id, name, as: '' }))
    : (await yardsHere()).map(one => ({ id: one.yardId, name: one.yardName, as: `${one.name}, ${AS[one.role]}` }));
  const plans = isInstructor(who);
  return (
    <>
      <PageHead
        title="Yards"
        sub="Each yard is by itself: its people, horses, layouts and record. You choose which one this device shows."
        actions={
          <>
            {!who.open && (
              <LinkButton href="/sign-in?more=1&to=/yards" variant="default">
                Sign in to another yard
              </LinkButton>
            )}
            {plans && (
              <LinkButton href="/office" variant="default">
                Sums of all yards
              </LinkButton>
            )}
          </>
        }
      />
      <Stack gap="md">
        <Card label="On this device" title="On this device">
          <YardChoice yards={here} nowId={yard.id} />
        </Card>
        {plans && (
          <>
            <Card label="This yard" title="This yard">
              <YardName name={yard.name} />
            </Card>
            <Card label="Sums for the office" title="Sums for the office">
              <TellsOffice tells={await tellsOffice(db, yard.id)} />
            </Card>
            <Card label="Begin another yard" title="Begin another yard">
              <AnotherYard />
            </Card>
            <Card label="A sample" title="A sample">
              <BeginSample />
            </Card>
          </>
        )}
      </Stack>
    </>
  );
}
