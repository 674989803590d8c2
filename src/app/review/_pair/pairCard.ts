import type { Claim, ClaimAbout } from '@/core';
import type { ReactNode } from 'react';

/** A picture of a pair, and what it is of: what the record says of that stands with it. */
export type PairCard = {
  about: ClaimAbout | null;
  /** Its own sentences, where what it is of does not tell which they are. */
  claims?: readonly Claim[];
  card: (says: readonly Claim[]) => ReactNode;
};
