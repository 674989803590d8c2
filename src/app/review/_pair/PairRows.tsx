import { LinkButton } from '@/components/LinkButton/LinkButton';
import type { DayPass } from '@/core';
import type { Pair } from '@/data/queries/pairs';
import { versionsById } from '@/data/queries/layoutVersions';
import { passesById } from '@/data/queries/reviewPasses';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { yardClock } from '../../_server/yardTime';
import { RowReviewCard } from '../_components/RowReviewCard';
import { riddenRows, rowReview } from '../reviewFigures';

/** So many rows are shown at first, and so many more each time. */
const AT_ONCE = 3;

type PairRowsProps = { pair: Pair; passes: readonly DayPass[]; asked: { rows: number; lessons: number } };

/** The rows of poles that a pair rode, pass by pass, the latest first. Marks are read of those that are shown. */
export async function PairRows({ pair, passes, asked }: PairRowsProps) {
  const { db, yard } = await yardContext(may.read);
  const overPoles = passes.filter(({ ground: { legs } }) => legs.length > 0 && legs.every(leg => leg.betweenPoles));
  const versions = await versionsById(
    db,
    yard.id,
    overPoles.map(({ layoutVersionId }) => layoutVersionId),
  );
  const rows = riddenRows(overPoles, versions).filter(({ row }) => (row?.spacingM ?? null) !== null);
  const shown = rows.slice(0, Math.max(AT_ONCE, asked.rows));
  const ids = shown.flatMap(({ passIds }) => passIds);
  const read = new Map((await passesById(db, yard.id, ids, yardClock(yard.timeZone))).map(pass => [pass.id, pass]));
  return (
    <>
      {shown.map(row => (
        <RowReviewCard
          key={row.key}
          pairId={pair.id}
          horseName={pair.horseName}
          review={rowReview(
            row,
            row.passIds.flatMap(id => read.get(id) ?? []),
            yard.timeZone,
          )}
        />
      ))}
      {rows.length > shown.length && (
        <LinkButton
          href={`/review/${pair.id}?lessons=${asked.lessons}&rows=${shown.length + AT_ONCE}`}
          variant="default"
          scroll={false}
        >
          Earlier rows ({rows.length - shown.length})
        </LinkButton>
      )}
    </>
  );
}
