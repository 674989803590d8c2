import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PictureCard } from '@/components/pictures/PictureCard';
import { SandMap } from '@/components/pictures/SandMap';
import { placeWords, sayLengths, type Arena, type Claim, type LengthUnit, type PointM, type SandPlace } from '@/core';
import type { PairCard } from './pairCard';

/** A sand as one pair rode it. */
export type PairSand = {
  arenaId: string;
  arena: Arena & { name: string };
  places: readonly SandPlace[];
  spots: readonly PointM[];
  claims: readonly Claim[];
  unit: LengthUnit;
};

/** Where on each sand something went wrong for this pair. */
export function sandCards(sands: readonly PairSand[], maySet: boolean): PairCard[] {
  return sands.map(({ arenaId, arena, places, spots, claims, unit }, index) => ({
    about: null,
    claims,
    card: says => (
      <PictureCard
        key={arenaId}
        title={`Where on the sand: ${arena.name}`}
        says={says}
        sub="A disc for each place ridden over, as large as it was often ridden; its dark share is how often something went wrong."
        fileName={`${arena.name}-sand`}
        table={{
          columns: ['place', 'rides', 'went wrong'],
          rows: places.map(({ at, visits, troubles }) => [sayLengths(placeWords(arena, at), unit), visits, troubles]),
        }}
        // The one that was ridden most has room on the one printed page.
        onPaper={index === 0}
        actions={
          maySet && (
            <LinkButton href={`/review/sand/${arenaId}`} variant="default" size="compact-md">
              All pairs on this sand
            </LinkButton>
          )
        }
      >
        <SandMap arena={arena} places={places} spots={spots} />
      </PictureCard>
    ),
  }));
}
