import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { lessonMinutes, lessonState, type LessonPlan } from '@/core';
import { listHorses } from '@/data/queries/horses';
import { listLayouts } from '@/data/queries/layouts';
import { listLessons, timesOfLessons } from '@/data/queries/lessons';
import { singleRides } from '@/data/queries/ridden';
import { listPairs } from '@/data/queries/pairs';
import { Title } from '@mantine/core';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { layoutCards } from '../_server/layoutCards';
import { present } from '@/data/present';
import { isInstructor } from '../_server/access/isInstructor';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { yardTime } from '../_server/yardTime';
import { LessonList } from './_components/LessonList';
import { SingleRides } from './_components/SingleRides';
import { RideChoice } from './_components/RideChoice';

export const metadata: Metadata = { title: 'Ride' };

/** So many rides by themselves are listed: what lies farther back is found in the review. */
const SHOWN_RIDES = 12;

export default async function RidePage() {
  await connection();
  const { db, yard, who } = await yardContext(may.help);
  const plans = isInstructor(who);
  const [layouts, horses, pairs, lessons] = await Promise.all([
    listLayouts(db, yard.id),
    listHorses(db, yard.id),
    listPairs(db, yard.id),
    listLessons(db, yard.id),
  ]);
  const riding = present(pairs);
  const missing = present(layouts).length === 0 ? 'layout' : riding.length === 0 ? 'pair' : null;
  const atMs = nowMs();
  const insideOf = ({ pairIds, stages }: LessonPlan) =>
    [
      ...pairs.flatMap(({ id, riderName, horseName }) => (pairIds.includes(id) ? [riderName, horseName] : [])),
      ...layouts.flatMap(({ id, name }) => (stages.some(({ layoutId }) => layoutId === id) ? name : [])),
      ...stages.map(({ name }) => name),
    ].join(' ');
  const rides = await singleRides(db, yard.id, SHOWN_RIDES);
  const times = await timesOfLessons(db, yard.id, lessons);
  return (
    <>
      <PageHead
        title="Ride"
        sub="Teach a lesson and record it pass by pass."
        actions={plans && <LinkButton href="/ride/lessons/new">Plan a lesson</LinkButton>}
      />
      {missing === 'layout' && (
        <EmptyState title="Nothing to ride yet" action={plans && <LinkButton href="/plan">To the plan</LinkButton>}>
          Plan a layout first; its passes are recorded here.
        </EmptyState>
      )}
      {missing === 'pair' && (
        <EmptyState title="No pairs yet" action={plans && <LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together in the yard: records belong to the pair.
        </EmptyState>
      )}
      {missing === null && (
        <>
          <LessonList
            today={yardTime(atMs, yard.timeZone, 'YYYY-MM-DD')}
            lessons={lessons.map(({ id, name, startsAtMs, plan }) => ({
              ...{ id, name, when: yardTime(startsAtMs, yard.timeZone, 'ddd D MMM YYYY, HH:mm') },
              line: `${plan.pairIds.length} ${plan.pairIds.length === 1 ? 'pair' : 'pairs'}, ${plan.stages.length} ${plan.stages.length === 1 ? 'stage' : 'stages'}, ${lessonMinutes(plan)} min`,
              day: yardTime(startsAtMs, yard.timeZone, 'YYYY-MM-DD'),
              inside: insideOf(plan),
              state: lessonState(times.get(id)!, atMs),
            }))}
          />
          {plans && (
            <>
              <Title order={2} size="h3" mb="sm">
                A ride by itself
              </Title>
              <SingleRides
                rides={rides.map(({ pairId, versionId, horseName, riderName, layoutName, passes, lastMs }) => ({
                  ...{ href: `/ride/${versionId}/${pairId}`, name: `${horseName} with ${riderName}`, layoutName },
                  line: `${passes} ${passes === 1 ? 'pass' : 'passes'}, last on ${yardTime(lastMs, yard.timeZone, 'D MMM YYYY')}`,
                }))}
              />
              <RideChoice
                layouts={layoutCards(present(layouts), horses, { place: 'plan', timeZone: yard.timeZone }).map(
                  ({ id, name, line }) => ({ id, name, line }),
                )}
                pairs={riding.map(({ id, riderName, horseName }) => ({
                  id,
                  name: horseName,
                  line: `with ${riderName}`,
                }))}
              />
            </>
          )}
        </>
      )}
    </>
  );
}
