import { LengthsProvider, Said } from '@/components/Lengths/LengthsProvider';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { DISCLAIMER, reckonLayout, resolvePlan } from '@/core';
import type { OpenDatabase } from '@/data/database';
import { findLayout } from '@/data/queries/layouts';
import { findLesson } from '@/data/queries/lessons';
import { findPerson } from '@/data/queries/people';
import { planGround } from '@/data/queries/planGround';
import type { ShareLink } from '@/data/queries/shareLinks';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { yardGaitWords, yardOf } from '../../_server/yardContext';
import { sharedLink } from '../../_server/access/sharedLink';
import { lessonSheet } from '../../_server/lessonSheet';
import { riderFilm } from '../../_server/riderFilm';
import { riderHome } from '../../_server/riderHome';
import { RiderFilmView } from '../../ride/_components/rider/RiderFilmView';
import { RiderHomeView } from '../../ride/_components/rider/RiderHomeView';
import { RiderLesson, Shown } from '../../ride/_components/rider/RiderLesson';
import classes from '../../ride/_components/rider/Rider.module.css';

export const metadata: Metadata = { title: 'Shown to you', robots: 'noindex' };

type SharedPageProps = {
  params: Promise<{ token: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

/** What a link shows to whoever has it, while it is good: to read, and without the names of others. */
export default async function SharedPage({ params, searchParams }: SharedPageProps) {
  const { token } = await params;
  const shared = await sharedLink(token, nowMs());
  if (!shared) notFound();
  const { id } = shared.yard;
  const { unit } = await yardOf(id);
  return (
    <LengthsProvider unit={unit} gaitWords={await yardGaitWords(id)}>
      <OfLink {...shared} token={token} wish={await searchParams} />
    </LengthsProvider>
  );
}

type OfLinkProps = Shared & { token: string; wish: { lesson?: Asked; pair?: Asked; film?: Asked } };

function OfLink({ db, yard, link, token, wish }: OfLinkProps) {
  switch (link.kind) {
    case 'rider':
      if (typeof wish.film === 'string') return <SharedFilm {...{ db, yard, link, token, filmId: wish.film }} />;
      return <SharedRider {...{ db, yard, link, token, lessonId: wish.lesson, pairId: wish.pair }} />;
    case 'lesson':
      return <SharedLesson {...{ db, yard, link }} />;
    case 'layout':
      return <SharedLayout {...{ db, yard, link }} />;
    case 'calendar':
      notFound();
  }
}

type Shared = { db: OpenDatabase['db']; yard: { id: string; timeZone: string }; link: ShareLink };
type Asked = string | string[] | undefined;

async function SharedRider({
  db,
  yard,
  link,
  token,
  lessonId,
  pairId,
}: Shared & { token: string; lessonId: Asked; pairId: Asked }) {
  const rider = await findPerson(db, yard.id, link.subjectId);
  if (!rider) notFound();
  const home = await riderHome(db, yard, rider.id, nowMs());
  if (lessonId === undefined)
    return (
      <RiderHomeView
        name={rider.name}
        home={home}
        filmHref={({ id, isAlone }) => (isAlone ? `/s/${token}?film=${id}` : `/api/feed/${token}/films/${id}`)}
        hrefOf={line => `/s/${token}?lesson=${line.lessonId}&pair=${line.pairId}`}
      />
    );
  const line = [...home.coming, ...home.ridden].find(one => one.lessonId === lessonId && one.pairId === pairId);
  const lesson = line && (await findLesson(db, yard.id, line.lessonId));
  const sheet = lesson && (await lessonSheet(db, yard, lesson));
  const pair = sheet?.pairs.find(({ id }) => id === pairId);
  if (!sheet || !pair) notFound();
  return (
    <>
      <p>
        <a href={`/s/${token}`}>All lessons</a>
      </p>
      <RiderLesson name={sheet.name} when={sheet.when} unit={sheet.unit} pair={pair} />
    </>
  );
}

/** A film of the rider’s own, with what was said of it. */
async function SharedFilm({ db, yard, link, token, filmId }: Shared & { token: string; filmId: string }) {
  const film = await riderFilm(db, yard, filmId);
  if (film?.riderId !== link.subjectId) notFound();
  return (
    <>
      <p>
        <a href={`/s/${token}`}>All of yours</a>
      </p>
      <RiderFilmView film={film} filmHref={`/api/feed/${token}/films/${film.id}`} />
    </>
  );
}

/** A lesson as a colleague sees it: what is asked over what, and nobody's name. */
async function SharedLesson({ db, yard, link }: Shared) {
  const lesson = await findLesson(db, yard.id, link.subjectId);
  const sheet = lesson && (await lessonSheet(db, yard, lesson));
  if (!sheet) notFound();
  return (
    <article className={classes.page}>
      <PageHead title={sheet.name} sub={sheet.when} />
      {sheet.stages.map(({ name, line, asked, watch }, index) => (
        <section key={index} aria-label={name} className={classes.stage}>
          <h2>
            {index + 1}. <Said>{name}</Said>
          </h2>
          <p>
            <Said>{line}</Said>
          </p>
          {watch.map(words => (
            <p key={words}>
              <Said>{words}</Said>
            </p>
          ))}
          {asked.map(({ show }, at) => (
            <Shown key={at} show={show} unit={sheet.unit} stage={name} />
          ))}
        </section>
      ))}
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}

/** A layout as it lies, without anybody's horse. */
async function SharedLayout({ db, yard, link }: Shared) {
  const found = await findLayout(db, yard.id, link.subjectId);
  if (!found) notFound();
  const { layout } = resolvePlan(found.plan, planGround(found.name, found.arena, [], null));
  const { arena } = layout;
  const view = sandView(arena, 'along');
  return (
    <article className={classes.page}>
      <PageHead title={found.name} sub={found.arena.name} />
      <Sand arena={arena} view={view} label={`The layout ${found.name}`} textM={sandTextM(arena)}>
        <LayoutDrawing layout={layout} tracks={reckonLayout(layout)} view={view} textM={sandTextM(arena)} />
      </Sand>
      <p className={classes.small}>{DISCLAIMER}</p>
    </article>
  );
}
