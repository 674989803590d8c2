import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listPeople } from '@/data/queries/people';
import { findHorse, listHorses } from '@/data/queries/horses';
import { listStrideTests, type StrideTest } from '@/data/queries/strideTests';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { present } from '@/data/present';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '../../../../_server/yardContext';
import { yardTime } from '../../../../_server/yardTime';
import { StrideTestBoard } from './_components/StrideTestBoard';

export const metadata: Metadata = { title: 'Stride test' };

export default async function StrideTestPage({ params }: { params: Promise<{ horseId: string }> }) {
  const { horseId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const horse = await findHorse(db, yard.id, horseId);
  if (!horse) notFound();
  const [people, tests, horses] = await Promise.all([
    listPeople(db, yard.id),
    listStrideTests(db, yard.id, horseId),
    listHorses(db, yard.id),
  ]);
  const others = await Promise.all(
    present(horses)
      .filter(({ id }) => id !== horseId)
      .map(async other => ({ horse: other, tests: await listStrideTests(db, yard.id, other.id) })),
  );
  const worded = (one: StrideTest) => wordedTest(one, yardTime(one.testedAtMs, yard.timeZone, 'D MMMM'));
  return (
    <>
      <PageHead
        title={`Stride test: ${horse.name}`}
        sub="One named foot, counted each time it lands between the two lines."
        actions={
          <LinkButton href={`/yard/horses/${horse.id}`} variant="default">
            To {horse.name}’s page
          </LinkButton>
        }
      />
      <StrideTestBoard
        key={horse.id}
        horse={horse}
        people={present(people).map(({ id, name, stepLengthM }) => ({ id, name, stepLengthM }))}
        usual={usualOf(tests.at(-1), present(people))}
        others={others.map(other => ({ horse: other.horse, earlier: other.tests.map(worded) }))}
        earlier={tests.map(worded)}
      />
    </>
  );
}

function wordedTest({ entry, lane, stepperId, reading, rhythm, roundness, balance }: StrideTest, day: string) {
  return { entry, lane, stepperId, reading, quality: { rhythm, roundness, balance }, day };
}

/** Who rode the last test and down which lane, as far as they are still in the yard. */
function usualOf(last: StrideTest | undefined, people: readonly { id: string }[]) {
  if (!last) return {};
  const there = (id: string | null) => (people.some(person => person.id === id) ? id : null);
  return { lane: last.lane, riderId: there(last.riderId), stepperId: there(last.stepperId) };
}
