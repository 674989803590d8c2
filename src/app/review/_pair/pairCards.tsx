import type { Claim } from '@/core';
import type { ReactNode } from 'react';
import type { PairReview } from '../pairReview';
import { calendarCard } from './calendarCard';
import { faultCard } from './faultCard';
import { gaitCard } from './gaitCard';
import { legCard } from './legCard';
import { qualityCard } from './qualityCard';
import { reinCard } from './reinCard';
import { riderCard } from './riderCard';
import { sandCards, type PairSand } from './sandCards';
import { strideCards } from './strideCards';
import { tempoCard } from './tempoCard';
import { workCards } from './workCards';

type Material = { pairId: string; review: PairReview; sands: readonly PairSand[]; maySet: boolean };

/**
 * The pictures of a pair: those of which the record says something come first, the surest of them foremost, then the others
 * in the order in which one looks.
 */
export function pairCards({ pairId, review, sands, maySet }: Material): ReactNode[] {
  const cards = [
    ...strideCards(pairId, review, maySet),
    ...reinCard(pairId, review, maySet),
    ...calendarCard(review),
    ...sandCards(sands, maySet),
    ...gaitCard(review),
    ...riderCard(review),
    ...legCard(review),
    ...qualityCard(review, maySet ? pairId : null),
    ...faultCard(review, maySet ? pairId : null),
    ...workCards(review),
    ...tempoCard(review),
  ];
  // What an interval says has no chance beside it: it stands with what is as sure.
  const sureness = (says: readonly Claim[]) => Math.min(...says.map(({ p }) => p ?? 0.01));
  const told = cards.map(({ about, card, claims }) => {
    const says = claims ?? review.claims.filter(claim => claim.about === about);
    return { says, node: card(says) };
  });
  return [
    ...told.filter(({ says }) => says.length > 0).sort((a, b) => sureness(a.says) - sureness(b.says)),
    ...told.filter(({ says }) => says.length === 0),
  ].map(({ node }) => node);
}
