import { Said } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { listHorses } from '@/data/queries/horses';
import type { Metadata } from 'next';
import Link from 'next/link';
import { connection } from 'next/server';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { yardTime } from '../_server/yardTime';
import { WaitingSeries } from '../ride/season/_components/WaitingSeries';
import { BeginSample } from '../yards/_components/BeginSample';
import { FirstSteps } from './_components/FirstSteps';
import { NextForEach } from './_components/NextForEach';
import classes from './_components/Today.module.css';
import { todayOf, type ComingLesson, type Today } from './todayOf';

export const metadata: Metadata = { title: 'Today' };

/** Where one arrives: the lesson to come, what stands, what is too much, and what each pair could do next. */
export default async function TodayPage() {
  await connection();
  const { db, yard } = await yardContext(may.instruct);
  if ((await listHorses(db, yard.id)).length === 0)
    return (
      <>
        <PageHead title="Three questions" sub="Then there are poles on paper." />
        <FirstSteps />
        <section aria-label="Or look first" className={classes.lookFirst}>
          <h2>Or look first</h2>
          <BeginSample />
        </section>
      </>
    );
  const atMs = nowMs();
  const today = await todayOf(db, yard, atMs);
  return (
    <>
      <PageHead
        title="Today"
        sub={yardTime(atMs, yard.timeZone, 'dddd D MMMM YYYY')}
        actions={
          <>
            <LinkButton href="/ride/season" variant="default">
              The season
            </LinkButton>
            <LinkButton href="/ride/next" variant="default">
              What next
            </LinkButton>
          </>
        }
      />
      <div className={classes.today}>
        {today.coming ? <Coming lesson={today.coming} /> : <NothingComes />}
        {today.attention.length > 0 && (
          <section aria-label="To look at">
            <h2>To look at</h2>
            <ul>
              {today.attention.map(words => (
                <li key={words}>
                  <Said>{words}</Said>
                </li>
              ))}
            </ul>
          </section>
        )}
        {today.films.length > 0 && (
          <section aria-label="Films that wait for an answer">
            <h2>Films that wait for an answer</h2>
            <ul>
              {today.films.map(({ id, words }) => (
                <li key={id}>
                  <Link href={`/review/films/${id}`}>{words}</Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <WaitingSeries series={today.waiting} />
        <Stands stands={today.stands} />
        {today.suggest && <NextForEach {...today.suggest} />}
      </div>
    </>
  );
}

function Coming({ lesson }: { lesson: ComingLesson }) {
  const { id, name, when, isRunning, pairs, stages, first, layoutId } = lesson;
  return (
    <section aria-label="The lesson to come" className={classes.coming}>
      <div className={classes.picture}>{first && <AskedShown show={first} />}</div>
      <div className={classes.words}>
        <h2>
          <Link href={`/ride/lessons/${id}`}>{name}</Link>
        </h2>
        <p>{when}</p>
        <ul>
          {pairs.map(pair => (
            <li key={pair}>{pair}</li>
          ))}
        </ul>
        <p className={classes.quiet}>
          <Said>{stages.join('; ')}</Said>
        </p>
        <div className={classes.keys}>
          <LinkButton href={`/ride/lessons/${id}/run`}>{isRunning ? 'Go on riding' : 'Ride it'}</LinkButton>
          {layoutId && (
            <LinkButton href={`/set/${layoutId}`} variant="default">
              Set it out
            </LinkButton>
          )}
        </div>
      </div>
    </section>
  );
}

function NothingComes() {
  return (
    <section aria-label="The lesson to come">
      <h2>No lesson comes</h2>
      <div className={classes.keys}>
        <LinkButton href="/ride/lessons/new">Plan a lesson</LinkButton>
        <LinkButton href="/plan" variant="default">
          To the plan
        </LinkButton>
      </div>
    </section>
  );
}

function Stands({ stands }: Pick<Today, 'stands'>) {
  if (stands.length === 0) return null;
  return (
    <section aria-label="On the sand">
      <h2>On the sand</h2>
      <ul>
        {stands.map(({ layoutId, name, arena, words }) => (
          <li key={layoutId}>
            {arena}: <Link href={`/set/${layoutId}`}>{name}</Link>, {words}.{' '}
            <Link href={`/set/${layoutId}/next`}>What is carried for the next</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
