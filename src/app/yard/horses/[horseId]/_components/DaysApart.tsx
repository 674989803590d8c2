import { BeforeAfter } from '@/components/BeforeAfter/BeforeAfter';
import { Card } from '@/components/Card/Card';
import { beforeAfterOf } from '@/core';
import type { StrideTest } from '@/data/queries/strideTests';
import { ENTRY_LABELS } from '../../../entryLabels';

/** So many days are shown; the list below has them all. */
const SHOWN = 4;

/** What schooling did within a day: the tests before and after it, side by side. */
export function DaysApart({ tests }: { tests: readonly (StrideTest & { day: string })[] }) {
  const days = beforeAfterOf(tests).slice(0, SHOWN);
  if (days.length === 0) return null;
  return (
    <Card label="Before and after schooling" title="Before and after schooling">
      {days.map(({ before, after }) => (
        <BeforeAfter
          key={after.id}
          title={`${ENTRY_LABELS[after.entry]}, ${after.day}`}
          before={{ reading: before.reading, quality: before }}
          after={{ reading: after.reading, quality: after }}
        />
      ))}
    </Card>
  );
}
