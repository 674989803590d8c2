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
import { FirstSteps } from './_components/FirstSteps';
import classes from './_components/Today.module.css';
import { todayOf, type ComingLesson, type Today } from './todayOf';

export const metadata: Metadata = { title: 'Today' };

/** Where one arrives: the lesson to come, what stands, what is too much, and what each pair does next. */
export default async function TodayPage() {
  await connection();
  const { db, yard } = await yardContext(may.instruct);
  if ((await listHorses(db, yard.id)).length === 0)
    return (
      <>
        <PageHead title="Three questions" sub="Then there are poles on paper." />
        <FirstSteps />
      </>
    );
  const atMs = nowMs();
  const today = await todayOf(db, yard, atMs);
  return (
    <>
      <PageHead title="Today" sub={yardTime(atMs, yard.timeZone, 'dddd D MMMM YYYY')} />
      <div className={classes.today}>
        {today.coming ? <Coming lesson={today.coming} /> : <NothingComes />}
        {today.attention.length > 0 && (
          <section aria-label="To look at">
            <h2>To look at</h2>
            <ul>
              {today.attention.map(words => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          </section>
        )}
        <Stands stands={today.stands} />
        <Next next={today.next} />
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
        <p className={classes.quiet}>{stages.join('; ')}</p>
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
  if (!stands) return null;
  return (
    <section aria-label="On the sand">
      <h2>On the sand</h2>
      <p>
        Last ridden over: {stands.name} ({stands.lesson}, {stands.when}).{' '}
        <Link href={`/set/${stands.layoutId}/next`}>What is carried for the next</Link>
      </p>
    </section>
  );
}

function Next({ next }: Pick<Today, 'next'>) {
  if (next.length === 0) return null;
  return (
    <section aria-label="What each pair does next">
      <h2>What each pair does next</h2>
      <ul className={classes.next}>
        {next.map(({ pairId, pair, words, from }) => (
          <li key={pairId}>
            <strong>
              <Link href={`/review/${pairId}`}>{pair}</Link>
            </strong>
            <div>
              {words.map(sentence => (
                <p key={sentence}>{sentence}</p>
              ))}
              <p className={classes.quiet}>From {from}</p>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
