import { Said } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { lessonSheet } from '@/app/_server/lessonSheet';
import { may } from '../../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { findLesson } from '@/data/queries/lessons';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LessonFiles } from '../_components/LessonFiles';
import classes from './End.module.css';
import { PlanNext } from './_components/PlanNext';
import { RiderWord } from './_components/RiderWord';
import { ShareSheet } from './_components/ShareSheet';

export const metadata: Metadata = { title: 'The end of a lesson' };

/** The end of a lesson: for each pair what it rode, the best of it, the stiffer side, what comes, and a word of the instructor's. */
export default async function LessonEndPage({ params }: { params: Promise<{ lessonId: string }> }) {
  const { lessonId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const lesson = await findLesson(db, yard.id, lessonId);
  if (!lesson) notFound();
  const { name, when, pairs } = await lessonSheet(db, yard, lesson);
  const own = `/ride/lessons/${lessonId}`;
  const hasRidden = pairs.some(({ end }) => end.summary.stages.length > 0);
  return (
    <>
      <PageHead
        title={`${name}: the end`}
        sub={when}
        actions={
          <>
            <LinkButton href={`${own}/record`} variant="default">
              Its record
            </LinkButton>
            <LessonFiles
              lessonId={lessonId}
              pairs={pairs.map(({ id, horse, rider }) => ({ id, name: `${horse} with ${rider}` }))}
            />
            <PlanNext lessonId={lessonId} />
          </>
        }
      />
      {!hasRidden && (
        <EmptyState title="Nothing was recorded" action={<LinkButton href={`${own}/record`}>Its record</LinkButton>}>
          What was ridden can still be written down; then it stands here, pair by pair.
        </EmptyState>
      )}
      <div className={classes.pairs}>
        {pairs.map(({ id, horse, rider, end, asked, words, wordsRevision }) => {
          const last = end.summary.stages.length > 0 ? asked.at(-1)?.shows.at(-1) : undefined;
          return (
            <section key={id} className={classes.pair} aria-label={`${horse} with ${rider}`}>
              <h2>
                {horse} <small>with {rider}</small>
              </h2>
              {last && (
                <div className={classes.picture}>
                  <AskedShown show={last} />
                </div>
              )}
              <dl>
                <dt>Rode</dt>
                <dd>
                  <Said>{end.ridden}</Said>
                </dd>
                {end.best && (
                  <>
                    <dt>Best</dt>
                    <dd>
                      <Said>{end.best}</Said>
                    </dd>
                  </>
                )}
                {end.change && (
                  <>
                    <dt>Better</dt>
                    <dd>
                      <Said>{end.change}</Said>
                    </dd>
                  </>
                )}
                {end.reins && (
                  <>
                    <dt>Reins</dt>
                    <dd>
                      <Said>{end.reins}</Said>
                    </dd>
                  </>
                )}
                {end.next.map((next, index) => (
                  <div key={next} className={classes.row}>
                    <dt>{index === 0 ? 'Next' : ''}</dt>
                    <dd>
                      <Said>{next}</Said>
                    </dd>
                  </div>
                ))}
              </dl>
              <RiderWord lessonId={lessonId} pairId={id} rider={rider} first={{ words, revision: wordsRevision }} />
              <ShareSheet
                href={`${own}/for/${id}`}
                pdf={`/api/lessons/${lessonId}/sheet?pair=${encodeURIComponent(id)}`}
                title={`${name}: ${horse} with ${rider}`}
              />
            </section>
          );
        })}
      </div>
    </>
  );
}
