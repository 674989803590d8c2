import type { Pair } from '@/data/queries/pairs';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { WhatMoved } from './WhatMoved';
import { yardMoves } from './yardMoves';

/** What went along with what for a pair; it looks at the whole yard, so the page does not wait for it. */
export async function PairMoves({ pair }: { pair: Pair }) {
  const { db, yard } = await yardContext(may.instruct);
  return <WhatMoved horse={pair.horseName} moves={await yardMoves(db, yard, pair.id)} />;
}
