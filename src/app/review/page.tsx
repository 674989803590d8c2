import { EmptyState } from '@/components/EmptyState/EmptyState';
import { SureHelp } from '@/components/Help/helps';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listPairs } from '@/data/queries/pairs';
import { listArenas } from '@/data/queries/arenas';
import { layoutsRidden, riddenByPair } from '@/data/queries/ridden';
import { formatReading } from '@/core';
import type { Metadata } from 'next';
import Link from 'next/link';
import { present } from '@/data/present';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { yardStory } from '../_server/yardStory';
import { yardTime } from '../_server/yardTime';
import { YardStory } from './_story/YardStory';
import classes from './page.module.css';

export const metadata: Metadata = { title: 'Review' };

export default async function ReviewListPage() {
  const { db, yard, unit } = await yardContext(may.instruct);
  const [pairs, ridden, arenas, layouts] = await Promise.all([
    listPairs(db, yard.id).then(present),
    riddenByPair(db, yard.id),
    listArenas(db, yard.id).then(present),
    layoutsRidden(db, yard.id),
  ]);
  return (
    <>
      <PageHead
        title="Review"
        sub="What the record says of each pair, of the sand, of the layouts and of the group."
        actions={
          <>
            <LinkButton href="/review/group" variant="default">
              The group
            </LinkButton>
            <LinkButton href="/review/compare" variant="default">
              Compare
            </LinkButton>
            <LinkButton href="/yard/archive" variant="default">
              All data out and in
            </LinkButton>
          </>
        }
      />
      {pairs.length === 0 && (
        <EmptyState title="No pairs yet" action={<LinkButton href="/yard">To the yard</LinkButton>}>
          Put a rider and a horse together in the yard, ride a layout, and come back.
        </EmptyState>
      )}
      {pairs.length > 0 && <YardStory story={await yardStory(db, yard)} unit={unit} />}
      {pairs.length > 0 && <SureHelp />}
      <ul className={classes.pairs}>
        {pairs.map(({ id, horseName, riderName }) => {
          const own = ridden.get(id);
          return (
            <li key={id}>
              <Link href={`/review/${id}`}>
                <span>
                  <strong>{horseName}</strong> with {riderName}
                </span>
                <span>
                  {own
                    ? `${own.passes} ${own.passes === 1 ? 'pass' : 'passes'}, last on ${yardTime(own.lastMs, yard.timeZone, 'D MMMM')}`
                    : 'nothing ridden yet'}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      {layouts.length > 0 && (
        <>
          <h2>What the sand remembers</h2>
          <ul className={classes.pairs}>
            {arenas.map(({ id, name, widthM, lengthM }) => (
              <li key={id}>
                <Link href={`/review/sand/${id}`}>
                  <strong>{name}</strong>
                  <span>
                    {formatReading(widthM, unit)} by {formatReading(lengthM, unit)}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
          <h2>Layouts compared</h2>
          <ul className={classes.pairs}>
            {layouts.map(({ layoutId, name, passes, pairs: riding }) => (
              <li key={layoutId}>
                <Link href={`/review/layouts/${layoutId}`}>
                  <strong>{name}</strong>
                  <span>
                    {passes} {passes === 1 ? 'pass' : 'passes'} of {riding} {riding === 1 ? 'pair' : 'pairs'}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
