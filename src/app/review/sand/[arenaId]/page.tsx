import { PictureCard } from '@/components/pictures/PictureCard';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { type Arena, formatLength, howMany, isShownPlace, placeClaims, placeWords, sayLengths } from '@/core';
import { findArena, listArenas } from '@/data/queries/arenas';
import { formerStatesOf } from '@/data/queries/formerStates';
import { listPairs } from '@/data/queries/pairs';
import { sandRecord, sizeKey } from '@/data/queries/sandRecord';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext } from '../../../_server/yardContext';
import { yardClock, yardTime } from '../../../_server/yardTime';
import { SandMap } from '@/components/pictures/SandMap';
import { Claims } from '../../_components/Claims';
import { chanceCell } from '../../chanceCell';

export const metadata: Metadata = { title: 'What the sand remembers' };

/** Whether what an arena was before is of a size. */
function isOfSize(was: unknown, { widthM, lengthM, letters }: Arena): boolean {
  const before = was as Partial<Arena>;
  return before.widthM === widthM && before.lengthM === lengthM && before.letters === letters;
}

type SandPageProps = {
  params: Promise<{ arenaId: string }>;
  searchParams: Promise<{ size?: string | string[] }>;
};

export default async function SandPage({ params, searchParams }: SandPageProps) {
  const { arenaId } = await params;
  const { size } = await searchParams;
  const { db, yard, unit } = await yardContext(may.instruct);
  const today = await findArena(db, yard.id, arenaId);
  if (!today) notFound();
  const [record, pairs, arenas] = await Promise.all([
    sandRecord(db, yard.id, today, yardClock(yard.timeZone), typeof size === 'string' ? size : undefined),
    listPairs(db, yard.id),
    listArenas(db, yard.id),
  ]);
  const arena = { ...today, ...record.arena };
  const sizeWords = ({ widthM, lengthM }: Arena) => `${formatLength(widthM, unit)} × ${formatLength(lengthM, unit)}`;
  const others = record.sizes.filter(one => sizeKey(one.arena) !== sizeKey(record.arena));
  const nameOf = (id: string) => pairs.find(pair => pair.id === id)?.horseName ?? 'one pair';
  const until = (await formerStatesOf(db, yard.id, 'arena', arenaId)).findLast(({ was }) =>
    isOfSize(was, record.arena),
  );
  const untilWords = until ? `, until ${yardTime(until.untilMs, yard.timeZone, 'D MMMM YYYY')}` : '';
  const isAsToday = sizeKey(record.arena) === sizeKey(today);
  const places = record.places.filter(isShownPlace).sort((a, b) => a.p - b.p);
  return (
    <>
      <PageHead
        title={`What the sand remembers: ${arena.name}`}
        sub={`${howMany(record.passes, 'pass', 'passes')} on ${howMany(record.days, 'day')}${isAsToday ? '' : `, in the arena as it was then: ${sizeWords(arena)}${untilWords}`}`}
        actions={
          <>
            {others.map(one => (
              <LinkButton
                key={sizeKey(one.arena)}
                href={`/review/sand/${arenaId}?size=${encodeURIComponent(sizeKey(one.arena))}`}
                variant="default"
              >
                As it was: {sizeWords(one.arena)}
              </LinkButton>
            ))}
            {arenas
              .filter(({ id, archived }) => id !== arenaId && !archived)
              .map(({ id, name }) => (
                <LinkButton key={id} href={`/review/sand/${id}`} variant="default">
                  {name}
                </LinkButton>
              ))}
            <LinkButton href="/review" variant="default">
              All of the review
            </LinkButton>
          </>
        }
      />
      {places.length === 0 ? (
        <EmptyState title="Nothing ridden here yet" action={<LinkButton href="/ride">To the ride</LinkButton>}>
          Where a pole was hit, a fence fell or a spot was tapped shows here once passes of this arena are recorded.
        </EmptyState>
      ) : (
        <>
          <Claims
            claims={placeClaims(record.places, arena, nameOf).map(claim => ({
              ...claim,
              text: sayLengths(claim.text, unit),
            }))}
            none="No place stands out beyond chance: what goes wrong is spread as the rides are."
          />
          <PictureCard
            title="Where things went wrong"
            sub="A disc for each place that is ridden over: its size is how often, its dark share how often something went wrong; a ring where it is more than chance. Crosses are spots that were tapped."
            fileName={`${arena.name}-sand`}
            table={{
              columns: ['place', 'across m', 'up m', 'rides', 'went wrong', 'usual', 'p', 'stands out'],
              rows: places.map(({ at, visits, troubles, expected, p, standsOut, whose }) => [
                ...[
                  sayLengths(placeWords(arena, at), unit),
                  Number(at.xM.toFixed(2)),
                  Number(at.yM.toFixed(2)),
                  visits,
                  troubles,
                ],
                ...[Number(expected.toFixed(1)), chanceCell(p), standsOut ? `yes: the ${whose}` : 'no'],
              ]),
            }}
          >
            <SandMap arena={arena} places={places} spots={record.spots} />
          </PictureCard>
        </>
      )}
    </>
  );
}
